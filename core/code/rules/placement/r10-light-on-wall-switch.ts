import { WALL_ROOMS } from '../../../job/rooms/spacing';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const r10: Rule = {
  id: 'R10',
  title: say('r10.title'),
  section: section('210.70(A)'),
  severity: 'code',
  looksAt: say('r10.roomsWiredAnew'),
  check: (site) =>
    site.job.rooms.flatMap((room) => {
      const habitable = WALL_ROOMS.has(room.kind);
      const laundry = room.kind === 'laundry' && site.edition === '2023';
      if (!habitable && !laundry && !ALWAYS_LIT.has(room.kind)) return [];
      if (room.spacing !== 'judge' && !site.isNew(room.id)) return [];
      const switched = site.usersIn(room.id).filter(({ want }) => want.control !== null);
      // A switched receptacle will do in habitable rooms, kitchens and bathrooms aside (Exception 1).
      const plugsDo = habitable && room.kind !== 'kitchen';
      return switched.some(({ plug }) => plugsDo || !plug)
        ? []
        : [
            {
              at: at('room', room.id),
              ...tell('r10.missing', { room: room.name, plugsDo }),
            },
          ];
    }),
};

const ALWAYS_LIT: ReadonlySet<string> = new Set(['bathroom', 'hallway', 'stairway', 'garage']);
