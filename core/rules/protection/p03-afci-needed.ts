import { gives, grownBy } from '../../protection/kinds';
import { afciNeed } from './afci-need';
import { at, section, type Hit, type Rule } from '../rule';

export const p03: Rule = {
  id: 'P03',
  title: 'AFCI protection needed',
  section: section('210.12(A), (D)', '210.12(A), (D)', '210.12(A), (B), (E)'),
  severity: 'code',
  looksAt: '15 and 20 A circuits to living spaces',
  check: (site) => {
    const covered = site.protectedBy(['afci', 'dual']);
    return site.job.circuits.flatMap((circuit): Hit[] => {
      const need = afciNeed(site, circuit);
      if (!need) return [];
      // Of two circuits that share a neutral it is said once.
      if (site.isSecond(circuit) && circuit.protection === 'none') return [];
      const fix = {
        says: `AFCI breaker on circuit ${circuit.number}`,
        commands: [
          {
            do: 'set circuit' as const,
            circuit: circuit.id,
            change: { protection: grownBy(circuit.protection, 'afci') },
          },
        ],
      };
      const open = need.users.find(({ key }) => !covered.has(key));
      if (open) {
        const room = site.roomKind(site.box(open.device.box));
        const ways =
          circuit.multiwireWith !== null
            ? 'of a multiwire circuit a two-pole AFCI breaker protects both; there is no receptacle for that'
            : need.why === 'new'
              ? 'a new circuit needs an AFCI breaker, or an AFCI at the first outlet by a listed means'
              : 'extended, it needs an AFCI breaker or an AFCI at the first receptacle';
        return [
          {
            at: at('circuit', circuit.id),
            message: `Circuit ${circuit.number} feeds ${room}: ${ways}.`,
            fix,
          },
        ];
      }
      const partner = site.job.circuits.find(({ id }) => id === circuit.multiwireWith);
      if (partner && gives(circuit.protection, 'afci') && partner.protection !== circuit.protection) {
        return [
          {
            at: at('circuit', circuit.id),
            message: `Circuits ${circuit.number} and ${partner.number} share a neutral: one two-pole breaker must protect both, or it trips on the other\u2019s return.`,
            fix,
          },
        ];
      }
      return need.why === 'new' && !gives(circuit.protection, 'afci')
        ? [
            {
              at: at('circuit', circuit.id),
              severity: 'ask',
              message: `Circuit ${circuit.number} is new and its AFCI is a receptacle: the cable from the panel to it must be of a listed means; NM-B alone is not. Or an AFCI breaker.`,
              fix,
            },
          ]
        : [];
    });
  },
};
