import { WALL_ROOMS } from '../../rooms/spacing';
import { at, section, type Rule } from '../rule';

export const r10: Rule = {
  id: 'R10',
  title: 'No light, or switched receptacle in its place, on a wall switch',
  section: section('210.70(A)'),
  severity: 'code',
  looksAt: 'rooms that are wired anew',
  check: (site) =>
    site.job.rooms.flatMap((room) => {
      const habitable = WALL_ROOMS.has(room.kind);
      if (!habitable && !ALWAYS_LIT.has(room.kind)) return [];
      if (room.spacing !== 'judge' && !site.isNew(room.id)) return [];
      const switched = site.usersIn(room.id).filter(({ want }) => want.control !== null);
      // A switched receptacle will do in habitable rooms, kitchens and bathrooms aside (Exception 1).
      const plugsDo = habitable && room.kind !== 'kitchen';
      return switched.some(({ plug }) => plugsDo || !plug)
        ? []
        : [
            {
              at: at('room', room.id),
              message: `${room.name} needs a light on a wall switch${plugsDo ? ', or a switched receptacle in its place' : ''}.`,
            },
          ];
    }),
};

const ALWAYS_LIT: ReadonlySet<string> = new Set(['bathroom', 'hallway', 'stairway', 'garage']);
