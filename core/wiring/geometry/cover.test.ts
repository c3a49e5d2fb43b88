import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { PANEL } from '../../job/model/design';
import { anyPlan } from '../../testing/random-jobs';
import { drawBox } from './box-drawing';
import { coverOf } from './cover';
import type { Rect, XY } from './drawing';

const holds = ({ x, y, width, height }: Rect, [px, py]: XY): boolean =>
  px >= x && px <= x + width && py >= y && py <= y + height;

test('a cover holds all that looks through it, its screws touch no face, and what they touch is a ground screw', () => {
  const seen = { screws: 0, blank: 0, handles: 0 };
  fc.assert(
    fc.property(anyPlan, (plan) => {
      const { job } = plan;
      for (const id of [PANEL, ...job.boxes.map((box) => box.id)]) {
        const drawing = drawBox(plan, id, { wholePanel: true });
        const cover = coverOf(drawing);
        for (const { x, y, width, height } of cover.devices) {
          expect(holds(cover.plate, [x, y])).toBe(true);
          expect(holds(cover.plate, [x + width, y + height])).toBe(true);
        }
        const points = new Map(
          drawing.devices.flatMap(({ terminals }) => terminals.map((one) => [one.id, one.screw] as const)),
        );
        for (const { at, point } of cover.screws) {
          expect(holds(cover.plate, at)).toBe(true);
          if (point !== null) expect(points.get(point)).toBe('green');
          seen.screws++;
        }
        if (id !== PANEL && drawing.devices.length === 0) seen.blank++;
        const circuits = cover.breakers.map(({ circuit }) => circuit);
        expect(new Set(circuits).size).toBe(circuits.length);
        if (id === PANEL) expect(circuits).toEqual(job.circuits.map((one) => one.id));
        seen.handles += circuits.length;
      }
    }),
    { numRuns: 30 },
  );
  expect(Math.min(...Object.values(seen))).toBeGreaterThan(0);
});
