import { cableRow } from '../../../trade/standards/cables';
import { AMPACITY_60_A, AMPACITY_90_A, bundleFactor } from '../../../trade/standards/conductors';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const s06: Rule = {
  id: 'S06',
  title: say('s06.title'),
  section: section('334.80, 310.15(B)(3)', '334.80, 310.15(C)(1)'),
  severity: 'code',
  looksAt: say('s06.looksAt'),
  check: (site) =>
    site.wiring.cables.flatMap(({ run, type, conductors }) => {
      const bundled = site.job.runs.find(({ id }) => id === run)?.rough.bundled ?? 1;
      if (bundled < 3) return [];
      const { gauge, insulated } = cableRow(type);
      const carrying = bundled * insulated.length;
      const allowedA = Math.min(AMPACITY_90_A[gauge] * bundleFactor(carrying), AMPACITY_60_A[gauge]);
      const breakerA = conductors.reduce(
        (most, { circuit }) => Math.max(most, (circuit && site.circuit(circuit)?.breakerA) || 0),
        0,
      );
      return breakerA <= allowedA
        ? []
        : [
            {
              at: at('run', run),
              ...tell('s06.finding', {
                carrying,
                gauge,
                allowedA: allowedA.toFixed(1),
                breakerA,
              }),
            },
          ];
    }),
};
