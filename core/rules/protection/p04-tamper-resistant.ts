import { at, section, type Rule } from '../rule';

export const p04: Rule = {
  id: 'P04',
  title: 'Receptacle not tamper-resistant',
  section: section('406.12'),
  severity: 'code',
  newWork: true,
  looksAt: 'marks on receptacles',
  check: (site) =>
    site.receptacles.flatMap((device) => {
      const box = site.box(device.box);
      const exempt =
        (box?.heightIn ?? 0) > 66 ||
        box?.reach === 'behind appliance' ||
        (device.replaces && device.marks.includes('no equipment ground'));
      return device.marks.includes('tamper-resistant') || exempt
        ? []
        : [
            {
              at: at('device', device.id),
              message: `The receptacle at ${box?.name ?? device.box} must be tamper-resistant.`,
              fix: {
                says: 'A tamper-resistant one',
                commands: [
                  {
                    do: 'set device' as const,
                    device: device.id,
                    change: { marks: [...device.marks, 'tamper-resistant' as const] },
                  },
                ],
              },
            },
          ];
    }),
};
