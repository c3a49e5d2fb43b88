import type { Design } from '../../job/model/design';
import type { Drawable } from '../../wiring/plan';
import { BREAKER_USD, PIECE_USD, TIE_USD } from '../../trade/standards/prices';
import { say } from '../../base/words/takeoff';
import { billOf, type Bill } from './bill';
import { boxLines, deviceLines, plateLines } from './box-lines';
import { cableLines, fastening, plugLines } from './cable-lines';
import { breakerKey, TIE_KEY } from './keys';
import { AISLES, ALLOWANCES, type Allowances, type Taken, type TakeOffLine } from './line';
import { connectorLines, metalBoxLines, wireLines } from './small-parts';

/** The part of a job that is there already. */
export const existingPart = (job: Design): Design => ({
  ...job,
  boxes: job.boxes.filter(({ existing }) => existing),
  devices: job.devices.filter(({ was }) => was),
  circuits: job.circuits.filter(({ fresh }) => !fresh),
});

/** All that a plan takes beyond what is there, aisle by aisle, in the order of the job. */
export function takeOff(
  plan: Drawable,
  by: Allowances = ALLOWANCES,
  before = existingPart(plan.job),
): TakeOffLine[] {
  const bill = billOf(plan, before);
  const cables = bill.cables.map(({ cable }) => cable);
  const fresh = new Set(bill.boxes.map(({ box }) => box.id));
  const touched = new Set([
    ...cables.flatMap(({ from, to }) => [from, to]),
    ...fresh,
    ...bill.devices.map(({ device }) => device.box),
  ]);
  return summed([
    ...cableLines(plan, cables, by),
    ...boxLines(plan, bill),
    ...deviceLines(plan, bill),
    ...plugLines(plan, cables),
    ...metalBoxLines(plan, fresh, touched),
    ...plateLines(plan, fresh, touched),
    ...connectorLines(plan, touched),
    ...fastening(plan, cables),
    ...wireLines(plan, touched),
    ...breakerLines(plan, bill),
  ]);
}

/** Each thing once, with all that it is for. */
function summed(taken: readonly Taken[]): TakeOffLine[] {
  const lines = new Map<string, TakeOffLine>();
  for (const { usd, need = 1, unit = 'each', like = null, because, ...own } of taken) {
    const known = lines.get(own.key);
    lines.set(own.key, {
      ...own,
      unit,
      like,
      example: usd === null ? null : written(usd),
      ...known,
      need: (known?.need ?? 0) + need,
      because: [...(known?.because ?? []), ...(typeof because === 'string' ? [because] : because)],
    });
  }
  return [...lines.values()].sort((a, b) => AISLES.indexOf(a.aisle) - AISLES.indexOf(b.aisle));
}

const written = (usd: number): string => usd.toFixed(4).replace(/\.?0+$/, '');

/** Breakers that are new or protect otherwise than before, and ties of two handles. */
function breakerLines({ job }: Drawable, bill: Bill): Taken[] {
  return job.circuits.flatMap((circuit): Taken[] => {
    const changed = bill.breakers.find((one) => one.circuit.id === circuit.id);
    const because = say('list.breakerWhy', { number: circuit.number });
    const { breakerA, protection, tiedWith } = circuit;
    return [
      ...(circuit.fresh || changed?.protection
        ? [
            {
              key: breakerKey(circuit),
              aisle: 'breakers' as const,
              name: say('list.breaker', { rating: breakerA, protection }),
              usd: BREAKER_USD[protection] || PIECE_USD.breaker,
              because,
            },
          ]
        : []),
      // A tie joins two handles: it is bought once.
      ...(changed?.tie && tiedWith !== null && circuit.id < tiedWith
        ? [{ key: TIE_KEY, aisle: 'breakers' as const, name: say('list.tie'), usd: TIE_USD, because }]
        : []),
    ];
  });
}
