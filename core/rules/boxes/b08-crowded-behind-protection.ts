import { wishKind } from '../../devices';
import { cableRow } from '../../standards/cables';
import { at, section, type Rule } from '../rule';

export const b08: Rule = {
  id: 'B08',
  title: 'Many wires behind a GFCI or AFCI receptacle: check the instructions',
  section: section('110.3(B)'),
  severity: 'ask',
  newWork: true,
  looksAt: 'boxes with a GFCI or AFCI receptacle',
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
              message: `${count} insulated wires in ${site.box(box)?.name ?? box}: check the instructions: the device may need a bigger box or pigtails.`,
            },
          ];
    }),
};
