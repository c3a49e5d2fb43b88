import { wishKind } from '../../../trade/devices';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const w18: Rule = {
  id: 'W18',
  title: say('w18.title'),
  section: section('404.14(E)', '404.14(E), 404.14(F)'),
  severity: 'code',
  newWork: true,
  looksAt: say('w18.looksAt'),
  check: (site) =>
    site.handles().flatMap(({ device, group }) => {
      const kind = wishKind(device.kind);
      const timed = kind.electronic === true && site.edition !== '2017';
      if (!kind.dims && !timed) return [];
      if (device.marks.includes('listed for receptacles') || !site.controlled(group).some(({ plug }) => plug))
        return [];
      return [
        {
          at: at('device', device.id),
          ...tell('w18.unlisted', {
            dims: Boolean(kind.dims),
            box: site.box(device.box)?.name ?? device.box,
          }),
          fix: {
            says: say('w18.putPlainSwitch'),
            commands: [{ do: 'set kind' as const, device: device.id, kind: 'switch' as const }],
          },
        },
      ];
    }),
};
