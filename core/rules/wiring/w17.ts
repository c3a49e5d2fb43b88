import { endsOf, terminalsOf } from '../../model/lookup';
import { connectorOf } from '../../makeup/splice-steps';
import { deviceKind } from '../../devices';
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
    const ends = endsOf(site.wiring);
    const terminals = terminalsOf(site.wiring);
    const splices = site.wiring.splices.flatMap((splice) => {
      const own = splice.ends.flatMap((end) => {
        const cable = ends.get(end)?.cable;
        return cable ? [cableRow(cable.type).gauge] : [];
      });
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
    const on = new Map<string, number>();
    for (const { terminal } of site.wiring.terminations) on.set(terminal, (on.get(terminal) ?? 0) + 1);
    for (const { to } of site.wiring.tails) on.set(to, (on.get(to) ?? 0) + 1);
    const screws = [...terminals].flatMap(([id, { device, terminal }]) => {
      const count = on.get(id) ?? 0;
      return count < 2
        ? []
        : [
            {
              at: at('box', device.box),
              message: `${count} conductors on one ${terminal.name} of the ${deviceKind(device.kind).name} at ${site.box(device.box)?.name ?? 'its box'}.`,
            },
          ];
    });
    return [...splices, ...screws];
  },
};
