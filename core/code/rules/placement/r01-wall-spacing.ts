import type { Room } from '../../../job/model/design';
import { spacing, WALL_ROOMS } from '../../../job/rooms/spacing';
import { at, section, type Hit, type Rule } from '../rule';
import type { Site } from '../site';
import { say, tell } from '../../../base/words/rules';

export const r01: Rule = {
  id: 'R01',
  title: say('r01.title'),
  section: section(say('r01.n21052DFH')),
  severity: 'code',
  looksAt: say('r01.wallsRoomsWereDrawn'),
  check: (site) =>
    site.job.rooms.flatMap((room): Hit[] => {
      const { gaps, counted } = spacing(site.job, room);
      if (room.kind === 'garage') return garage(site, room);
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
          ...tell('r01.finding', { room: room.name }),
          fix: {
            says: say('r01.leaveUnjudged'),
            commands: [{ do: 'set room', room: { ...room, spacing: 'leave' } }],
          },
        },
      ];
    }),
};

/** Higher than this a receptacle of a garage does not count, in (5½ ft). */
const GARAGE_HIGH_IN = 66;

/** One in each vehicle bay, at most 5½ ft above the floor (210.52(G)(1)); of a garage that was there only none is a finding. */
function garage(site: Site, room: Room): Hit[] {
  const whole = room.spacing === 'judge' || site.isNew(room.id);
  if (room.spacing === 'leave' || !whole) return [];
  const low = new Set(
    site
      .usersIn(room.id)
      .filter(({ device, plug, want }) => {
        const box = site.box(device.box);
        return (
          plug && want.control === null && box?.reach !== 'ceiling' && (box?.heightIn ?? 0) <= GARAGE_HIGH_IN
        );
      })
      .map(({ device }) => device.box),
  ).size;
  if (room.bays === null)
    return low === 0
      ? [{ at: at('room', room.id), ...tell('r01.garageNeedsOne', { room: room.name }) }]
      : [
          {
            at: at('room', room.id),
            severity: 'ask',
            ...tell('r01.garageHowManyBays', { room: room.name, count: low }),
          },
        ];
  return low >= room.bays
    ? []
    : [
        {
          at: at('room', room.id),
          ...tell('r01.garageBays', { room: room.name, bays: room.bays, count: low }),
        },
      ];
}

/** Rooms that need one whatever their walls are; a hallway from 10 ft on (210.52(D), (F), (H)). */
const needsOne = ({ kind, wallsFt }: { kind: string; wallsFt: readonly number[] }): boolean =>
  (kind === 'hallway' && wallsFt.some((ft) => ft >= 10)) || kind === 'bathroom' || kind === 'laundry';
