import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

/** Higher than this above grade an outdoor receptacle does not count, in (6½ ft). */
const HIGH_IN = 78;

export const r09: Rule = {
  id: 'R09',
  title: say('r09.title'),
  section: section('210.52(E)(1), (3)'),
  severity: 'code',
  looksAt: say('r09.placesOutdoorsWiredAnew'),
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
              ...tell('r09.missing', { room: room.name }),
            },
          ];
    }),
};
