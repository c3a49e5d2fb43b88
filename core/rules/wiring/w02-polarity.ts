import { partOf } from '../../proof/proof';
import { opensNeutral } from './opens-neutral';
import { section, siteAt, type Rule } from '../rule';

export const w02: Rule = {
  id: 'W02',
  title: 'Hot on the silver side, or neutral on the brass side',
  section: section('200.11'),
  severity: 'stop',
  looksAt: 'polarity at every part',
  check: (site) =>
    site
      .findings('polarity')
      .filter((finding) => !opensNeutral(site, partOf(finding)))
      .map((finding) => ({ at: siteAt(finding), message: finding.message })),
};
