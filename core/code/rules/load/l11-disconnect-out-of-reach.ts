import { applianceOf, type ApplianceId } from '../../../trade/standards/appliances';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

/** Built in under or into a counter: the plug is their disconnect, in the space beside them. */
const BUILT_IN: ReadonlySet<ApplianceId> = new Set<ApplianceId>(['dishwasher', 'disposer']);

export const l11: Rule = {
  id: 'L11',
  title: say('l11.title'),
  section: section('422.16(B), 422.33(A)'),
  severity: 'code',
  newWork: true,
  looksAt: say('l11.plugsDishwashersDisposers'),
  check: (site) =>
    site.users.flatMap(({ device, plug, want }) => {
      const box = site.box(device.box);
      const appliance = applianceOf(want.appliance);
      return plug && box?.reach === 'behind appliance' && appliance && BUILT_IN.has(appliance.id)
        ? [
            {
              at: at('device', device.id),
              ...tell('l11.finding', {
                box: box.name,
                appliance: appliance.name.toLowerCase(),
              }),
            },
          ]
        : [];
    }),
};
