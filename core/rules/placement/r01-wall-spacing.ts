import { spacing, WALL_ROOMS } from '../../rooms/spacing';
import { at, section, type Hit, type Rule } from '../rule';
import { say, tell } from '../../words/rules';

export const r01: Rule = {
  id: 'R01',
  title: say('r01.pointWallMoreThan6'),
  section: section(say('r01.n21052DFH')),
  severity: 'code',
  looksAt: say('r01.wallsRoomsWereDrawn'),
  check: (site) =>
    site.job.rooms.flatMap((room): Hit[] => {
      const { gaps, counted } = spacing(site.job, room);
      const told = WALL_ROOMS.has(room.kind)
        ? gaps.length === 0
          ? null
          : tell('r01.moreThan6FtFrom', {
              room: room.name,
              gaps: gaps
                .map(({ wall, fromFt, toFt }) =>
                  say('r01.wallFt', { wall: wall + 1, fromFt: fromFt.toFixed(1), toFt: toFt.toFixed(1) }),
                )
                .join('; '),
            })
        : needsOne(room) && !site.alwaysOnIn(room.id)
          ? tell('r01.needsReceptacleOwn', { room: room.name })
          : null;
      if (told === null || room.spacing === 'leave') return [];
      // Of a room that was there, the other receptacles may not be in the job: one question, not a finding for each wall.
      if (
        room.spacing === 'judge' ||
        (site.isNew(room.id) && (counted.length > 0 || !WALL_ROOMS.has(room.kind)))
      )
        return [{ at: at('room', room.id), ...told }];
      return [
        {
          at: at('room', room.id),
          severity: 'ask',
          ...tell('r01.allReceptaclesJobEnterOthers', { room: room.name }),
          fix: {
            says: say('r01.leaveUnjudged'),
            commands: [{ do: 'set room', room: { ...room, spacing: 'leave' } }],
          },
        },
      ];
    }),
};

/** Rooms that need one whatever their walls are; a hallway from 10 ft on (210.52(D), (F) to (H)). */
const needsOne = ({ kind, wallsFt }: { kind: string; wallsFt: readonly number[] }): boolean =>
  (kind === 'hallway' && wallsFt.some((ft) => ft >= 10)) ||
  kind === 'bathroom' ||
  kind === 'laundry' ||
  kind === 'garage';
