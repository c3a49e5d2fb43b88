import { partOf } from '../../proof/proof';
import { opensNeutral } from './opens-neutral';
import { section, siteAt, type Rule } from '../rule';

export const w03: Rule = {
  id: 'W03',
  title: 'A switch or breaker opens only the neutral',
  section: section('404.2(B)'),
  severity: 'stop',
  looksAt: 'parts that are dead but not safe',
  check: (site) =>
    site
      .findings('polarity')
      .filter((finding) => opensNeutral(site, partOf(finding)))
      .map((finding) => ({
        at: siteAt(finding),
        message: `${finding.message} Off by its switch, and its hot side is still live: the switch is in the neutral.`,
      })),
};
