import { section, siteAt, type Rule } from '../rule';

export const w07: Rule = {
  id: 'W07',
  title: 'Neutral and equipment ground joined past the service',
  section: section('250.142(B)'),
  severity: 'stop',
  looksAt: 'current in grounds',
  check: (site) =>
    site
      .findings('ground carries current', 'ground joined')
      .map((finding) => ({ at: siteAt(finding), message: finding.message })),
};
