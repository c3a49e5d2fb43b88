import { at, section, type Rule } from '../rule';

export const r05: Rule = {
  id: 'R05',
  title: 'Receptacle face-up in a counter or floor, or in the tub and shower zone',
  section: section('406.5, 314.27(B), 406.9(C)'),
  severity: 'stop',
  newWork: true,
  looksAt: 'how receptacles face, and how near the tub is',
  check: (site) =>
    site.receptacles.flatMap((device) => {
      const box = site.box(device.box);
      if (!box) return [];
      if (box.faces === 'up in a counter' || box.faces === 'in a floor') {
        return [
          {
            at: at('device', device.id),
            message: `${box.name} is ${box.faces}: only a listed assembly or floor box.`,
          },
        ];
      }
      const zoneFt = site.edition === '2017' ? 0 : 3;
      const tub =
        site.roomKind(box) === 'bathroom' &&
        box.waterFt !== null &&
        box.waterFt <= zoneFt &&
        (box.heightIn ?? 0) <= 96;
      return tub
        ? [
            {
              at: at('device', device.id),
              severity: site.edition === '2017' ? ('stop' as const) : ('ask' as const),
              message: `${box.name} is ${box.waterFt} ft from water. In the zone of a tub or shower${zoneFt > 0 ? ' (3 ft, to 8 ft up)' : ''} it may not be.`,
            },
          ]
        : [];
    }),
};
