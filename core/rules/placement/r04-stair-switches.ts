import { at, section, type Hit, type Rule } from '../rule';

const RISERS = 6;

export const r04: Rule = {
  id: 'R04',
  title: 'Stairs of six risers or more between floors ask for a switch at both ends',
  section: section('210.70(A)(2)'),
  severity: 'code',
  newWork: true,
  looksAt: 'lights of stairways',
  check: (site) =>
    site.job.rooms.flatMap((room) => {
      if (room.kind !== 'stairway' || (room.risers !== null && room.risers < RISERS)) return [];
      const lights = site.users.filter(
        ({ device, plug, want }) =>
          !plug && want.control !== null && site.room(site.box(device.box))?.id === room.id,
      );
      return lights.flatMap(({ device, want }): Hit[] => {
        const places = (want.control === null ? [] : site.handlesOf(want.control)).length;
        if (places >= 2) return [];
        return [
          room.risers === null
            ? {
                at: at('device', device.id),
                severity: 'ask',
                message: `${room.name}: its light has one switch. How many risers are there? Six or more need one at each floor.`,
              }
            : {
                at: at('device', device.id),
                message: `${room.name}: its light has one switch; ${room.risers} risers need one at each floor.`,
              },
        ];
      });
    }),
};
