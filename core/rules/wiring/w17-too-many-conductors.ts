import { terminalsOf } from '../../model/lookup';
import { connectorOf } from '../../makeup/splice-steps';
import { deviceKind } from '../../devices';
import { at, section, type Rule } from '../rule';

export const w17: Rule = {
  id: 'W17',
  title: 'More conductors in a terminal or connector than it is listed for',
  section: section('110.14, 110.3(B)'),
  severity: 'code',
  looksAt: 'every splice and screw',
  check: (site) => {
    const terminals = terminalsOf(site.wiring);
    const splices = site.wiring.splices
      .filter((splice) => connectorOf(site, splice) === undefined)
      .map((splice) => ({
        at: at('box', splice.box),
        message: `No connector of this job holds the ${splice.role} splice in ${site.box(splice.box)?.name ?? splice.box}.`,
      }));
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
