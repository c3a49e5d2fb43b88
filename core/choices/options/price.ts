import { boxFill, countBox } from '../../wiring/boxfill/box-fill';
import { totalVolumeIn3 } from '../../wiring/boxfill/boxes-that-fit';
import { circuitLoad } from '../../power/load/load';
import type { Design } from '../../job/model/design';
import type { Plan } from '../../wiring/plan';
import type { RuleFinding } from '../../code/rules/check';
import {
  BOX_USD,
  BREAKER_USD,
  cableUsdPerFt,
  DEVICE_USD,
  MINUTES,
  SMALL_PARTS_USD,
  TIE_USD,
} from '../../trade/standards/prices';
import { billOf, newCableFt, totalFt, type Bill } from '../takeoff/bill';
import type { OptionFigures } from './option';

/** What a compiled job takes beyond what is there: priced from its bill against the job before. */
export function figuresOf(
  before: Design,
  { job, wiring }: Plan,
  findings: readonly RuleFinding[],
): OptionFigures {
  const { cables, boxes, devices, breakers, opened } = billOf({ job, wiring }, before);
  const sum = <T>(all: readonly T[], figure: (one: T) => number): number =>
    all.reduce((total, one) => total + figure(one), 0);
  const breakerUsd = ({ circuit, protection, tie }: Bill['breakers'][number]) =>
    (protection ? BREAKER_USD[circuit.protection] : 0) + (tie ? TIE_USD : 0);
  const usd =
    sum(cables, ({ cable }) => cableUsdPerFt(cable.type) * cable.lengthFt) +
    sum(boxes, ({ box }) => BOX_USD[box.family]) +
    sum(devices, ({ device }) => DEVICE_USD[device.kind] ?? 0) +
    sum(breakers, breakerUsd) +
    SMALL_PARTS_USD * (opened.size + boxes.filter(({ instead }) => !instead).length);
  const minutes =
    sum(cables, ({ cable }) => MINUTES.cableStart + MINUTES.cablePerFt * cable.lengthFt) +
    sum(boxes, ({ instead }) => (instead ? MINUTES.boxEnlarged : MINUTES.boxCutIn)) +
    sum(devices, ({ instead }) => (instead ? MINUTES.deviceChanged : MINUTES.deviceNew)) +
    sum(breakers, (one) => (breakerUsd(one) > 0 ? MINUTES.breaker : 0)) +
    MINUTES.boxOpened * opened.size;
  const fullest = job.boxes.reduce((most, box) => {
    const fill = boxFill(countBox(wiring, box), totalVolumeIn3(box), job.edition);
    return Math.max(most, fill.totalIn3 / fill.volumeIn3);
  }, 0);
  const count = (severity: RuleFinding['severity']) =>
    findings.filter((one) => one.severity === severity).length;
  return {
    materialUsd: Math.round(usd),
    laborMin: Math.round(minutes),
    holes: boxes.length,
    disturbance:
      opened.size +
      cables.filter(({ replaces }) => replaces !== null).length +
      devices.filter(({ instead }) => instead).length,
    newCableFt: totalFt(newCableFt(wiring)),
    fullest,
    spareVA: job.circuits.reduce(
      (least, circuit) => Math.min(least, circuitLoad(job, circuit).spareVA),
      Number.POSITIVE_INFINITY,
    ),
    findings: { stop: count('stop'), code: count('code'), ask: count('ask'), craft: count('craft') },
  };
}
