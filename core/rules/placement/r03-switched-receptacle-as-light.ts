import type { RoomKind } from '../../model/design';
import { at, section, type Rule } from '../rule';

const NEEDS_LIGHT = new Set<RoomKind>([
  'kitchen',
  'bathroom',
  'hallway',
  'stairway',
  'garage',
  'attic',
  'basement, unfinished',
  'crawl space',
]);

export const r03: Rule = {
  id: 'R03',
  title: 'A switched receptacle stands in for lighting where a light is required',
  section: section('210.70(A)(1), (2), (C)'),
  severity: 'code',
  looksAt: 'rooms whose switch turns on receptacles only',
  check: (site) =>
    site.job.rooms.flatMap((room) => {
      const needs = NEEDS_LIGHT.has(room.kind) || (room.kind === 'laundry' && site.edition === '2023');
      const inRoom = (id: string) => site.room(site.box(id))?.id === room.id;
      const switched = site.users.filter(({ device, want }) => inRoom(device.box) && want.control !== null);
      return !needs || switched.length === 0 || switched.some(({ plug }) => !plug)
        ? []
        : [
            {
              at: at('room', room.id),
              message: `${room.name} (${room.kind}) needs a switched light; a switched receptacle does not stand in for it.`,
            },
          ];
    }),
};
