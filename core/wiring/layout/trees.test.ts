import { describe, expect, test } from '@jest/globals';
import { Design, type Run } from '../../job/model/design';
import { duplexIn, sketch } from '../../testing/jobs';
import { treesFor, type AtPanel } from './candidates';
import { circuitTrees, roadsOf, runsBetween } from '../../job/model/trees';

const job = sketch({
  boxes: ['a', 'b', 'c', 'd'],
  runs: ['panel-a:10', 'a-b:10', 'b-c:10', 'a-d:10'],
  devices: [duplexIn('c', null, null)],
});
const tree = circuitTrees(job).get('c')!;

test('runs between two places go by way of their common ancestor', () => {
  const between = (a: string, b: string) => runsBetween(tree, a, b).map(({ id }) => id);
  expect(between('c', 'd')).toEqual(['b-c', 'a-b', 'a-d']);
  expect(between('panel', 'c')).toEqual(['panel-a', 'a-b', 'b-c']);
  expect(runsBetween(tree, 'b', 'b')).toEqual([]);
});
test('two circuits may meet in a box: each has its own way from the panel', () => {
  const two = Design.parse({
    ...job,
    circuits: [
      { id: 'c', number: '1', breakerA: 20, leg: 'A' },
      { id: 'd', number: '2', breakerA: 20, leg: 'B' },
    ],
    runs: [...job.runs, { id: 'second', from: 'panel', to: 'd', lengthFt: 9, circuits: ['d'] }],
  });
  expect(circuitTrees(two).get('d')!.parents.get('a')!.run.id).toBe('a-d');
});

describe('trees over runs that form loops', () => {
  const run = (id: string, from: string, to: string) => ({ ...job.runs[0]!, id, from, to });
  const trees = (runs: Run[], root: string, needs: string[], panel: AtPanel = 'starts') =>
    treesFor(roadsOf(runs), () => true, { root, needs: new Set(needs), panel })
      .map(({ parents }) =>
        [...parents.values()]
          .map((step) => step.run.id)
          .sort()
          .join(' '),
      )
      .sort();
  test('a ring is cut open at each run in turn; what leads nowhere is left out (by hand)', () => {
    const ring = [
      run('p', 'panel', 'a'),
      run('ab', 'a', 'b'),
      run('bc', 'b', 'c'),
      run('ac', 'a', 'c'),
      run('cx', 'c', 'x'),
    ];
    expect(trees(ring, 'panel', ['b'])).toEqual(['ab p', 'ac bc p']);
    expect(trees(ring, 'panel', ['b', 'c'])).toEqual(['ab ac p', 'ab bc p', 'ac bc p']);
  });
  test('parallel runs serve by turns (by hand)', () => {
    const pair = [run('p', 'panel', 'a'), run('one', 'a', 'b'), run('two', 'a', 'b')];
    expect(trees(pair, 'panel', ['b'])).toEqual(['one p', 'p two']);
  });
  test('what may not be spliced in the panel leaves it by one run (312.8, from memory)', () => {
    const homes = [run('pa', 'panel', 'a'), run('pb', 'panel', 'b')];
    expect(trees(homes, 'panel', ['a', 'b'])).toEqual(['pa pb']);
    expect(trees(homes, 'panel', ['a', 'b'], 'starts on one run')).toEqual([]);
    expect(trees(homes, 'a', ['b'], 'barred')).toEqual([]);
    expect(trees(homes, 'a', ['b'], 'passes')).toEqual(['pa pb']);
  });
});
