import fc from 'fast-check';
import { dice } from '../base/dice';
import { situationOf, type Situation } from '../handover/drills/situation';
import { boxesOf } from '../job/model/in-box';
import { planJob } from '../wiring/plan';
import { cableRow } from '../trade/standards/cables';
import { duplexIn, lightIn, sketch, switchIn, type Sketch } from './jobs';
import { anyJob } from './random-jobs';

/** The library: opened boxes of random houses, no two alike in what is seen. */
export function library(count: number, seed = 7): Situation[] {
  const found: Situation[] = [];
  const seen = new Set<string>();
  const random = dice(seed);
  for (let at = seed; found.length < count && at < seed + 4000; at++) {
    const [job] = fc.sample(anyJob, { numRuns: 1, seed: at });
    const outcome = job ? planJob(job) : null;
    if (!outcome?.ok) continue;
    for (const box of boxesOf(outcome.plan.wiring)) {
      const roll = random();
      const grounding = roll < 0.12 ? 'cut' : roll < 0.18 ? 'absent' : 'sound';
      const situation = situationOf(outcome.plan, box, {
        grounding,
        tape: random() < 0.5,
        name: `${at} ${box}`,
      });
      if (!situation) continue;
      const looks = JSON.stringify(
        situation.survey.boxes.map(({ cables, devices, ends }) => [
          cables.map(({ type }) => cableRow(type).insulated.length),
          devices.map(({ kind }) => kind),
          ends.map(({ sits }) => sits.at),
        ]),
      );
      if (seen.has(looks)) continue;
      seen.add(looks);
      found.push(situation);
      if (found.length === count) break;
    }
  }
  return found;
}

/** Opened boxes of four cables each, of the kinds that houses have: what random houses seldom draw. */
export function fourCables(): Situation[] {
  const hub = (
    name: string,
    words: Pick<Sketch, 'devices'> & Partial<Sketch>,
    options: Parameters<typeof situationOf>[2] = {},
  ): Situation => {
    const outcome = planJob(
      sketch({
        breakerA: 15,
        boxes: ['hub', 'a', 'b', 'd'],
        runs: ['panel-hub:30', 'hub-a:12', 'hub-b:15', 'hub-d:20'],
        ...words,
      }),
    );
    if (!outcome.ok) throw new Error(`${name}: ${outcome.refusals[0]?.message ?? ''}`);
    const situation = situationOf(outcome.plan, 'hub', { ...options, name });
    if (!situation) throw new Error(`${name}: Find does not take it in`);
    return situation;
  };
  const two = { groups: ['g', 'h'], devices: [switchIn('hub', 'g'), switchIn('hub', 'h', 1)] };
  return [
    hub('two switches, two lights, an outlet beyond', {
      ...two,
      devices: [...two.devices, lightIn('a', 'g'), lightIn('b', 'h'), duplexIn('d', null, null)],
    }),
    hub('an outlet with three beyond', {
      devices: ['hub', 'a', 'b', 'd'].map((box) => duplexIn(box, null, null)),
    }),
    hub('a switch, its light, a half-switched outlet, an outlet beyond', {
      groups: ['g'],
      devices: [switchIn('hub', 'g'), lightIn('a', 'g'), duplexIn('b', null, 'g'), duplexIn('d', null, null)],
    }),
    hub('a light fed first, its switch, two outlets beyond', {
      groups: ['g'],
      devices: [
        lightIn('hub', 'g'),
        switchIn('a', 'g'),
        duplexIn('b', null, null),
        duplexIn('d', null, null),
      ],
    }),
    hub('a 3-way, its partner and their light, two outlets beyond', {
      boxes: ['hub', 'a', 'b', 'd', 'e'],
      runs: ['panel-hub:30', 'hub-a:12', 'a-e:8', 'hub-b:15', 'hub-d:20'],
      groups: ['g'],
      devices: [
        switchIn('hub', 'g'),
        switchIn('a', 'g'),
        lightIn('e', 'g'),
        duplexIn('b', null, null),
        duplexIn('d', null, null),
      ],
    }),
    hub(
      'two switches and two lights, the ground cut ahead',
      { ...two, devices: [...two.devices, lightIn('a', 'g'), lightIn('b', 'h'), duplexIn('d', 'h', 'h')] },
      { grounding: 'cut' },
    ),
  ];
}
