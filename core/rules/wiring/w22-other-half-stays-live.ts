import { at, section, type Rule } from '../rule';

export const w22: Rule = {
  id: 'W22',
  title: 'The other half stays live when one breaker is off, and nothing says so',
  section: section('210.7'),
  severity: 'craft',
  newWork: true,
  looksAt: 'devices and boxes with two circuits',
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
          message: `${box.name} holds circuits ${number(a)} and ${number(b)}: label it, since one stays live with the other off.`,
        },
      ];
    }),
};
