import { endsOf } from '../../model/lookup';
import { maxBreakerA } from '../../standards/conductors';
import { at, section, type Rule } from '../rule';

export const s02: Rule = {
  id: 'S02',
  title: 'Pigtail smaller than the breaker allows',
  section: section('240.4(D)'),
  severity: 'stop',
  looksAt: 'every pigtail',
  check: (site) => {
    const ends = endsOf(site.wiring);
    const circuitsOf = (box: string, splice: string) =>
      site
        .contents(box)
        .splices.find(({ id }) => id === splice)
        ?.ends.flatMap((end) => ends.get(end)?.conductor.circuit ?? []) ?? [];
    return site.wiring.tails.flatMap(({ box, gauge, from, role, lead }) => {
      // The listed leads of a device or luminaire are excepted (240.5(B)(2)).
      if (from.at !== 'splice' || role === 'ground' || lead) return [];
      const breakerA = circuitsOf(box, from.splice).reduce(
        (most, id) => Math.max(most, site.circuit(id)?.breakerA ?? 0),
        0,
      );
      return breakerA <= maxBreakerA(gauge)
        ? []
        : [
            {
              at: at('box', box),
              message: `A ${gauge} AWG pigtail on a ${breakerA} A circuit in ${site.box(box)?.name ?? box}.`,
            },
          ];
    });
  },
};
