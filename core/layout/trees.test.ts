import { expect, test } from '@jest/globals';
import { Job } from '../model/job';
import { duplexIn, sketch } from '../testing/jobs';
import { circuitTrees, isBeyond, runsBetween } from './trees';

const job = sketch({
  boxes: ['a', 'b', 'c', 'd'],
  runs: ['panel-a:10', 'a-b:10', 'b-c:10', 'a-d:10'],
  devices: [duplexIn('c', null, null)],
});
const tree = circuitTrees(job).trees.get('c')!;

test('runs between two places go by way of their common ancestor', () => {
  expect(runsBetween(tree, 'c', 'd').sort()).toEqual(['a-b', 'a-d', 'b-c']);
  expect(runsBetween(tree, 'panel', 'c').sort()).toEqual(['a-b', 'b-c', 'panel-a']);
  expect(runsBetween(tree, 'b', 'b')).toEqual([]);
});
test('beyond a run is the side away from the panel', () => {
  expect(isBeyond(tree, 'a-b', 'c')).toBe(true);
  expect(isBeyond(tree, 'a-b', 'd')).toBe(false);
  expect(isBeyond(tree, 'a-b', 'panel')).toBe(false);
});
test('a loop within a circuit is refused, and each of its runs is named', () => {
  const looped = { ...job, runs: [...job.runs, { ...job.runs[3]!, id: 'c-d', from: 'c', to: 'd' }] };
  const { refusals } = circuitTrees(looped);
  expect(refusals).toHaveLength(1);
  expect(refusals[0]!.at.map(({ id }) => id)).toEqual(['a-b', 'a-d', 'b-c', 'c-d']);
});
test('two circuits may meet in a box: they part at the panel, so that is no loop', () => {
  const two = Job.parse({
    ...job,
    circuits: [
      { id: 'c', number: '1', breakerA: 20, leg: 'A' },
      { id: 'd', number: '2', breakerA: 20, leg: 'B' },
    ],
    runs: [...job.runs, { id: 'second', from: 'panel', to: 'd', lengthFt: 9, circuits: ['d'] }],
  });
  const { trees, refusals } = circuitTrees(two);
  expect(refusals).toEqual([]);
  expect(trees.get('d')!.parents.get('a')!.run.id).toBe('a-d');
});
