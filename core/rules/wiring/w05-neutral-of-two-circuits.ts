import { sure } from '../../sure';
import { endsOf } from '../../model/lookup';
import { at, section, type Rule } from '../rule';

export const w05: Rule = {
  id: 'W05',
  title: 'One neutral serves two circuits that are not a multiwire circuit',
  section: section('200.4(A)'),
  severity: 'stop',
  looksAt: 'splices of neutrals',
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
              message: `In ${site.box(box)?.name ?? 'a box'} neutrals of two circuits, or from both sides of a GFCI or AFCI device, are joined.`,
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
              message: `Circuits ${sure(site.circuit(one), `circuit ${one}`).number} and ${sure(site.circuit(other), `circuit ${other}`).number} share the white of one cable.`,
            },
          ];
    });
    return [...hits, ...shared];
  },
};
