import { endId } from '../../model/wiring';
import { isGround } from '../../standards/cables';
import { at, section, type Rule } from '../rule';

export const w08: Rule = {
  id: 'W08',
  title: 'Equipment grounds in a box not all joined',
  section: section('250.148(A), (B)'),
  severity: 'code',
  looksAt: 'grounds of every box',
  check: (site) =>
    site.job.boxes.flatMap((box) => {
      const { cables, splices, terminations } = site.contents(box.id);
      const ends = cables.flatMap(({ conductors }) =>
        conductors.filter(({ insulation }) => isGround(insulation)).map(({ id }) => endId(id, box.id)),
      );
      // One ground alone has nothing to be joined with.
      if (ends.length < 2) return [];
      const places = ends.map(
        (end) =>
          splices.find((one) => one.ends.includes(end))?.net ??
          terminations.find((one) => one.end === end)?.terminal ??
          null,
      );
      const joined = !places.includes(null) && new Set(places).size === 1;
      return joined
        ? []
        : [{ at: at('box', box.id), message: `The grounds in ${box.name} are not all joined.` }];
    }),
};
