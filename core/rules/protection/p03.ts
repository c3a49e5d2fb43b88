import { afciRoom } from './afci-room';
import { at, section, type Rule } from '../rule';

export const p03: Rule = {
  id: 'P03',
  title: 'AFCI protection needed',
  section: section('210.12(A), (D)', '210.12(A), (D)', '210.12(A), (B), (E)'),
  severity: 'code',
  looksAt: '15 and 20 A circuits to living spaces',
  check: (site) => {
    const covered = site.protectedBy(['afci', 'dual']);
    return site.job.circuits.flatMap((circuit) => {
      if (circuit.breakerA > 20) return [];
      const own = site.users.filter(
        ({ want, device }) => want.circuit === circuit.id && afciRoom(site.roomKind(site.box(device.box))),
      );
      const added = own.some(({ device }) => !device.was);
      const grownFt = site.wiring.cables
        .filter(
          ({ existing, conductors }) => !existing && conductors.some((one) => one.circuit === circuit.id),
        )
        .reduce((sum, { lengthFt }) => sum + lengthFt, 0);
      const open = own.filter(({ key }) => !covered.has(key));
      if (open.length === 0 || (!circuit.fresh && !added && grownFt <= 6)) return [];
      const [first] = open;
      return [
        {
          at: at('circuit', circuit.id),
          message: `Circuit ${circuit.number} feeds ${site.roomKind(first && site.box(first.device.box))}: ${circuit.fresh ? 'a new circuit needs an AFCI breaker, or an AFCI at the first outlet by a listed means' : 'extended, it needs an AFCI breaker or an AFCI at the first receptacle'}.`,
          fix: {
            says: `AFCI breaker on circuit ${circuit.number}`,
            commands: [
              {
                do: 'set circuit' as const,
                circuit: circuit.id,
                change: { protection: circuit.protection === 'gfci' ? ('dual' as const) : ('afci' as const) },
              },
            ],
          },
        },
      ];
    });
  },
};
