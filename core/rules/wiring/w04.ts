import { section, siteAt, type Rule } from '../rule';

export const w04: Rule = {
  id: 'W04',
  title: 'Hots and neutral of a circuit in a cable do not add to zero',
  section: section('300.3(B)'),
  severity: 'code',
  looksAt: 'currents in every cable, one load at a time and all different',
  check: (site) =>
    site
      .findings('cable does not cancel')
      .map((finding) => ({ at: siteAt(finding), message: finding.message })),
};
