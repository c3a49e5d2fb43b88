import { section, siteAt, type Rule } from '../rule';

export const w24: Rule = {
  id: 'W24',
  title: 'A conductor end left loose, or a part that is never live or never off',
  section: section('110.14(B)'),
  severity: 'stop',
  looksAt: 'every conductor end; every part in every switch state',
  check: (site) =>
    site
      .findings('loose end', 'never live', 'never dead')
      .map((finding) => ({ at: siteAt(finding), message: finding.message })),
};
