import { groundedBoxes } from '../../../wiring/layout/grounds';
import type { PartKey } from '../../../job/model/wiring';
import { partOf } from '../../../power/proof/proof';
import type { Site } from '../site';
import { wishKind } from '../../../trade/devices';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

/** Outlets whose ground the verification misses, and those of boxes that were found to have none. */
function ungrounded(site: Site): Set<PartKey> {
  const grounded = groundedBoxes(site.job);
  const missing = site.findings('no ground').flatMap((finding) => partOf(finding) ?? []);
  const bare = site.users.flatMap(({ key, device, plug }) =>
    plug && !grounded.has(device.box) ? [key] : [],
  );
  return new Set([...missing, ...bare]);
}

export const p07: Rule = {
  id: 'P07',
  title: say('p07.replacementWithoutEquipmentGround'),
  section: section('406.4(D)(2)'),
  severity: 'code',
  looksAt: say('p07.replacedReceptaclesNoGround'),
  check: (site) =>
    [...ungrounded(site)].flatMap((part) => {
      const user = site.users.find(({ key }) => key === part);
      const device = user?.device;
      if (!device?.replaces) return [];
      const covered = site.protectedBy(['gfci', 'dual']).has(part);
      const right =
        device.marks.includes('no equipment ground') &&
        (!covered ||
          wishKind(device.kind).protection !== undefined ||
          device.marks.includes('gfci protected'));
      return covered && right
        ? []
        : [
            {
              at: at('device', device.id),
              ...tell('p07.finding', {
                protection: Boolean(wishKind(device.kind).protection),
              }),
              fix: {
                says: say('p07.markSo'),
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
