import type { Design } from '../../job/model/design';
import { inBox } from '../../job/model/in-box';
import type { Tick } from '../../job/model/record';
import { endId, hangingId, tailEnd, type Tail, type WiredCable, type Wiring } from '../../job/model/wiring';
import { makeUpSteps } from '../../wiring/makeup/steps';
import { tickSteps } from '../../wiring/makeup/ticks';
import type { Drawable } from '../../wiring/plan';

/*
 * The house in the middle of the work: boxes that nothing is done in, boxes as they were, boxes apart, boxes made up. What is
 * in a box that is apart is what its ticked steps have joined; every other end in it hangs bare.
 */

/**
 * `not in work`: nothing of it changes, and nobody has begun it. `as it was`: it was there, it changes, and nothing is done yet: what is joined in it is
 * not known. `open`: begun, or new and empty. `closed`: all its steps are done.
 */
export type BoxState = 'not in work' | 'as it was' | 'open' | 'closed';

/** An end that nothing is on: a conductor's, or a pigtail's that is not landed yet. */
export interface Loose {
  readonly box: string;
  /** The point of the network that it is. */
  readonly point: string;
}

export interface MixedHouse {
  readonly wiring: Wiring;
  readonly states: ReadonlyMap<string, BoxState>;
  readonly loose: readonly Loose[];
}

/** True where the job changes what is in a box: a cable or device that was not there, or a box that was not. */
const isInWork = ({ devices, boxes }: Design, id: string, cables: readonly WiredCable[]): boolean =>
  boxes.some((box) => box.id === id && !box.existing) ||
  cables.some(({ existing }) => !existing) ||
  devices.some(({ box, was, replaces }) => box === id && (!was || replaces));

/** The house as far as its steps are ticked. */
export function mixedHouse(plan: Drawable, ticks: readonly Tick[]): MixedHouse {
  const { job, wiring } = plan;
  const states = new Map<string, BoxState>();
  const loose: Loose[] = [];
  const undone = new Map<string, BoxWork>();
  for (const { id, existing } of job.boxes) {
    const { cables } = inBox(wiring, id);
    const { steps } = tickSteps(makeUpSteps(plan, id), ticks, id);
    const done = steps.filter(({ state }) => state === 'done').map(({ step }) => step);
    if (done.length === steps.length) {
      states.set(id, isInWork(job, id, cables) ? 'closed' : 'not in work');
      continue;
    }
    // A box that somebody has begun is apart, whatever the job says of it.
    if (done.length === 0 && !isInWork(job, id, cables)) {
      states.set(id, 'not in work');
      continue;
    }
    const found = existing && cables.some((cable) => cable.existing);
    states.set(id, found && done.length === 0 ? 'as it was' : 'open');
    undone.set(id, new BoxWork(done.map((step) => [step.stage === 'land', step.touches])));
  }
  const spliceIds = new Set<string>(wiring.splices.map(({ id }) => id));
  const tails = wiring.tails.flatMap((tail): Tail[] => {
    const work = undone.get(tail.box);
    if (!work) return [tail];
    if (!work.isCut(tail)) {
      // A device brings its leads along: one that is not spliced yet hangs from it.
      if (tail.lead) loose.push({ box: tail.box, point: tail.to });
      return [];
    }
    if (tail.lead || (spliceIds.has(tail.to) ? work.isMade(tail.to) : work.isLanded(tail.id))) return [tail];
    const point = hangingId(tailEnd(tail.id));
    loose.push({ box: tail.box, point });
    return [{ ...tail, to: point }];
  });
  const splices = wiring.splices.filter(({ id, box }) => undone.get(box)?.isMade(id) ?? true);
  const terminations = wiring.terminations.filter(({ end, box }) => undone.get(box)?.isLanded(end) ?? true);
  const caps = wiring.caps.filter(({ end, box }) => undone.get(box)?.isMade(end) ?? true);
  const held = new Set<string>([
    ...splices.flatMap(({ ends }) => ends),
    ...terminations.map(({ end }) => end),
    ...caps.map(({ end }) => end),
  ]);
  for (const { from, to, conductors } of wiring.cables)
    for (const box of [from, to])
      for (const { id } of undone.has(box) ? conductors : []) {
        const point = endId(id, box);
        if (!held.has(point)) loose.push({ box, point });
      }
  return { wiring: { ...wiring, tails, splices, terminations, caps }, states, loose };
}

/** What is done in a box that is not finished. */
class BoxWork {
  private readonly made: ReadonlySet<string>;
  private readonly landed: ReadonlySet<string>;

  /** Of each step that is done: whether it lands something, and what it handles. */
  constructor(done: readonly (readonly [lands: boolean, touches: readonly string[]])[]) {
    this.made = new Set(done.flatMap(([lands, touches]) => (lands ? [] : touches)));
    this.landed = new Set(done.flatMap(([lands, touches]) => (lands ? touches : [])));
  }

  /** A splice is closed, an end capped. */
  isMade = (id: string): boolean => this.made.has(id);
  isLanded = (id: string): boolean => this.landed.has(id);
  /** A pigtail is cut with its splice, a jumper between two screws when it is landed. */
  isCut = ({ id, from }: Tail): boolean =>
    from.at === 'splice' ? this.made.has(from.splice) && this.made.has(id) : this.landed.has(id);
}
