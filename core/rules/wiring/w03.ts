import { opensNeutral } from './opens-neutral';
import { at, section, type Rule } from '../rule';

export const w03: Rule = {
  id: 'W03',
  title: 'A switch or breaker opens only the neutral',
  section: section('404.2(B)'),
  severity: 'stop',
  looksAt: 'parts that are dead but not safe',
  check: (site) =>
    site
      .findings('polarity')
      .filter(({ at: where }) => opensNeutral(site, where))
      .map(({ at: where }) => ({
        at: at('device', where.split('/')[0] ?? where),
        message: `${where.split('/')[0] ?? where}: off by its switch, and its hot side is still live. The switch is in the neutral.`,
      })),
};
