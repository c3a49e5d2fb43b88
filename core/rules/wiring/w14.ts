import { at, section, type Rule } from '../rule';

export const w14: Rule = {
  id: 'W14',
  title: 'Two circuits on one yoke, or a multiwire circuit, without breakers that open together',
  section: section('210.7, 210.4(B)'),
  severity: 'stop',
  looksAt: 'tied breakers',
  check: ({ job }) => {
    const tie = (a: string, b: string) => ({
      says: 'Tie the two breakers',
      commands: [{ do: 'set circuit' as const, circuit: a, change: { tiedWith: b } }],
    });
    const number = (id: string) => job.circuits.find((one) => one.id === id)?.number ?? id;
    const tied = (a: string, b: string) => job.circuits.find(({ id }) => id === a)?.tiedWith === b;
    const pairs = job.circuits.flatMap(({ id, multiwireWith }) =>
      multiwireWith === null || id > multiwireWith || tied(id, multiwireWith)
        ? []
        : [
            {
              at: at('circuit', id),
              message: `Circuits ${number(id)} and ${number(multiwireWith)} share a neutral; their breakers must open together.`,
              fix: tie(id, multiwireWith),
            },
          ],
    );
    const yokes = job.devices.flatMap(({ id, wants }) => {
      const own = new Set(
        Object.values(wants).flatMap((want) => (want.does === 'power' ? [want.circuit] : [])),
      );
      const [a, b] = [...own];
      return a === undefined || b === undefined || tied(a, b)
        ? []
        : [
            {
              at: at('device', id),
              message: `${id} is fed by circuits ${number(a)} and ${number(b)}; their breakers must open together.`,
              fix: tie(a, b),
            },
          ];
    });
    return [...pairs, ...yokes];
  },
};
