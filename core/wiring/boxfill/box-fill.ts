import { deviceKind } from '../../trade/devices';
import type { Box } from '../../job/model/design';
import { inBox } from '../../job/model/in-box';
import { endId, terminalId, type Wiring } from '../../job/model/wiring';
import { cableRow, isGround } from '../../trade/standards/cables';
import { boxVolumeIn3, type Gauge } from '../../trade/standards/conductors';
import type { Edition } from '../../trade/standards/source';
import { say } from '../../base/words/boxfill';

/** What takes up room in a box, before any arithmetic. */
export interface FillCount {
  /** Insulated conductors from outside that end or are spliced here, by gauge. */
  readonly conductors: readonly Gauge[];
  /** Equipment grounds from outside, by gauge. */
  readonly grounds: readonly Gauge[];
  readonly internalClamps: boolean;
  /** The largest conductor on each yoke. */
  readonly yokes: readonly Gauge[];
}

/** One line of the arithmetic: `count` allowances of `eachIn3`. */
export interface FillLine {
  readonly what: string;
  readonly count: number;
  readonly eachIn3: number;
  readonly totalIn3: number;
  /** Where the rule stands (from memory). */
  readonly section: string;
}

export interface Fill {
  readonly lines: readonly FillLine[];
  readonly totalIn3: number;
  readonly volumeIn3: number;
  readonly fits: boolean;
}

/** The smaller the number, the thicker the wire. */
const largest = (gauges: readonly Gauge[]): Gauge | undefined =>
  gauges.length === 0 ? undefined : (Math.min(...gauges) as Gauge);

/**
 * Box fill, NEC 314.16(B)(1) to (5) (from memory). Grounds: in 2017 all together one allowance of the largest;
 * from 2020 one for up to four and a quarter for each beyond. Pigtails and connectors take none.
 */
export function boxFill(count: FillCount, volumeIn3: number, edition: Edition): Fill {
  const lines: FillLine[] = [];
  const line = (what: string, times: number, gauge: Gauge, section: string) =>
    lines.push({
      what: say('boxFill.awg', { what, gauge }),
      count: times,
      eachIn3: boxVolumeIn3(gauge),
      totalIn3: times * boxVolumeIn3(gauge),
      section,
    });
  for (const gauge of [14, 12, 10] as const) {
    const own = count.conductors.filter((one) => one === gauge).length;
    if (own > 0)
      line(
        own === 1 ? say('boxFill.insulatedConductor') : say('boxFill.insulatedConductors'),
        own,
        gauge,
        '314.16(B)(1)',
      );
  }
  const clampGauge = largest([...count.conductors, ...count.grounds]);
  if (count.internalClamps && clampGauge) line(say('boxFill.internalClamps'), 1, clampGauge, '314.16(B)(2)');
  for (const gauge of [14, 12, 10] as const) {
    const own = count.yokes.filter((one) => one === gauge).length;
    if (own > 0)
      line(
        own === 1 ? say('boxFill.deviceYoke2Each') : say('boxFill.devicesYokes2Each'),
        own * 2,
        gauge,
        '314.16(B)(4)',
      );
  }
  const groundGauge = largest(count.grounds);
  if (groundGauge) {
    const beyond = edition === '2017' ? 0 : Math.max(count.grounds.length - 4, 0);
    line(
      count.grounds.length === 1 ? say('boxFill.ground') : say('boxFill.groundsTogether'),
      1 + beyond / 4,
      groundGauge,
      '314.16(B)(5)',
    );
  }
  const totalIn3 = lines.reduce((sum, { totalIn3: own }) => sum + own, 0);
  return { lines, totalIn3, volumeIn3, fits: totalIn3 <= volumeIn3 + 1e-9 };
}

/** Counts what the wiring puts into a box. What hangs on its own hardware, or lies in the box, has no yoke. */
export function countBox(wiring: Wiring, box: Box): FillCount {
  const gaugeOfEnd = new Map<string, Gauge>();
  const conductors: Gauge[] = [];
  const grounds: Gauge[] = [];
  const { cables, devices, splices, terminations, tails } = inBox(wiring, box.id);
  for (const cable of cables) {
    const { gauge } = cableRow(cable.type);
    for (const { id, insulation } of cable.conductors) {
      (isGround(insulation) ? grounds : conductors).push(gauge);
      gaugeOfEnd.set(endId(id, box.id), gauge);
    }
  }
  const gauges = (ends: readonly string[]) => ends.flatMap((end) => gaugeOfEnd.get(end) ?? []);
  const yokes = devices.flatMap(({ id, kind }) => {
    const { yoke, terminals } = deviceKind(kind);
    if (!yoke) return [];
    const own = new Set<string>(terminals.map((terminal) => terminalId(id, terminal.id)));
    const gauge = largest([
      ...gauges(terminations.filter(({ terminal }) => own.has(terminal)).map(({ end }) => end)),
      ...tails
        .filter(({ to, from }) => own.has(to) || (from.at === 'terminal' && own.has(from.terminal)))
        .flatMap(({ lead, gauge: pigtail, from }) =>
          // A lead is the device's own: what counts is the conductor that it is spliced to.
          lead && from.at === 'splice'
            ? gauges(splices.find((one) => one.id === from.splice)?.ends ?? [])
            : [pigtail],
        ),
    ]);
    return gauge === undefined ? [] : [gauge];
  });
  return { conductors, grounds, internalClamps: box.internalClamps, yokes };
}
