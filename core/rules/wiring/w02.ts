import { opensNeutral } from './opens-neutral';
import { at, section, type Rule } from '../rule';

export const w02: Rule = {
  id: 'W02',
  title: 'Hot on the silver side, or neutral on the brass side',
  section: section('200.11'),
  severity: 'stop',
  looksAt: 'polarity at every part',
  check: (site) =>
    site
      .findings('polarity')
      .filter(({ at: where }) => !opensNeutral(site, where))
      .map(({ at: where, message }) => ({ at: at('device', where.split('/')[0] ?? where), message })),
};
