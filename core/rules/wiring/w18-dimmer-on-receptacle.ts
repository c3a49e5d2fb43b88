import { wishKind } from '../../devices';
import { at, section, type Rule } from '../rule';

export const w18: Rule = {
  id: 'W18',
  title: 'Dimmer, timer or sensor controls a receptacle',
  section: section('404.14(E)', '404.14(E), 404.14(F)'),
  severity: 'code',
  newWork: true,
  looksAt: 'what each electronic control turns on',
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
          message: `${kind.dims ? 'A dimmer' : 'An electronic switch'} at ${site.box(device.box)?.name ?? device.box} controls a receptacle and is not listed for it.`,
          fix: {
            says: 'Put a plain switch there',
            commands: [{ do: 'set kind' as const, device: device.id, kind: 'switch' as const }],
          },
        },
      ];
    }),
};
