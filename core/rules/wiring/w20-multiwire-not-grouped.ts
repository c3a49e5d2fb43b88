import { PANEL } from '../../model/design';
import { at, section, type Rule } from '../rule';

export const w20: Rule = {
  id: 'W20',
  title: 'Hots of a multiwire circuit not grouped with their neutral in the panel',
  section: section('210.4(D), 200.4(B)'),
  severity: 'code',
  looksAt: 'runs from the panel',
  check: (site) => {
    const fromPanel = (circuit: string) =>
      site.wiring.cables.filter(
        ({ from, to, conductors }) =>
          (from === PANEL || to === PANEL) &&
          conductors.some((one) => one.circuit === circuit && one.role === 'hot'),
      );
    return site.job.circuits.flatMap((circuit) => {
      const { id, number, multiwireWith } = circuit;
      if (multiwireWith === null || site.isSecond(circuit)) return [];
      const own = fromPanel(id);
      const other = fromPanel(multiwireWith);
      return own.length === 0 || other.length === 0 || own.every((cable) => other.includes(cable))
        ? []
        : [
            {
              at: at('circuit', id),
              message: `The hots of circuit ${number} and its partner leave the panel in two cables: tie them together there with their neutral.`,
            },
          ];
    });
  },
};
