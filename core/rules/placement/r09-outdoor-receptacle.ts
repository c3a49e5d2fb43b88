import { at, section, type Rule } from '../rule';

/** Higher than this above grade an outdoor receptacle does not count, in (6½ ft). */
const HIGH_IN = 78;

export const r09: Rule = {
  id: 'R09',
  title: 'Outdoors without a receptacle in reach from grade, or from its balcony, deck or porch',
  section: section('210.52(E)(1), (3)'),
  severity: 'code',
  looksAt: 'places outdoors that are wired anew',
  check: (site) =>
    site.job.rooms.flatMap((room) => {
      if (room.kind !== 'outdoors' || room.spacing === 'leave') return [];
      if (room.spacing !== 'judge' && !site.isNew(room.id)) return [];
      const counts = site
        .usersIn(room.id)
        .some(
          ({ device, plug, want }) =>
            plug && want.control === null && (site.box(device.box)?.heightIn ?? 0) <= HIGH_IN,
        );
      return counts
        ? []
        : [
            {
              at: at('room', room.id),
              message: `${room.name} needs a receptacle that is always on, at most 6½ ft above grade or floor.`,
            },
          ];
    }),
};
