import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

/** The center of a switch's grip in its highest position, in (6 ft 7 in). */
const HIGH_IN = 79;

export const r11: Rule = {
  id: 'R11',
  title: say('r11.switchHigherThan6Ft'),
  section: section('404.8(A)'),
  severity: 'code',
  newWork: true,
  looksAt: say('r11.heightsSwitches'),
  check: (site) =>
    site.handles().flatMap(({ device }) => {
      const box = site.box(device.box);
      return box?.heightIn == null || box.heightIn <= HIGH_IN
        ? []
        : [
            {
              at: at('device', device.id),
              ...tell('r11.switchUpMost79Above', { box: box.name, heightIn: box.heightIn }),
            },
          ];
    }),
};
