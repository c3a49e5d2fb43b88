import { partOf } from '../../../power/proof/proof';
import { opensNeutral } from './opens-neutral';
import { section, siteAt, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const w03: Rule = {
  id: 'W03',
  title: say('w03.title'),
  section: section('404.2(B)'),
  severity: 'stop',
  looksAt: say('w03.looksAt'),
  check: (site) =>
    site
      .findings('polarity')
      .filter((finding) => opensNeutral(site, partOf(finding)))
      .map((finding) => ({
        at: siteAt(finding),
        ...tell('w03.finding', { message: finding.message }),
      })),
};
