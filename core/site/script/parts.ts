import { housed, type Fault, type Wired } from '../../power/faults';
import { deviceKind, powerParts } from '../../trade/devices';
import { boxesOf, inBox } from '../../job/model/in-box';
import { PANEL } from '../../job/model/design';
import { endId, panelHotId, panelNeutralId, partKey } from '../../job/model/wiring';
import { separateParts } from '../../power/network/network';
import { openedIn, tripsOf, type FieldTest, type Outcome } from './field-test';
import { HouseRun } from './run-house';
import type { Stimulus } from './stimuli';

/*
 * A house falls into parts that share nothing but the panel's bars, no breaker and no tie. The bars are so stiff that
 * nothing which happens in one part is read in another: each is tried alone, and a mistake only where it is.
 */

/** A part of a house as a house of its own. */
interface Part {
  readonly wired: Wired;
  readonly sound: HouseRun;
  /** A stimulus by what of it matters here: breakers, handles, loads and buttons of this part. */
  readonly keyOf: (stimulus: Stimulus) => string;
}

interface Parts {
  readonly list: readonly Part[];
  /** By box, circuit's screw and conductor end at the panel: the number of its part. */
  readonly at: ReadonlyMap<string, number>;
}

/** Circuits that one breaker opens together, or that share a neutral. */
function tiedCircuits({ job }: Wired): string[][] {
  const groups: string[][] = [];
  for (const { id, tiedWith, multiwireWith } of job.circuits) {
    const own = [id, tiedWith, multiwireWith].filter((one) => one !== null);
    const met = groups.filter((group) => group.some((one) => own.includes(one)));
    for (const group of met) groups.splice(groups.indexOf(group), 1);
    groups.push([...new Set([...met.flat(), ...own])]);
  }
  return groups;
}

/** The boxes that circuits first come to, by circuit. */
function firstBoxes({ wiring }: Wired): Map<string, string[]> {
  const boxes = new Map<string, string[]>();
  const landed = new Map(
    inBox(wiring, PANEL).terminations.map(({ end, terminal }) => [end as string, terminal as string]),
  );
  for (const { conductors, from, to } of inBox(wiring, PANEL).cables)
    for (const { id } of conductors) {
      const terminal = landed.get(endId(id, PANEL));
      if (terminal !== undefined)
        boxes.set(terminal, [...(boxes.get(terminal) ?? []), from === PANEL ? to : from]);
    }
  return boxes;
}

function split(wired: Wired): Parts {
  const first = firstBoxes(wired);
  const screws = (circuit: string) => [panelHotId(circuit), panelNeutralId(circuit)] as const;
  const ties = tiedCircuits(wired);
  const together = ties.map((circuits) =>
    circuits.flatMap((circuit) => screws(circuit).flatMap((screw) => first.get(screw) ?? [])),
  );
  const at = new Map<string, number>();
  const list = separateParts(wired.wiring, together).map((wiring, number): Part => {
    const boxes = boxesOf(wiring);
    for (const box of boxes) at.set(box, number);
    for (const { conductors } of wiring.cables)
      for (const { id } of conductors) at.set(endId(id, PANEL), number);
    const own = ties.filter((_, index) => together[index]?.some((box) => at.get(box) === number)).flat();
    for (const circuit of own) at.set(panelHotId(circuit), number);
    const circuits = wired.job.circuits.filter(({ id }) => own.includes(id));
    const part = { job: { ...wired.job, circuits }, wiring };
    const keyOf = keyIn(part);
    return { wired: part, sound: new HouseRun(housed(part, []), keyOf), keyOf };
  });
  return { list, at };
}

/** The stimulus as this part knows it, in words that are the same where nothing of it differs here. */
function keyIn({ job, wiring }: Wired): Part['keyOf'] {
  const devices = new Set<string>(wiring.devices.map(({ id }) => id));
  const parts = new Set<string>(
    wiring.devices.flatMap(({ id, kind }) =>
      powerParts(deviceKind(kind)).map((part) => partKey(id, part.id)),
    ),
  );
  const circuits = new Set(job.circuits.map(({ id }) => id));
  const known = new WeakMap<Stimulus, string>();
  const written = ({ is, state, key }: Stimulus): string =>
    JSON.stringify([
      is === 'buttons',
      [...state.openBreakers].filter((one) => circuits.has(one)),
      [...state.positions].filter(([device, position]) => position !== 0 && devices.has(device)),
      [...state.loads].filter(([part]) => parts.has(part)),
      [...state.tripped].filter((one) => devices.has(one)),
      // What is plugged in, measured or touched is not taken apart.
      state.testers.size > 0 || state.meter !== null || state.person ? key : '',
    ]);
  return (stimulus) => {
    const key = known.get(stimulus) ?? written(stimulus);
    known.set(stimulus, key);
    return key;
  };
}

const splits = new WeakMap<Wired['wiring'], Parts>();
function partsOf(wired: Wired): Parts {
  const known = splits.get(wired.wiring) ?? split(wired);
  splits.set(wired.wiring, known);
  return known;
}

/** What tests show in a house. */
export interface Run {
  readonly outcome: (test: FieldTest) => Outcome;
}

/** The part that a fault is in; null where it is in none alone. */
function partOfFault({ at }: Parts, { box, points }: Fault): number | null {
  if (box !== PANEL) return at.get(box) ?? null;
  const own = new Set(points.map((point) => at.get(point)));
  const [only] = own;
  return own.size === 1 && only !== undefined ? only : null;
}

/** The part that a test is in; null for a look at all breakers, and for what lies across parts. */
function partOfTest({ at }: Parts, { box, probe }: FieldTest): number | null {
  if (box !== PANEL) return at.get(box) ?? null;
  if (probe.read !== 'volts' || probe.to === null) return null;
  const [from, to] = [at.get(probe.from), at.get(probe.to)];
  return from !== undefined && from === to ? from : null;
}

/** The house with these faults, none for the sound one: only the parts that they are in are tried anew. */
export function runWith(wired: Wired, faults: readonly Fault[]): Run {
  const parts = partsOf(wired);
  const faulty = new Map<number, Fault[]>();
  for (const fault of faults) {
    const part = partOfFault(parts, fault);
    if (part === null) return new HouseRun(housed(wired, faults));
    faulty.set(part, [...(faulty.get(part) ?? []), fault]);
  }
  const runs = parts.list.map(({ wired: own, sound, keyOf }, number) => {
    const here = faulty.get(number);
    return here ? new HouseRun(housed(own, here), keyOf) : sound;
  });
  let whole: HouseRun | null = null;
  return {
    outcome: (test) => {
      const part = partOfTest(parts, test);
      const run = part === null ? undefined : runs[part];
      if (run) return run.outcome(test);
      if (test.probe.read === 'trips') {
        const opened = runs.map((one) => openedIn(one.outcome(test)));
        return tripsOf({
          breakers: opened.flatMap((one) => one?.breakers ?? []),
          devices: opened.flatMap((one) => one?.devices ?? []),
        });
      }
      whole ??= new HouseRun(housed(wired, faults));
      return whole.outcome(test);
    },
  };
}

/** The tests of each part by their numbers, and those that lie in none alone. */
function testsByPart(
  parts: Parts,
  tests: readonly FieldTest[],
): ReadonlyMap<number | null, readonly number[]> {
  const known = sorted.get(tests);
  if (known) return known;
  const by = new Map<number | null, number[]>();
  tests.forEach((test, index) => {
    const part = partOfTest(parts, test);
    const own = by.get(part);
    if (own) own.push(index);
    else by.set(part, [index]);
  });
  sorted.set(tests, by);
  return by;
}
const sorted = new WeakMap<readonly FieldTest[], ReadonlyMap<number | null, readonly number[]>>();

/** What every test shows in the house with one fault, given what each shows in the sound one. */
export function showsWith(
  wired: Wired,
  fault: Fault,
  tests: readonly FieldTest[],
  sound: readonly Outcome[],
): readonly Outcome[] {
  const parts = partsOf(wired);
  const own = partOfFault(parts, fault);
  const run = runWith(wired, [fault]);
  if (own === null) return tests.map((test) => run.outcome(test));
  const shows = [...sound];
  const by = testsByPart(parts, tests);
  for (const part of [own, null])
    for (const index of by.get(part) ?? []) {
      const test = tests[index];
      if (test) shows[index] = run.outcome(test);
    }
  return shows;
}
