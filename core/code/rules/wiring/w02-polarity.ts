import { partOf } from '../../../power/proof/proof';
import { opensNeutral } from './opens-neutral';
import { section, siteAt, type Rule } from '../rule';
import { say } from '../../../base/words/rules';

export const w02: Rule = {
  id: 'W02',
  title: say('w02.title'),
  section: section('200.11'),
  severity: 'stop',
  looksAt: say('w02.polarityEveryPart'),
  check: (site) =>
    site
      .findings('polarity')
      .filter((finding) => !opensNeutral(site, partOf(finding)))
      .map((finding) => ({ at: siteAt(finding), message: finding.message, says: finding.says })),
};
