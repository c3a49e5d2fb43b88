import { capitalize } from '../../base/capitalize';
import { dice, oneOf } from '../../base/dice';
import { soundHouse } from '../../power/faults';
import { movables, rewired, samePlace, undone } from '../../site/live/rewire';
import type { Rewiring } from '../../site/live/scene';
import { BenchWords } from '../../site/live/words';
import type { Plan } from '../../wiring/plan';
import { prove } from '../../power/proof/prove';
import type { Finding } from '../../power/proof/proof';
import { say } from '../../base/words/drills';
import type { Level } from './code';

/** One box taken apart: every conductor hangs, every tab is whole. */
export interface MakeUpDrill {
  readonly box: string;
  readonly start: Rewiring;
}

/** A drill by its seed: of the boxes by how many ends they hold the easy third, the middle, the hard one. */
export function makeUpDrill(plan: Plan, level: Level, seed: number): MakeUpDrill | null {
  const ends = [...movables(plan.wiring).values()];
  const boxes = plan.job.boxes
    .map(({ id }) => ({ id, count: ends.filter(({ box }) => box === id).length }))
    .filter(({ id, count }) => count > 2 && plan.wiring.devices.some(({ box }) => box === id))
    .sort((a, b) => a.count - b.count);
  const third = boxes.length / 3;
  const own = boxes.slice(Math.floor((level - 1) * third), Math.max(Math.ceil(level * third), 1));
  const box = oneOf(own.length > 0 ? own : boxes, dice(seed));
  return box ? { box: box.id, start: undone(plan.wiring, box.id) } : null;
}

const wordsOf = (plan: Plan): BenchWords => new BenchWords({ job: plan.job, house: soundHouse(plan) });

/** What is wrong with the box as it was made up: what the verification finds; nothing where it works and is safe. */
export function judgedMakeUp(plan: Plan, by: Rewiring): readonly Finding[] {
  const { wiring } = rewired(soundHouse(plan), by);
  return [...prove(plan.job, wiring).findings, ...looseEnds(plan, by)];
}

/** An end that hangs bare is wrong whatever it does. */
function looseEnds(plan: Plan, by: Rewiring): Finding[] {
  const words = wordsOf(plan);
  const known = movables(plan.wiring);
  return Object.entries(by.ends).flatMap(([end, { at }]): Finding[] => {
    const own = known.get(end);
    if (at !== 'bare' || !own || own.planned.at === 'bare') return [];
    const message = words.looseEnd(end);
    return [{ kind: 'loose end', at: { kind: 'box', box: own.box }, ...message }];
  });
}

/** Where one end that is not where the plan has it belongs; null where all are. */
export function makeUpHint(plan: Plan, by: Rewiring): string | null {
  const words = wordsOf(plan);
  const known = movables(plan.wiring);
  for (const [end, now] of Object.entries(by.ends)) {
    const own = known.get(end);
    if (own && !samePlace(own.planned, now))
      return say('hint.place', { end: capitalize(words.end(end)), planned: words.placement(own.planned) });
  }
  return words.changes(by)[0]?.says ?? null;
}
