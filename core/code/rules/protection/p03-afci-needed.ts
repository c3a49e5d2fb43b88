import { gives, grownBy } from '../../protection/kinds';
import { afciNeed } from './afci-need';
import { at, section, type Hit, type Rule } from '../rule';
import { ROOM_KIND_NAME } from '../../../job/model/place-names';
import { say, tell } from '../../../base/words/rules';

export const p03: Rule = {
  id: 'P03',
  title: say('p03.afciProtectionNeeded'),
  section: section('210.12(A), (D)', '210.12(A), (D)', '210.12(A), (B), (E)'),
  severity: 'code',
  looksAt: say('p03.n1520CircuitsLivingSpaces'),
  check: (site) => {
    const covered = site.protectedBy(['afci', 'dual']);
    return site.job.circuits.flatMap((circuit): Hit[] => {
      const need = afciNeed(site, circuit);
      if (!need) return [];
      // Of two circuits that share a neutral it is said once.
      if (site.isSecond(circuit) && circuit.protection === 'none') return [];
      const fix = {
        says: say('p03.afciBreakerCircuit', { number: circuit.number }),
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
            ? say('p03.twoPoleAfci')
            : need.why === 'new'
              ? say('p03.newCircuit')
              : say('p03.extended');
        return [
          {
            at: at('circuit', circuit.id),
            ...tell('p03.circuitFeeds', { number: circuit.number, room: ROOM_KIND_NAME[room], ways }),
            fix,
          },
        ];
      }
      const partner = site.job.circuits.find(({ id }) => id === circuit.multiwireWith);
      if (partner && gives(circuit.protection, 'afci') && partner.protection !== circuit.protection) {
        return [
          {
            at: at('circuit', circuit.id),
            ...tell('p03.oneBreaker', {
              first: circuit.number,
              second: partner.number,
            }),
            fix,
          },
        ];
      }
      return need.why === 'new' && !gives(circuit.protection, 'afci')
        ? [
            {
              at: at('circuit', circuit.id),
              severity: 'ask',
              ...tell('p03.finding', { number: circuit.number }),
              fix,
            },
          ]
        : [];
    });
  },
};
