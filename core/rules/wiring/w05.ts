import { conductorOfEnd } from '../../model/wiring';
import { at, section, type Rule } from '../rule';

export const w05: Rule = {
  id: 'W05',
  title: 'One neutral serves two circuits that are not a multiwire circuit',
  section: section('200.4(A)'),
  severity: 'stop',
  looksAt: 'splices of neutrals',
  check: (site) => {
    const circuits = new Map(
      site.wiring.cables.flatMap(({ conductors }) => conductors.map((one) => [one.id, one.domain] as const)),
    );
    const pairs = new Map(site.job.circuits.map(({ id, multiwireWith }) => [id, multiwireWith]));
    const hits = site.wiring.splices.flatMap(({ box, role, ends }) => {
      if (role !== 'neutral') return [];
      const domains = new Set(ends.flatMap((end) => circuits.get(conductorOfEnd(end)) ?? []));
      return domains.size < 2
        ? []
        : [
            {
              at: at('box', box),
              message: `In ${site.box(box)?.name ?? box} neutrals of ${[...domains].join(' and ')} are joined.`,
            },
          ];
    });
    const shared = site.wiring.cables.flatMap(({ run, conductors }) => {
      const own = new Set(
        conductors.flatMap(({ circuit, role }) => (role === 'hot' && circuit !== null ? [circuit] : [])),
      );
      const whites = conductors.filter(({ role }) => role === 'neutral').length;
      const [one, other] = [...own];
      return one === undefined || other === undefined || whites !== 1 || pairs.get(one) === other
        ? []
        : [{ at: at('run', run), message: `Circuits ${one} and ${other} share the white of one cable.` }];
    });
    return [...hits, ...shared];
  },
};
