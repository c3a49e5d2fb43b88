import { at, section, type Rule } from '../rule';
import { say, tell } from '../../words/rules';

export const p04: Rule = {
  id: 'P04',
  title: say('p04.receptacleNotTamperResistant'),
  section: section('406.12'),
  severity: 'code',
  newWork: true,
  looksAt: say('p04.marksReceptacles'),
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
              ...tell('p04.receptacleMustTamperResistant', { box: box?.name ?? device.box }),
              fix: {
                says: say('p04.tamperResistantOne'),
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
