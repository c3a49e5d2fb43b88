import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Design } from '../../job/model/design';
import { cableRow } from '../../trade/standards/cables';
import { draws } from '../../testing/draws';
import { lightIn, sketch, switchIn } from '../../testing/jobs';
import { wideJob } from '../../testing/wide-jobs';
import { layOut } from './layout';

/** By group, each cable with its travelers: their colors, and what else would have to be alike. */
function colored(job: Design) {
  const outcome = layOut(job);
  if (!outcome.ok) return [];
  const closed = new Set(job.boxes.filter((box) => box.closed).map(({ id }) => id));
  return outcome.layout.runs.flatMap(({ run, strands, cables }) =>
    cables.flatMap(({ type, nets }) => {
      const own = strands.filter(({ id }) => nets.includes(id));
      const colors = own.flatMap(({ id, net }) =>
        net.role === 'traveler' ? [[net.group, cableRow(type).insulated[nets.indexOf(id)]] as const] : [],
      );
      const groups = [...new Set(colors.map(([group]) => group))];
      const roles = own.map(({ net }) => `${net.role} ${net.group}`).sort();
      const free = !closed.has(run.from) && !closed.has(run.to) && run.found.lost.length === 0;
      return groups.length === 1 && free
        ? [{ group: groups[0], like: `${type} ${roles.join()}`, colors: colors.map(([, one]) => one).sort() }]
        : [];
    }),
  );
}

/** A chain of switch boxes that all work one light, fed and lit anywhere along it, its cables as they come. */
const chain = fc
  .record({
    places: fc.integer({ min: 3, max: 6 }),
    fed: fc.nat(5),
    lit: fc.nat(5),
    cables: fc.array(fc.constantFrom('', '', '=12-3', '=12-4'), { minLength: 5, maxLength: 5 }),
  })
  .map(({ places, fed, lit, cables }) => {
    const boxes = Array.from({ length: places }, (_, index) => `b${index}`);
    return sketch({
      boxes: [...boxes, 'lamp'],
      runs: [
        `panel-b${fed % places}:30`,
        ...boxes.slice(1).map((box, index) => `b${index}-${box}:15${cables[index]}`),
        `b${lit % places}-lamp:9`,
      ],
      groups: ['g'],
      devices: [...boxes.map((box) => switchIn(box, 'g')), lightIn('lamp', 'g')],
    });
  });

test('travelers keep their two colors from box to box, through a cable that has more to choose from', () => {
  const job = sketch({
    boxes: ['a', 'b', 'c', 'lamp'],
    runs: ['panel-a:30', 'a-b:20=12-3', 'b-c:20=12-4', 'c-lamp:9'],
    groups: ['g'],
    devices: [switchIn('a', 'g'), switchIn('b', 'g'), switchIn('c', 'g'), lightIn('lamp', 'g')],
  });
  const colors = colored(job).map((one) => one.colors);
  expect(colors).toEqual([
    ['black', 'red'],
    ['black', 'red'],
  ]);
});

test('cables of one group that carry alike have its travelers in the same colors', () => {
  let compared = 0;
  for (const job of fc.sample(fc.oneof(chain, wideJob), { numRuns: draws(120, 1500), seed: 5 })) {
    const all = colored(job);
    for (const one of all)
      for (const other of all) {
        if (one === other || one.group !== other.group || one.like !== other.like) continue;
        compared++;
        expect(one.colors).toEqual(other.colors);
      }
  }
  expect(compared).toBeGreaterThan(20);
});
