import { at, section, type Rule } from '../rule';

export const r04: Rule = {
  id: 'R04',
  title: 'Stairs of six risers or more between floors ask for a switch at both ends',
  section: section('210.70(A)(2)'),
  severity: 'code',
  looksAt: 'lights of stairways',
  check: (site) =>
    site.job.rooms.flatMap((room) => {
      if (room.kind !== 'stairway') return [];
      const lights = site.users.filter(
        ({ device, plug, want }) =>
          !plug && want.control !== null && site.room(site.box(device.box))?.id === room.id,
      );
      return lights.flatMap(({ device, want }) => {
        const places = site.handles().filter(({ group }) => group === want.control).length;
        return places >= 2
          ? []
          : [
              {
                at: at('device', device.id),
                message: `${room.name}: its light has one switch. Six risers or more need one at each floor.`,
              },
            ];
      });
    }),
};
