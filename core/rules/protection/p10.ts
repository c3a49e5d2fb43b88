import { section, siteAt, type Rule } from '../rule';

export const p10: Rule = {
  id: 'P10',
  title: 'An outlet that should be protected stays live when the button is pressed',
  section: section(''),
  severity: 'stop',
  looksAt: 'every test button',
  check: (site) =>
    site.findings('not protected').map((finding) => ({ at: siteAt(finding), message: finding.message })),
};
