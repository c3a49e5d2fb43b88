import { section, siteAt, type Rule } from '../rule';

export const w06: Rule = {
  id: 'W06',
  title: 'A net forms a loop: two paths in parallel',
  section: section('310.10(H)', '310.10(G)', '310.10(G), 300.3(B)'),
  severity: 'code',
  looksAt: 'hots and neutrals as graphs',
  check: (site) =>
    site.findings('loop').map((finding) => ({ at: siteAt(finding), message: finding.message })),
};
