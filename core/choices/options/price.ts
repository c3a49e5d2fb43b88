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
  SMALL_PARTS_USD,
  TIE_USD,
} from '../../trade/standards/prices';
import { billOf, newCableFt, totalFt, type Bill } from '../takeoff/bill';
import { boughtAs } from '../takeoff/box-lines';
import { boxKey, breakerKey, cableKey, TIE_KEY } from '../takeoff/keys';
import { ownPrice, type Shop } from '../takeoff/shop';
import type { OptionFigures } from './option';

/** What options are priced by: the shop's own, the example's where it has none. */
export type Prices = Pick<Shop, 'prices' | 'minutes'>;

/** What a compiled job takes beyond what is there: priced from its bill against the job before. */
export function figuresOf(
  before: Design,
  { job, wiring }: Plan,
  findings: readonly RuleFinding[],
  { prices, minutes: takes }: Prices,
): OptionFigures {
  const { cables, boxes, devices, breakers, opened } = billOf({ job, wiring }, before);
  const sum = <T>(all: readonly T[], figure: (one: T) => number): number =>
    all.reduce((total, one) => total + figure(one), 0);
  const usdOf = (thing: Parameters<typeof ownPrice>[1], example: number): number =>
    Number(ownPrice({ prices }, thing) ?? example);
  const breakerUsd = ({ circuit, protection, tie }: Bill['breakers'][number]) =>
    (protection ? usdOf({ key: breakerKey(circuit) }, BREAKER_USD[circuit.protection]) : 0) +
    (tie ? usdOf({ key: TIE_KEY }, TIE_USD) : 0);
  const usd =
    sum(cables, ({ cable }) => usdOf({ key: cableKey(cable) }, cableUsdPerFt(cable)) * cable.lengthFt) +
    sum(boxes, ({ box }) => usdOf({ key: boxKey(box) }, BOX_USD[box.family])) +
    sum(devices, ({ device }) => usdOf(boughtAs(device, wiring), DEVICE_USD[device.kind] ?? 0)) +
    sum(breakers, breakerUsd) +
    SMALL_PARTS_USD * (opened.size + boxes.filter(({ instead }) => !instead).length);
  const minutes =
    sum(cables, ({ cable }) => takes.cableStart + takes.cablePerFt * cable.lengthFt) +
    sum(boxes, ({ instead }) => (instead ? takes.boxEnlarged : takes.boxCutIn)) +
    sum(devices, ({ instead }) => (instead ? takes.deviceChanged : takes.deviceNew)) +
    sum(breakers, (one) =>
      (one.protection && one.circuit.protection !== 'none') || one.tie ? takes.breaker : 0,
    ) +
    takes.boxOpened * opened.size;
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
