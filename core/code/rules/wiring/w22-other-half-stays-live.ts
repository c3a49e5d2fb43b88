import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const w22: Rule = {
  id: 'W22',
  title: say('w22.title'),
  section: section('210.7'),
  severity: 'craft',
  newWork: true,
  looksAt: say('w22.devicesBoxesTwoCircuits'),
  check: (site) =>
    site.job.boxes.flatMap((box) => {
      const own = new Set(
        site
          .contents(box.id)
          .cables.flatMap(({ conductors }) =>
            conductors.flatMap(({ circuit, role }) => (role === 'hot' && circuit !== null ? [circuit] : [])),
          ),
      );
      const [a, b] = [...own];
      if (a === undefined || b === undefined || site.circuit(a)?.tiedWith === b) return [];
      const number = (id: string) => site.circuit(id)?.number ?? id;
      return [
        {
          at: at('box', box.id),
          ...tell('w22.label', {
            box: box.name,
            first: number(a),
            second: number(b),
          }),
        },
      ];
    }),
};
