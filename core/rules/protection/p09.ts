import { at, section, type Rule } from '../rule';

export const p09: Rule = {
  id: 'P09',
  title: 'Shared neutral carried through a two-wire protecting device: it trips',
  section: section('110.3(B)'),
  severity: 'stop',
  looksAt: 'what trips by itself',
  check: (site) =>
    site.findings('protection trips').map(({ at: where, message }) => ({
      at: site.device(where) ? at('device', where) : at('circuit', where),
      message,
    })),
};
