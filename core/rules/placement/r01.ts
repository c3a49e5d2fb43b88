import { spacing, WALL_ROOMS } from '../../rooms/spacing';
import type { Site } from '../site';
import { at, section, type Rule } from '../rule';

export const r01: Rule = {
  id: 'R01',
  title: 'A point of the wall is more than 6 ft from a receptacle',
  section: section('210.52(A), (C), (D), (F) to (H)'),
  severity: 'code',
  looksAt: 'walls of rooms that were drawn',
  check: (site) =>
    site.job.rooms.flatMap((room) => {
      const { gaps, counted } = spacing(site.job, room);
      const severity =
        isNewWork(site, room.id) && counted.length > 0 ? ('code' as const) : ('craft' as const);
      if (WALL_ROOMS.has(room.kind)) {
        return gaps.map(({ wall, fromFt, toFt }) => ({
          at: at('room', room.id),
          severity,
          message: `${room.name}, wall ${wall + 1}: ${fromFt.toFixed(1)} to ${toFt.toFixed(1)} ft is more than 6 ft from a receptacle that counts.`,
        }));
      }
      const long = room.kind === 'hallway' && room.wallsFt.reduce((most, ft) => Math.max(most, ft), 0) >= 10;
      const own = long || room.kind === 'bathroom' || room.kind === 'laundry' || room.kind === 'garage';
      const has = site.receptacles.some(
        (device) =>
          site.room(site.box(device.box))?.id === room.id &&
          site.usersOf(device.id).some(({ want }) => want.control === null),
      );
      return own && !has
        ? [{ at: at('room', room.id), severity, message: `${room.name} needs a receptacle of its own.` }]
        : [];
    }),
};

/** A room of new boxes on new circuits; where any of it was there, what stands beside it may not be in the job. */
function isNewWork(site: Site, room: string): boolean {
  const own = site.users.filter(({ device }) => site.room(site.box(device.box))?.id === room);
  return own.every(
    ({ device, want }) => !site.box(device.box)?.existing && site.circuit(want.circuit)?.fresh === true,
  );
}
