import { wishKind } from '../../devices';
import { at, section, type Rule } from '../rule';

export const p12: Rule = {
  id: 'P12',
  title: 'Monthly test of GFCI and AFCI devices not scheduled',
  section: section('110.3(B)'),
  severity: 'craft',
  looksAt: 'GFCI and AFCI devices and breakers',
  check: ({ job }) => {
    const count =
      job.devices.filter(({ kind }) => wishKind(kind).protection).length +
      job.circuits.filter(({ protection }) => protection !== 'none').length;
    return count === 0
      ? []
      : [
          {
            at: at('job', job.id),
            message: `${count} GFCI or AFCI device${count === 1 ? '' : 's'}: press TEST every month. Tell the owner.`,
          },
        ];
  },
};
