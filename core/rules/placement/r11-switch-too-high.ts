import { at, section, type Rule } from '../rule';

/** The center of a switch's grip in its highest position, in (6 ft 7 in). */
const HIGH_IN = 79;

export const r11: Rule = {
  id: 'R11',
  title: 'Switch higher than 6 ft 7 in',
  section: section('404.8(A)'),
  severity: 'code',
  newWork: true,
  looksAt: 'heights of switches',
  check: (site) =>
    site.handles().flatMap(({ device }) => {
      const box = site.box(device.box);
      return box?.heightIn == null || box.heightIn <= HIGH_IN
        ? []
        : [
            {
              at: at('device', device.id),
              message: `The switch in ${box.name} is ${box.heightIn} in up; at most 79 in above the floor or platform.`,
            },
          ];
    }),
};
