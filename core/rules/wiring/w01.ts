import { at, section, type Rule } from '../rule';

export const w01: Rule = {
  id: 'W01',
  title: 'A receptacle half or light does not do what was wished',
  section: section(''),
  severity: 'stop',
  looksAt: 'every part in every switch state',
  check: (site) =>
    site
      .findings('not as wished')
      .map(({ at: where, message }) => ({ at: at('device', where.split('/')[0] ?? where), message })),
};
