import { wishKind } from '../../../trade/devices';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const p12: Rule = {
  id: 'P12',
  title: say('p12.title'),
  section: section('110.3(B)'),
  severity: 'craft',
  looksAt: say('p12.gfciAfciDevicesBreakers'),
  check: ({ job }) => {
    const count =
      job.devices.filter(({ kind }) => wishKind(kind).protection).length +
      job.circuits.filter(({ protection }) => protection !== 'none').length;
    return count === 0
      ? []
      : [
          {
            at: at('job', job.id),
            ...tell('p12.press', { count }),
          },
        ];
  },
};
