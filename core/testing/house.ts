import { Design } from '../job/model/design';

/** Boxes of a circuit: five of their own kinds, what is beyond them outlets in a row. */
const BOXES_PER_CIRCUIT = 5;

/**
 * An invented house of any size for measuring: circuits of five boxes, each with the feed at a two-gang switch box,
 * a half-switched outlet, a pair of 3-ways, a light, and an outlet at the end.
 */
export function generatedHouse(boxCount: number, perCircuit: number = BOXES_PER_CIRCUIT): Design {
  const circuits = Math.ceil(boxCount / perCircuit);
  const job = { circuits: [], boxes: [], runs: [], devices: [], groups: [] } as Record<string, unknown[]>;
  for (let index = 0; index < circuits; index++) {
    const circuit = `c${index}`;
    const box = (place: number) => `b${index}-${place}`;
    const [lamp, half] = [`lamp${index}`, `half${index}`];
    const here = Math.min(perCircuit, boxCount - index * perCircuit);
    const on = (control: string | null) => ({ does: 'power', circuit, control });
    const device = (place: number, gang: number, kind: string, wants: unknown) => {
      if (place < here)
        job['devices']?.push({ id: `d${index}-${place}-${gang}`, box: box(place), gang, kind, wants });
    };
    job['circuits']?.push({
      id: circuit,
      number: String(index + 1),
      breakerA: index % 2 ? 20 : 15,
      leg: index % 4 < 2 ? 'A' : 'B',
    });
    job['groups']?.push({ id: lamp, name: lamp }, { id: half, name: half });
    for (let place = 0; place < here; place++) {
      const run = { id: `r${index}-${place}`, to: box(place), lengthFt: 12 + 3 * place };
      job['boxes']?.push({ id: box(place), name: box(place), family: 'nail-on', gangs: 2, volumeIn3: 35 });
      job['runs']?.push(
        place === 0
          ? { ...run, from: 'panel', circuits: [circuit] }
          : { ...run, from: box(place === 3 ? 2 : place === 4 ? 1 : place > 4 ? place - 1 : 0) },
      );
    }
    device(0, 0, 'switch', { handle: { does: 'control', group: half } });
    device(1, 0, 'duplex', { upper: on(null), lower: on(half) });
    if (here > 3) {
      device(0, 1, 'switch', { handle: { does: 'control', group: lamp } });
      device(2, 0, 'switch', { handle: { does: 'control', group: lamp } });
      device(3, 0, 'luminaire', { lamp: on(lamp) });
    }
    for (let place = 4; place < here; place++)
      device(place, 0, 'duplex', { upper: on(null), lower: on(null) });
  }
  return Design.parse({ id: 'house', name: `House of ${boxCount} boxes`, edition: '2020', ...job });
}
