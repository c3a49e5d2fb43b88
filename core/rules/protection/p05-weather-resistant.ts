import { at, section, type Hit, type Rule } from '../rule';

export const p05: Rule = {
  id: 'P05',
  title: 'Outdoor or wet: not weather-resistant, or no fitting cover',
  section: section('406.9(A), (B)'),
  severity: 'code',
  newWork: true,
  looksAt: 'marks on receptacles in damp and wet places',
  check: (site) =>
    site.receptacles.flatMap((device): Hit[] => {
      const box = site.box(device.box);
      const exposure = box?.exposure ?? 'dry';
      if (exposure === 'dry') {
        return site.roomKind(box) === 'outdoors'
          ? [
              {
                at: at('device', device.id),
                severity: 'ask' as const,
                message: `${box?.name ?? device.box} is outdoors and was left dry: is it damp, or wet?`,
              },
            ]
          : [];
      }
      const needs = ['weather-resistant', exposure === 'wet' ? 'in-use cover' : 'damp cover'] as const;
      const lacks = needs.filter(
        (mark) =>
          !device.marks.includes(mark) && !(mark === 'damp cover' && device.marks.includes('in-use cover')),
      );
      return lacks.length === 0
        ? []
        : [
            {
              at: at('device', device.id),
              message: `${box?.name ?? device.box} is ${exposure}: it needs ${lacks.join(' and ')}${lacks.includes('in-use cover') ? ' (extra-duty)' : ''}.`,
              fix: {
                says: lacks.join(' and '),
                commands: [
                  {
                    do: 'set device' as const,
                    device: device.id,
                    change: { marks: [...device.marks, ...lacks] },
                  },
                ],
              },
            },
          ];
    }),
};
