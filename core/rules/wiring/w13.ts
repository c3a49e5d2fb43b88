import { domainId } from '../../layout/domains';
import { conductorOfEnd } from '../../model/wiring';
import { at, section, type Rule } from '../rule';

export const w13: Rule = {
  id: 'W13',
  title: 'The neutral of a multiwire circuit depends on the screws of a device',
  section: section('300.13(B)'),
  severity: 'stop',
  looksAt: 'neutrals at devices of multiwire circuits',
  check: (site) => {
    const shared = new Set(
      site.job.circuits
        .filter((one) => one.multiwireWith !== null)
        .map(({ id }) => domainId(site.job, { circuit: id, via: null })),
    );
    const neutrals = new Map(
      site.wiring.cables.flatMap(({ conductors }) => conductors.map((one) => [one.id, one] as const)),
    );
    return site.wiring.devices.flatMap(({ id, box }) => {
      const through = site.contents(box).terminations.filter(({ end, terminal }) => {
        const conductor = neutrals.get(conductorOfEnd(end));
        return (
          terminal.startsWith(`${id}:`) && conductor?.role === 'neutral' && shared.has(conductor.domain ?? '')
        );
      });
      return through.length < 2
        ? []
        : [
            {
              at: at('device', id),
              message: `Take ${id} out and the shared neutral is open for what comes after it.`,
            },
          ];
    });
  },
};
