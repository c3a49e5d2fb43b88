import { spacing, WALL_ROOMS } from '../../rooms/spacing';
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
      const fresh = site.job.boxes.every((box) => (box.spot?.room ?? box.room) !== room.id || !box.existing);
      const severity = fresh && counted.length > 0 ? ('code' as const) : ('craft' as const);
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
