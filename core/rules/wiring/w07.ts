import { at, section, type Rule } from '../rule';

export const w07: Rule = {
  id: 'W07',
  title: 'Neutral and equipment ground joined past the service',
  section: section('250.142(B)'),
  severity: 'stop',
  looksAt: 'current in grounds',
  check: (site) =>
    site.findings('ground carries current').map(({ at: where, message }) => ({
      at: at('run', site.wiring.cables.find(({ id }) => id === where)?.run ?? where),
      message,
    })),
};
