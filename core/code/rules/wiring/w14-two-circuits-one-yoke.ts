import { wishKind } from '../../../trade/devices';
import { at, section, type Rule } from '../rule';
import { andList } from '../../../base/words/lists';
import { say, tell } from '../../../base/words/rules';

export const w14: Rule = {
  id: 'W14',
  title: say('w14.title'),
  section: section('210.7, 210.4(B)'),
  severity: 'stop',
  looksAt: say('w14.tiedBreakers'),
  check: (site) => {
    const { job } = site;
    const tie = (a: string, b: string) => ({
      says: say('w14.tieTwoBreakers'),
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
              ...tell('w14.openTogether', {
                first: number(id),
                second: number(multiwireWith),
              }),
              fix: tie(id, multiwireWith),
            },
          ];
    });
    const yokes = job.devices.flatMap(({ id, box, kind, wants }) => {
      // A switch on the yoke brings in the circuit of what it controls; a radio one brings nothing in.
      const own = new Set(
        Object.values(wants).flatMap((want) =>
          want.does === 'power'
            ? [want.circuit]
            : wishKind(kind).radio === 'switch'
              ? []
              : site.controlled(want.group).map(({ want: { circuit } }) => circuit),
        ),
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
          ...tell('w14.finding', {
            wishKind: wishKind(kind).name,
            box: site.box(box)?.name ?? say('w14.box'),
            value: andList([...own].map(number)),
          }),
          ...(own.size === 2 ? { fix: tie(a, b) } : {}),
        },
      ];
    });
    return [...pairs, ...yokes];
  },
};
