import { wishKind } from '../../devices';
import { REACH_SAYS } from './place';
import { at, section, type Rule } from '../rule';

export const p02: Rule = {
  id: 'P02',
  title: 'The GFCI or AFCI device cannot be reached',
  section: section('210.8(A), Art. 100'),
  severity: 'code',
  newWork: true,
  looksAt: 'where test buttons are',
  check: (site) =>
    site.job.devices.flatMap(({ id, kind, box: where }) => {
      const box = site.box(where);
      return !wishKind(kind).protection || !box || box.reach === 'open'
        ? []
        : [
            {
              at: at('device', id),
              message: `It has to be readily reached to be reset: ${box.name} is ${REACH_SAYS[box.reach]}.`,
            },
          ];
    }),
};
