import { endsOf } from '../../../job/model/lookup';
import { maxBreakerA } from '../../../trade/standards/conductors';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const s02: Rule = {
  id: 'S02',
  title: say('s02.title'),
  section: section('240.4(D)'),
  severity: 'stop',
  looksAt: say('s02.everyPigtail'),
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
              ...tell('s02.awgPigtailCircuit', { gauge, breakerA, box: site.box(box)?.name ?? box }),
            },
          ];
    });
  },
};
