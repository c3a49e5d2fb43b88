import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const l09: Rule = {
  id: 'L09',
  title: say('l09.title'),
  section: section('404.14(F)'),
  severity: 'code',
  newWork: true,
  looksAt: say('l09.switchesControlReceptacles'),
  check: (site) =>
    site.handles().flatMap(({ device, group }) => {
      const plugs = site.controlled(group).filter(({ plug }) => plug);
      const devices = new Set(plugs.map((user) => user.device));
      const [first] = plugs;
      const breakerA = first && site.circuit(first.want.circuit)?.breakerA;
      if (!first || breakerA === undefined || device.ratingA >= breakerA || breakerA > 20) return [];
      const [only] = [...devices];
      if (devices.size === 1 && only && device.ratingA >= only.ratingA) return [];
      return [
        {
          at: at('device', device.id),
          ...tell('l09.switchControlsReceptaclesCircuit', { ratingA: device.ratingA, breakerA }),
          fix: {
            says: say('l09.fix'),
            commands: [{ do: 'set rating' as const, device: device.id, ratingA: 20 as const }],
          },
        },
      ];
    }),
};
