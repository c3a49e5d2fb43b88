import { section, siteAt, type Rule } from '../rule';

export const w15: Rule = {
  id: 'W15',
  title: 'Hots of different circuits joined',
  section: section('210.7, 240.4'),
  severity: 'stop',
  looksAt: 'shorts, and what stays live with its breaker off',
  check: (site) =>
    site
      .findings('breaker trips', 'live with the breaker off')
      .map((finding) => ({ at: siteAt(finding), message: finding.message })),
};
