import { deviceKind } from '../../../trade/devices';
import { domainId } from '../../../wiring/layout/domains';
import { endsOf, terminalsOf } from '../../../job/model/lookup';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const w13: Rule = {
  id: 'W13',
  title: say('w13.title'),
  section: section('300.13(B)'),
  severity: 'stop',
  looksAt: say('w13.neutralsDevicesMultiwireCircuits'),
  check: (site) => {
    const shared = new Set(
      site.job.circuits
        .filter((one) => one.multiwireWith !== null)
        .map(({ id }) => domainId(site.job, { circuit: id, via: null })),
    );
    const ends = endsOf(site.wiring);
    const terminals = terminalsOf(site.wiring);
    return site.wiring.devices.flatMap(({ id, box, kind }) => {
      const through = site.contents(box).terminations.filter(({ end, terminal }) => {
        const conductor = ends.get(end)?.conductor;
        return (
          terminals.get(terminal)?.device.id === id &&
          conductor?.role === 'neutral' &&
          conductor.domain !== null &&
          shared.has(conductor.domain)
        );
      });
      return through.length < 2
        ? []
        : [
            {
              at: at('device', id),
              ...tell('w13.finding', {
                deviceKind: deviceKind(kind).name,
                box: site.box(box)?.name ?? say('w13.box'),
              }),
            },
          ];
    });
  },
};
