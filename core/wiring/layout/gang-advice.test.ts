import { expect, test } from '@jest/globals';
import type { Design } from '../../job/model/design';
import { PlanLine } from '../../job/model/record';
import { duplexIn, lightIn, sketch, switchIn } from '../../testing/jobs';
import { gangAdvice } from './gang-advice';

/* Nearest the door goes the switch that is used most (common practice). */
const job = (doorSide: 'left' | 'right' | null) =>
  sketch({
    boxes: [{ id: 'wall', doorSide }, { id: 'lamp' }],
    runs: ['panel-wall:20', 'wall-lamp:10'],
    groups: ['light', 'shelf'],
    devices: [
      switchIn('wall', 'shelf', 0),
      switchIn('wall', 'light', 1),
      duplexIn('lamp', null, 'shelf'),
      lightIn('lamp', 'light'),
    ],
  });
const advice = (made: Design, lines: readonly PlanLine[] = []) => gangAdvice(made, lines, made.boxes[0]!);

test('door at the left: the light switch belongs left of the outlet switch', () => {
  expect(advice(job('left'))).toContain('move the switch left');
});
test('door at the right: it stands right already', () => {
  expect(advice(job('right'))).toBeNull();
});
test('nothing is advised where the door is not known, or the plan says an order', () => {
  expect(advice(job(null))).toBeNull();
  const order = PlanLine.parse({
    id: 'o',
    says: 'S, S',
    about: { kind: 'order', box: 'wall', symbols: ['S', 'S'] },
  });
  expect(advice(job('left'), [order])).toBeNull();
});
