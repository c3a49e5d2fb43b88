import fc from 'fast-check';
import { Job } from '../model/job';

/** Random jobs: trees of boxes in a row of random parents, feeds anywhere, wishes at random, old and new cable. */
export const anyJob: fc.Arbitrary<Job> = fc
  .record({
    boxes: fc.array(
      fc.record({
        parent: fc.nat(),
        existing: fc.constantFrom(null, null, null, '2', '3'),
        lengthFt: fc.integer({ min: 3, max: 80 }),
        metal: fc.boolean(),
        outlet: fc.constantFrom('none', 'duplex', 'duplex', 'single'),
        light: fc.boolean(),
        wants: fc.array(fc.option(fc.nat(3)), { minLength: 3, maxLength: 3 }),
        switches: fc.array(fc.nat(3), { maxLength: 2 }),
      }),
      { minLength: 1, maxLength: 7 },
    ),
    groups: fc.integer({ min: 1, max: 3 }),
    secondCircuit: fc.boolean(),
    feed: fc.nat(),
    breakerA: fc.constantFrom(15 as const, 20 as const),
    habits: fc.record({
      runColors: fc.constantFrom('red switched' as const, 'red constant' as const),
      neutralAtSwitches: fc.constantFrom('always' as const, 'where asked' as const),
      lineScrew: fc.constantFrom('lower' as const, 'upper' as const),
    }),
  })
  .map(({ boxes, groups, secondCircuit, feed, breakerA, habits }) => {
    const gauge = breakerA === 15 ? 14 : 12;
    const split = secondCircuit && boxes.length > 3 ? Math.floor(boxes.length / 2) : boxes.length;
    // Boxes before `split` are a tree on circuit c, the rest one on circuit d.
    const root = (index: number) => (index < split ? 0 : split);
    const circuitOf = (index: number) => (index < split ? 'c' : 'd');
    const feedOf = (index: number) =>
      root(index) + (feed % (root(index) === 0 ? split : boxes.length - split));
    const group = (index: number, pick: number) => `g${pick % groups}${circuitOf(index)}`;
    return Job.parse({
      id: 'random',
      name: 'Random job',
      edition: '2020',
      circuits: [
        { id: 'c', number: '1', breakerA, leg: 'A' },
        { id: 'd', number: '2', breakerA, leg: 'B' },
      ],
      boxes: boxes.map((box, index) => ({
        id: `b${index}`,
        name: `Box ${index}`,
        family: box.metal ? 'metal square' : 'nail-on',
        gangs: 4,
        volumeIn3: 42,
      })),
      runs: boxes.flatMap((box, index) => {
        const cable = box.existing === null ? null : `${gauge}-${box.existing}`;
        const own = root(index);
        const runs: unknown[] =
          index === own
            ? []
            : [
                {
                  id: `r${index}`,
                  from: `b${own + (box.parent % (index - own))}`,
                  to: `b${index}`,
                  lengthFt: box.lengthFt,
                  existing: cable,
                },
              ];
        if (index === feedOf(index)) {
          runs.push({
            id: `feed${index}`,
            from: 'panel',
            to: `b${index}`,
            lengthFt: box.lengthFt,
            circuits: [circuitOf(index)],
          });
        }
        return runs;
      }),
      devices: boxes.flatMap((box, index) => {
        const want = (slot: number) => {
          const pick = box.wants[slot] ?? null;
          return {
            does: 'power',
            circuit: circuitOf(index),
            control: pick === null ? null : group(index, pick),
          };
        };
        const devices: unknown[] = [];
        const at = (kind: string, wants: unknown) =>
          devices.push({
            id: `b${index}-${devices.length}`,
            box: `b${index}`,
            gang: devices.length,
            kind,
            wants,
          });
        if (box.outlet === 'duplex') at('duplex', { upper: want(0), lower: want(1) });
        if (box.outlet === 'single') at('single', { outlet: want(0) });
        if (box.light) at('luminaire', { lamp: want(2) });
        for (const pick of box.switches)
          at('switch', { handle: { does: 'control', group: group(index, pick) } });
        return devices;
      }),
      groups: Array.from({ length: groups }, (_, pick) => ['c', 'd'].map((circuit) => `g${pick}${circuit}`))
        .flat()
        .map((id) => ({ id, name: id })),
      habits,
    });
  });
