import { consumers, controlGroups } from '../../wiring/layout/nets';
import { PANEL, type Design } from '../../job/model/design';
import { endsOf } from '../../job/model/lookup';
import { panelHotId, panelNeutralId, partKey, type PartKey, type Wiring } from '../../job/model/wiring';
import type { Disturbance } from '../network/disturbance';
import { buildNetwork, separateParts } from '../network/network';
import { Bench } from './bench';
import { strayEnds } from './ends';
import { findLoops } from './loops';
import { Names } from './names';
import type { Finding, FindingAt, PartProof, Proof, Report } from './proof';
import { boxesOfPoints, boxesTogether, pointsOf } from './together';
import { Wishes } from './wishes';
import { colorName } from '../../wiring/makeup/cable-names';
import { tell } from '../../base/words/proof';

export { partOf } from './proof';
export type { FindingKind, Proof } from './proof';

/**
 * Energizes the wiring in every switch state and compares each outlet half and light with its wish; also polarity,
 * every equipment ground, ground current, cancelling currents per cable and circuit with loads one at a time and all
 * different, conductors that form a loop, ends that lie loose, and that everything is dead with its breaker off.
 */
export function prove(job: Design, wiring: Wiring, disturbances: readonly Disturbance[] = []): Proof {
  const names = new Names(job, wiring);
  const findings = new Map<string, Finding>();
  const find: Report = (kind, at, told) => {
    const key = `${kind} ${atKey(at)}`;
    if (!findings.has(key)) findings.set(key, { kind, at, ...told });
  };
  const wants = new Map(consumers(job).map(({ device, part, want }) => [partKey(device.id, part), want]));
  const places = new Map(
    controlGroups(job).map(({ group, places: own }) => [group.id, own.map(({ id }) => id)]),
  );
  let statesTried = 0;
  const coverage = new Map<string, readonly PartKey[]>();
  const retold = (seen: SeenPart): PartProof => {
    for (const one of seen.said) find(...one);
    statesTried += seen.statesTried;
    for (const [device, dead] of seen.coverage) coverage.set(device, dead);
    return seen.proof;
  };
  const boxOf = disturbances.length > 0 ? boxesOfPoints(wiring) : new Map<string, string>();
  const parts = separateParts(wiring, boxesTogether(job, wiring, disturbances)).map((own): PartProof => {
    const key = disturbances.length === 0 ? partMark(job, own) : null;
    const known = key === null ? undefined : seenParts.get(key);
    if (known) return retold(known);
    const fed = new Set(own.terminations.map(({ terminal }) => terminal));
    const here = new Set(own.cables.flatMap(({ from, to }) => [from, to]));
    const network = buildNetwork(
      own,
      job.circuits.filter(({ id }) => fed.has(panelHotId(id)) || disturbances.length > 0),
      disturbances.filter((one) => {
        const boxes = pointsOf(one).flatMap((point) => boxOf.get(point) ?? []);
        return boxes.length === 0 || boxes.some((box) => here.has(box));
      }),
    );
    const said: Said[] = [];
    const find: Report = (...one) => void said.push(one);
    const bench = new Bench({ job, wiring: own, network, names, find }, wants, new Wishes(wants, places));
    const seen = { proof: bench.run(), said, coverage: bench.coverage, statesTried: bench.statesTried };
    if (key !== null) keepPart(key, seen);
    return retold(seen);
  });
  unwired(wants, parts, names, find);
  findLoops(wiring, names, find);
  looseEnds(wiring, names, find);
  return { parts, coverage, findings: [...findings.values()], statesTried };
}

/** What was found in one part of a house. */
type Said = Parameters<Report>;
interface SeenPart {
  readonly proof: PartProof;
  readonly said: readonly Said[];
  readonly coverage: ReadonlyMap<string, readonly PartKey[]>;
  readonly statesTried: number;
}

/**
 * Parts that were energized before, by all that is known of them: a change of one part is tried without the others, and
 * so is each way to add an outlet.
 */
const seenParts = new Map<string, SeenPart>();
const MOST_PARTS = 500;
function keepPart(key: string, seen: SeenPart): void {
  if (seenParts.size >= MOST_PARTS) seenParts.clear();
  seenParts.set(key, seen);
}

/** All that the verification of a part reads: its wiring, and what the job says of its boxes, devices, runs and circuits. */
function partMark({ boxes, devices, runs, circuits }: Design, own: Wiring): string {
  const here = new Set([
    ...own.cables.flatMap(({ from, to }) => [from, to]),
    ...own.devices.map(({ box }) => box),
  ]);
  here.delete(PANEL);
  const within = devices.filter(({ box }) => here.has(box));
  const landed = new Set<string>(own.terminations.map(({ terminal }) => terminal));
  const wanted = new Set(
    within.flatMap(({ wants }) =>
      Object.values(wants).flatMap((want) => (want.does === 'power' ? [want.circuit] : [])),
    ),
  );
  return JSON.stringify([
    own,
    boxes.filter(({ id }) => here.has(id)),
    within,
    runs.filter(({ from, to }) => here.has(from) || here.has(to)),
    circuits.filter(
      ({ id }) => wanted.has(id) || landed.has(panelHotId(id)) || landed.has(panelNeutralId(id)),
    ),
  ]);
}

/** Two things never have one: the parts of a key are kept apart by signs that no id can hold. */
function atKey(at: FindingAt): string {
  switch (at.kind) {
    case 'part':
      return `part ${partKey(at.device, at.part)}`;
    case 'device':
      return `device ${at.device}`;
    case 'box':
      return `box ${at.box}`;
    case 'circuit':
      return `circuit ${at.circuit}`;
    case 'cable':
      return `cable ${at.cable}`;
    case 'conductor':
      return `conductor ${at.conductor}${at.box === undefined ? '' : `@${at.box}`}`;
  }
}

/** Parts in boxes that no cable reaches are live in no state. */
function unwired(
  wants: ReadonlyMap<PartKey, unknown>,
  parts: readonly PartProof[],
  names: Names,
  find: Report,
): void {
  const seen = new Set(parts.flatMap((one) => one.parts));
  for (const key of wants.keys()) {
    if (!seen.has(key))
      find('never live', names.partAt(key), tell('prove.liveNoSwitchPosition', { part: names.part(key) }));
  }
}

function looseEnds(wiring: Wiring, names: Names, find: Report): void {
  const ends = endsOf(wiring);
  for (const { end, times } of strayEnds(wiring)) {
    const own = ends.get(end);
    if (!own) continue;
    const { conductor, cable, box } = own;
    find(
      'loose end',
      { kind: 'conductor', conductor: conductor.id, run: cable.run, box },
      tell('prove.trueOther', {
        isGround: colorName(conductor.insulation),
        cable: names.cable(cable),
        times: times === 0,
        box: names.box(box),
      }),
    );
  }
}
