import { wishKind } from '../../devices';
import { at, section, type Rule } from '../rule';

export const w14: Rule = {
  id: 'W14',
  title: 'Two circuits on one yoke, or a multiwire circuit, without breakers that open together',
  section: section('210.7, 210.4(B)'),
  severity: 'stop',
  looksAt: 'tied breakers',
  check: (site) => {
    const { job } = site;
    const tie = (a: string, b: string) => ({
      says: 'Tie the two breakers',
      commands: [{ do: 'set circuit' as const, circuit: a, change: { tiedWith: b } }],
    });
    const number = (id: string) => job.circuits.find((one) => one.id === id)?.number ?? id;
    const tied = (a: string, b: string) => job.circuits.find(({ id }) => id === a)?.tiedWith === b;
    const pairs = job.circuits.flatMap((circuit) => {
      const { id, multiwireWith } = circuit;
      return multiwireWith === null || site.isSecond(circuit) || tied(id, multiwireWith)
        ? []
        : [
            {
              at: at('circuit', id),
              message: `Circuits ${number(id)} and ${number(multiwireWith)} share a neutral; their breakers must open together.`,
              fix: tie(id, multiwireWith),
            },
          ];
    });
    const yokes = job.devices.flatMap(({ id, box, kind, wants }) => {
      const own = new Set(
        Object.values(wants).flatMap((want) => (want.does === 'power' ? [want.circuit] : [])),
      );
      // Any two of them: a third circuit on a yoke has no breaker to be tied to.
      const [pair] = [...own].flatMap((a, index) =>
        [...own].slice(index + 1).flatMap((b) => (tied(a, b) ? [] : [[a, b] as const])),
      );
      if (!pair) return [];
      const [a, b] = pair;
      return [
        {
          at: at('device', id),
          message: `The ${wishKind(kind).name} at ${site.box(box)?.name ?? 'its box'} is fed by circuits ${[...own].map(number).join(' and ')}; their breakers must open together.`,
          ...(own.size === 2 ? { fix: tie(a, b) } : {}),
        },
      ];
    });
    return [...pairs, ...yokes];
  },
};
