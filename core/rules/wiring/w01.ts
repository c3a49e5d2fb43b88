import { section, siteAt, type Rule } from '../rule';

export const w01: Rule = {
  id: 'W01',
  title: 'A receptacle half or light does not do what was wished',
  section: section(''),
  severity: 'stop',
  looksAt: 'every part in every switch state',
  check: (site) =>
    site.findings('not as wished').map((finding) => ({ at: siteAt(finding), message: finding.message })),
};
