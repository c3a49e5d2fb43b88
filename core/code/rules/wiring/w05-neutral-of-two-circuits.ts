import { sure } from '../../../base/sure';
import { endsOf } from '../../../job/model/lookup';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const w05: Rule = {
  id: 'W05',
  title: say('w05.title'),
  section: section('200.4(A)'),
  severity: 'stop',
  looksAt: say('w05.splicesNeutrals'),
  check: (site) => {
    const known = endsOf(site.wiring);
    const pairs = new Map(site.job.circuits.map(({ id, multiwireWith }) => [id, multiwireWith]));
    const hits = site.wiring.splices.flatMap(({ box, role, ends }) => {
      if (role !== 'neutral') return [];
      const domains = new Set(ends.flatMap((end) => known.get(end)?.conductor.domain ?? []));
      return domains.size < 2
        ? []
        : [
            {
              at: at('box', box),
              ...tell('w05.finding', { box: site.box(box)?.name ?? box }),
            },
          ];
    });
    const shared = site.wiring.cables.flatMap(({ run, conductors }) => {
      const own = new Set(
        conductors.flatMap(({ circuit, role }) => (role === 'hot' && circuit !== null ? [circuit] : [])),
      );
      const whites = conductors.filter(({ role }) => role === 'neutral').length;
      // Any two of them, not only the first two: a third circuit may be the stranger.
      const [one, other] =
        [...own].flatMap((a) =>
          [...own].flatMap((b) => (a === b || pairs.get(a) === b ? [] : [[a, b]])),
        )[0] ?? [];
      return one === undefined || other === undefined || whites !== 1
        ? []
        : [
            {
              at: at('run', run),
              ...tell('w05.sharedWhite', {
                first: sure(site.circuit(one), `circuit ${one}`).number,
                second: sure(site.circuit(other), `circuit ${other}`).number,
              }),
            },
          ];
    });
    return [...hits, ...shared];
  },
};
