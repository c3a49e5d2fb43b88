import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoJobs } from '@core/jobs/demo-house';
import type { Design } from '@core/model/design';
import { anyJob } from '@core/testing/random-jobs';
import { mapLayout, NODE, type MapLayout } from './map-layout';

const sound = ({ boxes, runs }: Design, map: MapLayout) => {
  expect([...map.nodes.keys()].sort()).toEqual(['panel', ...boxes.map(({ id }) => id)].sort());
  const all = [...map.nodes.values()];
  all.forEach((a, index) => {
    expect(Math.min(a.x, a.y)).toBeGreaterThanOrEqual(0);
    for (const b of all.slice(index + 1))
      expect(Math.abs(a.x - b.x) >= NODE.width || Math.abs(a.y - b.y) >= NODE.height).toBe(true);
  });
  for (const { id, from, to } of runs) {
    const bends = map.edges.get(id)!;
    expect(bends.length).toBeGreaterThan(1);
    // It starts and ends on the edge of its two boxes, and every piece is level or upright.
    const touches = (box: string, at: { x: number; y: number }) => {
      const node = map.nodes.get(box)!;
      return at.x >= node.x && at.x <= node.x + NODE.width && at.y >= node.y && at.y <= node.y + NODE.height;
    };
    const [first, last] = [bends[0]!, bends.at(-1)!];
    expect((touches(from, first) && touches(to, last)) || (touches(to, first) && touches(from, last))).toBe(
      true,
    );
    bends.slice(1).forEach((at, index) => {
      const before = bends[index]!;
      expect(at.x === before.x || at.y === before.y).toBe(true);
      expect(at.x <= map.width && at.y <= map.height).toBe(true);
    });
  }
};

describe('the map of runs', () => {
  test.each(['RIGHT', 'DOWN'] as const)('%s: no box on another, every run from box to box', (direction) => {
    for (const job of demoJobs) sound(job, mapLayout(job, direction));
    fc.assert(
      fc.property(anyJob, (job) => sound(job, mapLayout(job, direction))),
      { numRuns: 60 },
    );
  });
  test('what lies further along the runs stands further from the panel; what nothing reaches is there too', () => {
    const job = demoJobs.find(({ id }) => id === 'stair')!;
    const { nodes } = mapLayout(job, 'RIGHT');
    for (const { from, to } of job.runs) expect(nodes.get(to)!.x).not.toBe(nodes.get(from)!.x);
    expect(nodes.get('panel')!.x).toBe(0);
    expect(mapLayout({ ...job, runs: [] }, 'RIGHT').nodes.size).toBe(job.boxes.length + 1);
  });
  test('loops and parallel runs each have a line of their own', () => {
    const job = demoJobs.find(({ id }) => id === 'stair')!;
    const [run] = job.runs;
    const twice = { ...job, runs: [...job.runs, { ...run!, id: 'beside' }] };
    const { edges } = mapLayout(twice, 'RIGHT');
    expect(edges.get('beside')).not.toEqual(edges.get(run!.id));
  });
});
