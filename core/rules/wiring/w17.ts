import { conductorOfEnd } from '../../model/wiring';
import { connectorOf } from '../../makeup/steps';
import { PANEL } from '../../model/job';
import { cableRow } from '../../standards/cables';
import { GAUGES } from '../../standards/conductors';
import { at, section, type Rule } from '../rule';

export const w17: Rule = {
  id: 'W17',
  title: 'More conductors in a terminal or connector than it is listed for',
  section: section('110.14, 110.3(B)'),
  severity: 'code',
  looksAt: 'every splice and screw',
  check: (site) => {
    const gauges = new Map(
      site.wiring.cables.flatMap(({ type, conductors }) =>
        conductors.map(({ id }) => [id, cableRow(type).gauge] as const),
      ),
    );
    const splices = site.wiring.splices.flatMap((splice) => {
      const own = splice.ends.map((end) => gauges.get(conductorOfEnd(end)) ?? 14);
      const gauge = GAUGES.findLast((one) => own.includes(one)) ?? 14;
      return connectorOf(site, splice, gauge) !== undefined
        ? []
        : [
            {
              at: at('box', splice.box),
              message: `No connector of this job holds the ${splice.role} splice in ${site.box(splice.box)?.name ?? splice.box}.`,
            },
          ];
    });
    const on = new Map<string, { count: number; box: string }>();
    for (const { terminal, box } of site.wiring.terminations)
      on.set(terminal, { count: (on.get(terminal)?.count ?? 0) + 1, box });
    for (const { to, box } of site.wiring.tails)
      if (!to.startsWith(`${box}:`)) on.set(to, { count: (on.get(to)?.count ?? 0) + 1, box });
    const screws = [...on].flatMap(([terminal, { count, box }]) =>
      count < 2 || box === PANEL || terminal.startsWith('panel:')
        ? []
        : [{ at: at('box', box), message: `${count} conductors under the screw ${terminal}.` }],
    );
    return [...splices, ...screws];
  },
};
