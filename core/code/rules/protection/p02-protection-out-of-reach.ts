import { wishKind } from '../../../trade/devices';
import { REACH_SAYS } from './place';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const p02: Rule = {
  id: 'P02',
  title: say('p02.title'),
  section: section(say('p02.sections')),
  severity: 'code',
  newWork: true,
  looksAt: say('p02.whereTestButtons'),
  check: (site) =>
    site.job.devices.flatMap(({ id, kind, box: where }) => {
      const box = site.box(where);
      return !wishKind(kind).protection || !box || box.reach === 'open'
        ? []
        : [
            {
              at: at('device', id),
              ...tell('p02.readilyReachedReset', { box: box.name, reach: REACH_SAYS[box.reach] }),
            },
          ];
    }),
};
