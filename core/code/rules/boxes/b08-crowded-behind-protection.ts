import { wishKind } from '../../../trade/devices';
import { cableRow } from '../../../trade/standards/cables';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const b08: Rule = {
  id: 'B08',
  title: say('b08.title'),
  section: section('110.3(B)'),
  severity: 'ask',
  newWork: true,
  looksAt: say('b08.boxesGfciAfciReceptacle'),
  check: (site) =>
    site.job.devices.flatMap(({ id, kind, box }) => {
      if (!wishKind(kind).protection) return [];
      const count = site
        .contents(box)
        .cables.reduce((sum, { type }) => sum + cableRow(type).insulated.length, 0);
      return count <= 4
        ? []
        : [
            {
              at: at('device', id),
              ...tell('b08.finding', {
                count,
                box: site.box(box)?.name ?? box,
              }),
            },
          ];
    }),
};
