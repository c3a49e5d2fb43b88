import { at, section, type Hit, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

const RISERS = 6;

export const r04: Rule = {
  id: 'R04',
  title: say('r04.title'),
  section: section('210.70(A)(2)'),
  severity: 'code',
  newWork: true,
  looksAt: say('r04.lightsStairways'),
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
                ...tell('r04.askRisers', { room: room.name }),
              }
            : {
                at: at('device', device.id),
                ...tell('r04.oneSwitch', { room: room.name, risers: room.risers }),
              },
        ];
      });
    }),
};
