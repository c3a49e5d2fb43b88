import { expect, test } from '@jest/globals';
import { demoJob, demoJobs } from '../../handover/jobs/demo-house';
import { planJob, type Plan } from '../../wiring/plan';
import { duplexIn, lightIn, sketch, switchIn } from '../../testing/jobs';
import { agrees } from './agrees';
import { findFault } from './find-fault';
import { studyFaults } from './script';
import { symptomsOf, type Symptom } from './symptoms';
import { say } from '../../base/words/script';

const planned = (job: Parameters<typeof planJob>[0]): Plan => {
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error('refused');
  return outcome.plan;
};
const saysOf = (symptoms: readonly Symptom[]): string[] => symptoms.map(({ says }) => says);

test('what is seen on site without an instrument can be said (common practice)', () => {
  const stair = planned(demoJob('stair')!);
  const says = saysOf(symptomsOf(stair, studyFaults(stair)));
  expect(says.some((one) => / works only with the switch at .* up$/.test(one))).toBe(true);
  const half = planned(demoJob('sunroom-plant-shelf')!);
  const own = saysOf(symptomsOf(half, studyFaults(half)));
  expect(own).toContain(say('symptoms.dead', { name: 'Plant shelf, lower half' }));
  expect(own).toContain(say('symptoms.on', { name: 'Plant shelf, lower half' }));
  const metal = planned(
    sketch({
      boxes: [{ id: 'wall', family: 'metal square' }],
      runs: ['panel-wall:20'],
      devices: [duplexIn('wall', null, null)],
    }),
  );
  expect(saysOf(symptomsOf(metal, studyFaults(metal)))).toContainEqual(
    expect.stringMatching(/^breaker 14 trips at once/),
  );
  const porch = planned(demoJob('porch-soffit')!);
  expect(saysOf(symptomsOf(porch, studyFaults(porch)))).toContain(
    'The GFCI receptacle at Hall bench does not test or reset',
  );
  const fed = planned(
    sketch({
      boxes: ['door', 'lamp', 'next'],
      runs: ['panel-door:20', 'door-lamp:10', 'door-next:10'],
      groups: ['g'],
      devices: [switchIn('door', 'g'), lightIn('lamp', 'g'), duplexIn('next', null, null)],
    }),
  );
  expect(saysOf(symptomsOf(fed, studyFaults(fed)))).toContain(
    say('symptoms.goesOff', { name: 'next, upper half', group: 'g' }),
  );
});

test('each symptom is what some mistake shows and the sound house does not; alone it settles nothing, and speaks against no mistake that shows it', () => {
  for (const job of demoJobs) {
    const outcome = planJob(job);
    if (!outcome.ok) continue;
    const study = studyFaults(outcome.plan);
    const at = new Map(study.tests.map(({ id }, index) => [id, index]));
    const symptoms = symptomsOf(outcome.plan, study);
    expect(new Set(symptoms.map(({ id }) => id)).size).toBe(symptoms.length);
    for (const { readings } of symptoms) {
      const fits = (shows: readonly string[]) =>
        readings.every(({ test: own, shows: read }) => agrees(read, shows[at.get(own)!]!));
      const showing = study.faults.filter((_, index) => fits(study.shows[index]!));
      expect(showing.length).toBeGreaterThan(0);
      expect(fits(study.sound)).toBe(false);
      const found = findFault(outcome.plan, study, readings);
      expect(found.verdict).not.toBe('sure');
      expect(found.verdict).not.toBe('sound');
      const [first] = found.suspects;
      expect(first!.against).toEqual([]);
      const ids = new Set(showing.map(({ id }) => id));
      for (const suspect of found.suspects)
        for (const way of suspect.ways)
          if (way.length === 1) expect(suspect.weightAgainst === 0).toBe(ids.has(way[0]!.id));
    }
  }
}, 120_000);
