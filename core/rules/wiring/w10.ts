import { at, section, type Rule } from '../rule';

export const w10: Rule = {
  id: 'W10',
  title: 'Grounding receptacle with no equipment ground',
  section: section('406.4(A), 250.130(C)'),
  severity: 'stop',
  looksAt: 'the ground pin of every outlet',
  check: (site) =>
    site.findings('no ground').flatMap(({ at: where, message }) => {
      const device = site.device(where.split('/')[0] ?? where);
      // A replacement is another rule's matter.
      return !device || device.replaces ? [] : [{ at: at('device', device.id), message }];
    }),
};
