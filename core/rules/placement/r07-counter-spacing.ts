import { COUNTERED, counterGaps, counterOutlets, islandsNeed } from '../../rooms/counters';
import { at, section, type Hit, type Rule } from '../rule';

export const r07: Rule = {
  id: 'R07',
  title: 'A point of the countertop is more than 2 ft from a receptacle, or an island lacks its own',
  section: section('210.52(C)(1), (2), (3)', '210.52(C)(1), (2)'),
  severity: 'code',
  looksAt: 'counters of kitchens, pantries and dining rooms that were drawn',
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
                message: `${room.name}: more than 2 ft along the counter from a countertop receptacle: ${gaps.map(({ wall, fromFt, toFt }) => `wall ${wall + 1}, ${fromFt.toFixed(1)} to ${toFt.toFixed(1)} ft`).join('; ')}.`,
              },
            ]),
        ...(there >= needed
          ? []
          : [
              {
                at: at('room', room.id),
                message: `${room.name}: ${islands === 1 ? 'its island or peninsula asks' : 'its islands and peninsulas ask'} for ${needed} receptacle${needed === 1 ? '' : 's'}, and has ${there}.`,
              },
            ]),
        ...(site.edition === '2023' && islands > 0 && there === 0
          ? [
              {
                at: at('room', room.id),
                severity: 'ask' as const,
                message: `${room.name}: no receptacle serves its island. Are provisions there for one to be added later?`,
              },
            ]
          : []),
      ];
    }),
};
