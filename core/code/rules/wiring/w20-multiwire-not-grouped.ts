import { isHome } from '../../../job/model/design';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const w20: Rule = {
  id: 'W20',
  title: say('w20.title'),
  section: section('210.4(D), 200.4(B)'),
  severity: 'code',
  looksAt: say('w20.runsFromPanel'),
  check: (site) => {
    const fromPanel = (circuit: string) =>
      site.wiring.cables.filter(
        (cable) =>
          isHome(cable) && cable.conductors.some((one) => one.circuit === circuit && one.role === 'hot'),
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
              ...tell('w20.finding', { number }),
            },
          ];
    });
  },
};
