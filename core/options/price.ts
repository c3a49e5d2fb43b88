import { boxFill, countBox } from '../boxfill/box-fill';
import { totalVolumeIn3 } from '../boxfill/boxes-that-fit';
import { circuitLoad } from '../load/load';
import type { Box, Circuit, Device, Design } from '../model/design';
import type { Plan } from '../plan';
import type { RuleFinding } from '../rules/check';
import {
  BOX_USD,
  BREAKER_USD,
  cableUsdPerFt,
  DEVICE_USD,
  MINUTES,
  SMALL_PARTS_USD,
  TIE_USD,
} from '../standards/prices';
import type { OptionFigures } from './option';

const byId = <T extends { readonly id: string }>(list: readonly T[]) =>
  new Map(list.map((one) => [one.id, one]));

/** What a compiled job takes beyond what is there: counted from the difference between the two jobs. */
export function figuresOf(
  before: Design,
  { job, wiring }: Plan,
  findings: readonly RuleFinding[],
): OptionFigures {
  let [usd, minutes, holes, disturbance] = [0, 0, 0, 0];
  const touched = new Set<string>();
  const oldBoxes = byId(before.boxes);
  const oldDevices = byId(before.devices);
  for (const cable of wiring.cables) {
    if (cable.existing) continue;
    usd += cableUsdPerFt(cable.type) * cable.lengthFt;
    minutes += MINUTES.cableStart + MINUTES.cablePerFt * cable.lengthFt;
    const replaces = before.runs.find(({ id }) => id === cable.run)?.existing ?? null;
    if (replaces !== null) disturbance++;
    for (const end of [cable.from, cable.to]) if (oldBoxes.get(end)?.existing) touched.add(end);
  }
  for (const box of job.boxes) {
    const old = oldBoxes.get(box.id);
    if (!old) {
      holes++;
      usd += BOX_USD[box.family];
      minutes += MINUTES.boxCutIn;
    } else if (enlarged(old, box)) {
      holes++;
      usd += BOX_USD[box.family];
      minutes += MINUTES.boxEnlarged;
      touched.add(box.id);
    }
  }
  for (const device of job.devices) {
    const old = oldDevices.get(device.id);
    if (old && sameDevice(old, device)) continue;
    usd += DEVICE_USD[device.kind];
    minutes += old ? MINUTES.deviceChanged : MINUTES.deviceNew;
    if (old) disturbance++;
    if (oldBoxes.get(device.box)?.existing) touched.add(device.box);
  }
  for (const circuit of job.circuits) {
    const old = before.circuits.find(({ id }) => id === circuit.id);
    const [cost, time] = breakerWork(old, circuit);
    usd += cost;
    minutes += time;
  }
  disturbance += touched.size;
  minutes += touched.size * MINUTES.boxOpened;
  usd += SMALL_PARTS_USD * (touched.size + job.boxes.filter(({ id }) => !oldBoxes.has(id)).length);
  const fullest = job.boxes.reduce((most, box) => {
    const fill = boxFill(countBox(wiring, box), totalVolumeIn3(box), job.edition);
    return Math.max(most, fill.totalIn3 / fill.volumeIn3);
  }, 0);
  const count = (severity: RuleFinding['severity']) =>
    findings.filter((one) => one.severity === severity).length;
  return {
    materialUsd: Math.round(usd),
    laborMin: Math.round(minutes),
    holes,
    disturbance,
    newCableFt: wiring.cables.reduce((sum, { existing, lengthFt }) => sum + (existing ? 0 : lengthFt), 0),
    fullest,
    spareVA: job.circuits.reduce(
      (least, circuit) => Math.min(least, circuitLoad(job, circuit).spareVA),
      Number.POSITIVE_INFINITY,
    ),
    findings: { stop: count('stop'), code: count('code'), ask: count('ask'), craft: count('craft') },
  };
}

const enlarged = (old: Box, box: Box): boolean => box.volumeIn3 !== old.volumeIn3 || box.gangs !== old.gangs;
const sameDevice = (old: Device, device: Device): boolean =>
  old.kind === device.kind && old.ratingA === device.ratingA && old.box === device.box;

function breakerWork(old: Circuit | undefined, circuit: Circuit): [usd: number, minutes: number] {
  const protection = old?.protection === circuit.protection ? 0 : BREAKER_USD[circuit.protection];
  const tie = old?.tiedWith === circuit.tiedWith ? 0 : TIE_USD;
  return [protection + tie, protection + tie > 0 ? MINUTES.breaker : 0];
}
