import type { RoomKind } from '../../../job/model/design';
import { at, section, type Rule } from '../rule';
import { ROOM_KIND_NAME } from '../../../job/model/place-names';
import { say, tell } from '../../../base/words/rules';

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
  title: say('r03.title'),
  section: section('210.70(A)(1), (2), (C)'),
  severity: 'code',
  looksAt: say('r03.looksAt'),
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
              ...tell('r03.finding', {
                room: room.name,
                kind: ROOM_KIND_NAME[room.kind],
              }),
            },
          ];
    }),
};
