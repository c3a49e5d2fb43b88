import { endId } from '../../../job/model/wiring';
import { isGround } from '../../../trade/standards/cables';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const w08: Rule = {
  id: 'W08',
  title: say('w08.title'),
  section: section('250.148(A), (B)'),
  severity: 'code',
  looksAt: say('w08.groundsEveryBox'),
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
      return joined ? [] : [{ at: at('box', box.id), ...tell('w08.groundsNotAllJoined', { box: box.name }) }];
    }),
};
