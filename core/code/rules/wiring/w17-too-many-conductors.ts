import { terminalsOf } from '../../../job/model/lookup';
import { connectorOf } from '../../../wiring/makeup/splice-steps';
import { deviceKind } from '../../../trade/devices';
import { at, section, type Rule } from '../rule';
import { ROLE_NAME } from '../../../wiring/makeup/splice-steps';
import { say, tell } from '../../../base/words/rules';

export const w17: Rule = {
  id: 'W17',
  title: say('w17.title'),
  section: section('110.14, 110.3(B)'),
  severity: 'code',
  looksAt: say('w17.everySpliceScrew'),
  check: (site) => {
    const terminals = terminalsOf(site.wiring);
    const splices = site.wiring.splices
      .filter((splice) => connectorOf(site, splice) === undefined)
      .map((splice) => ({
        at: at('box', splice.box),
        ...tell('w17.finding', {
          role: ROLE_NAME[splice.role],
          box: site.box(splice.box)?.name ?? splice.box,
        }),
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
              ...tell('w17.conductorsOne', {
                count,
                terminal: terminal.name,
                deviceKind: deviceKind(device.kind).name,
                box: site.box(device.box)?.name ?? say('w17.box'),
              }),
            },
          ];
    });
    return [...splices, ...screws];
  },
};
