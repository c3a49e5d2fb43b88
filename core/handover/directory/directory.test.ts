import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoHouse, demoJob, demoJobs } from '../jobs/demo-house';
import { anyJob } from '../../testing/random-jobs';
import { directoryOf } from './directory';

test('the demo house: circuit 9 of several jobs is one line, with the places of all of them (NEC 408.4, from memory)', () => {
  const lines = directoryOf(demoJobs, { panel: [], spaces: 20 });
  const numbers = lines.map(({ number }) => number);
  expect(numbers).toEqual([...numbers].sort((a, b) => Number(a) - Number(b)));
  expect(new Set(numbers).size).toBe(numbers.length);
  const nine = lines.find(({ number }) => number === '9')!;
  const places = demoJobs
    .filter(({ circuits }) => circuits.some(({ number }) => number === '9'))
    .flatMap(({ boxes }) => boxes.map(({ name }) => name));
  expect(places.length).toBeGreaterThan(4);
  expect(nine.label).toMatch(/^receptacles: .* and \d+ more; lights: /);
  expect(
    lines.filter(({ blank }) => blank).every(({ label, breakerA }) => label === 'blank' && breakerA === null),
  ).toBe(true);
  expect(lines.find(({ number }) => number === '1')).toMatchObject({ blank: true });
  expect(
    directoryOf([demoJob('den-media-wall')!]).map(({ number, sharedWith }) => [number, sharedWith]),
  ).toEqual([
    ['16', '18'],
    ['18', '16'],
  ]);
});

test('of any jobs: every circuit has its line, no two are labeled alike, no id stands in a label, nothing of a shared space is lost', () => {
  fc.assert(
    fc.property(fc.array(anyJob, { minLength: 1, maxLength: 3 }), fc.nat(42), (jobs, spaces) => {
      const lines = directoryOf(jobs, { panel: [], spaces });
      const used = lines.filter(({ blank }) => !blank);
      expect(new Set(used.map(({ number }) => number))).toEqual(
        new Set(jobs.flatMap(({ circuits }) => circuits.map(({ number }) => number))),
      );
      expect(new Set(used.map(({ label }) => label)).size).toBe(used.length);
      expect(lines.length).toBeGreaterThanOrEqual(spaces);
      for (const { label } of lines) expect(label).not.toMatch(/\bb\d+-\d|g\dc|undefined/);
    }),
    { numRuns: 100 },
  );
});

test('the demo panel: what no job knows, what was corrected by hand, spaces that are blank', () => {
  const corrected = {
    ...demoHouse,
    panel: demoHouse.panel.map((one) => (one.number === '9' ? { ...one, label: 'Hall and stair' } : one)),
  };
  const lines = directoryOf(demoJobs, corrected);
  const label = (number: string) => lines.find((one) => one.number === number)?.label;
  expect(lines).toHaveLength(24);
  expect(label('9')).toBe('Hall and stair');
  expect(label('1')).toBe('Kitchen counter, left of the sink');
  expect(label('2')).toBe('blank');
  expect(lines.find(({ number }) => number === '16')!.sharedWith).toBe('18');
});
