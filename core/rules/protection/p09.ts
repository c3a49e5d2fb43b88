import { section, siteAt, type Rule } from '../rule';

export const p09: Rule = {
  id: 'P09',
  title: 'Shared neutral carried through a two-wire GFCI or AFCI device: it trips',
  section: section('110.3(B)'),
  severity: 'stop',
  looksAt: 'what trips by itself',
  check: (site) =>
    site.findings('protection trips').map((finding) => ({ at: siteAt(finding), message: finding.message })),
};
