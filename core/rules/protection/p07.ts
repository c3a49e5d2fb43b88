import { deviceOf, partOf } from '../../proof/proof';
import { at, section, type Rule } from '../rule';

export const p07: Rule = {
  id: 'P07',
  title: 'Replacement without an equipment ground',
  section: section('406.4(D)(2)'),
  severity: 'code',
  looksAt: 'replaced receptacles with no ground',
  check: (site) =>
    site.findings('no ground').flatMap((finding) => {
      const [id, part] = [deviceOf(finding), partOf(finding)];
      const device = id === null ? undefined : site.device(id);
      if (!device?.replaces || part === null) return [];
      const covered = site.protectedBy(['gfci', 'dual']).has(part);
      const right =
        device.marks.includes('no equipment ground') &&
        (!covered || device.kind === 'gfci' || device.marks.includes('gfci protected'));
      return covered && right
        ? []
        : [
            {
              at: at('device', device.id),
              message: `No ground here: an ungrounded type, or GFCI protection marked "No Equipment Ground"${device.kind === 'gfci' ? '' : ' and "GFCI Protected"'}. No ground is run on from it.`,
              fix: {
                says: 'Mark it so',
                commands: [
                  {
                    do: 'set device' as const,
                    device: device.id,
                    change: {
                      marks: [
                        ...new Set([
                          ...device.marks,
                          'no equipment ground' as const,
                          'gfci protected' as const,
                        ]),
                      ],
                    },
                  },
                ],
              },
            },
          ];
    }),
};
