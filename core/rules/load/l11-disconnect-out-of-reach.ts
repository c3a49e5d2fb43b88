import { applianceOf, type ApplianceId } from '../../standards/appliances';
import { at, section, type Rule } from '../rule';

/** Built in under or into a counter: the plug is their disconnect, in the space beside them. */
const BUILT_IN: ReadonlySet<ApplianceId> = new Set<ApplianceId>(['dishwasher', 'disposer']);

export const l11: Rule = {
  id: 'L11',
  title: 'The plug that is the disconnect of a built-in appliance is out of reach',
  section: section('422.16(B), 422.33(A)'),
  severity: 'code',
  newWork: true,
  looksAt: 'plugs of dishwashers and disposers',
  check: (site) =>
    site.users.flatMap(({ device, plug, want }) => {
      const box = site.box(device.box);
      const appliance = applianceOf(want.appliance);
      return plug && box?.reach === 'behind appliance' && appliance && BUILT_IN.has(appliance.id)
        ? [
            {
              at: at('device', device.id),
              message: `${box.name}: the plug of the ${appliance.name.toLowerCase()} must be in reach, in the space beside it, not behind it.`,
            },
          ]
        : [];
    }),
};
