import { spacing, WALL_ROOMS } from '../../rooms/spacing';
import { at, section, type Hit, type Rule } from '../rule';

export const r01: Rule = {
  id: 'R01',
  title: 'A point of the wall is more than 6 ft from a receptacle',
  section: section('210.52(A), (D), (F) to (H)'),
  severity: 'code',
  looksAt: 'walls of rooms that were drawn',
  check: (site) =>
    site.job.rooms.flatMap((room): Hit[] => {
      const { gaps, counted } = spacing(site.job, room);
      const says = WALL_ROOMS.has(room.kind)
        ? gaps.length === 0
          ? null
          : `${room.name}: more than 6 ft from a receptacle that counts: ${gaps.map(({ wall, fromFt, toFt }) => `wall ${wall + 1}, ${fromFt.toFixed(1)} to ${toFt.toFixed(1)} ft`).join('; ')}.`
        : needsOne(room) && !site.alwaysOnIn(room.id)
          ? `${room.name} needs a receptacle of its own.`
          : null;
      if (says === null || room.spacing === 'leave') return [];
      // Of a room that was there, the other receptacles may not be in the job: one question, not a finding for each wall.
      if (
        room.spacing === 'judge' ||
        (site.isNew(room.id) && (counted.length > 0 || !WALL_ROOMS.has(room.kind)))
      )
        return [{ at: at('room', room.id), message: says }];
      return [
        {
          at: at('room', room.id),
          severity: 'ask',
          message: `Are all receptacles of ${room.name} in this job? Enter the others, or leave its spacing unjudged.`,
          fix: {
            says: 'Leave it unjudged',
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
