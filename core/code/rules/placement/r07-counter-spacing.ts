import { COUNTERED, counterGaps, counterOutlets, islandsNeed } from '../../../job/rooms/counters';
import { at, section, type Hit, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const r07: Rule = {
  id: 'R07',
  title: say('r07.title'),
  section: section('210.52(C)(1), (2), (3)', '210.52(C)(1), (2)'),
  severity: 'code',
  looksAt: say('r07.looksAt'),
  check: (site) =>
    site.job.rooms.flatMap((room): Hit[] => {
      if (!COUNTERED.has(room.kind) || room.spacing === 'leave') return [];
      const gaps = counterGaps(site.job, room);
      const needed = islandsNeed(site.edition, room);
      const there = counterOutlets(site.job, room).filter(({ spot }) => spot === null).length;
      const islands = room.counters.filter(({ kind }) => kind !== 'wall').length;
      return [
        ...(gaps.length === 0
          ? []
          : [
              {
                at: at('room', room.id),
                ...tell('r07.moreThan2FtAlong', {
                  room: room.name,
                  gaps: gaps
                    .map(({ wall, fromFt, toFt }) =>
                      say('r07.wallFt', { wall: wall + 1, fromFt: fromFt.toFixed(1), toFt: toFt.toFixed(1) }),
                    )
                    .join('; '),
                }),
              },
            ]),
        ...(there >= needed
          ? []
          : [
              {
                at: at('room', room.id),
                ...tell('r07.tooFew', { room: room.name, islands, needed, there }),
              },
            ]),
        ...(site.edition === '2023' && islands > 0 && there === 0
          ? [
              {
                at: at('room', room.id),
                severity: 'ask' as const,
                ...tell('r07.askProvisions', { room: room.name }),
              },
            ]
          : []),
      ];
    }),
};
