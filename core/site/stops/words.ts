import { capitalize } from '../../base/capitalize';
import { groupBy } from '../../base/group-by';
import { andList } from '../../base/words/lists';
import { say } from '../../base/words/stops';
import { circuitNumber, placeName } from '../../job/model/called';
import { hangingId, tailEnd } from '../../job/model/wiring';
import { Names } from '../../power/proof/names';
import { colorName, endNames } from '../../wiring/makeup/cable-names';
import type { Drawable } from '../../wiring/plan';
import type { Measure, NotSafe, Stop } from './stops';

/** A circuit's breaker, in words: what may be, and the lines beneath it. */
export interface SaidStop {
  readonly circuit: string;
  readonly on: boolean;
  readonly says: string;
  /** What is to be done first, where that makes it safe; else why it stays off. */
  readonly lines: readonly string[];
  /** The boxes that are capped and covered first, with what of their drawing is capped. */
  readonly boxes: readonly { readonly box: string; readonly caps: readonly string[] }[];
}

/** The answer in a line, and each circuit with what is to be done first, or why it stays off. */
export function stopWords(
  plan: Drawable,
  stops: readonly Stop[],
): { readonly answer: string; readonly circuits: readonly SaidStop[] } {
  const words = new StopWords(plan);
  const number = (circuit: string) => circuitNumber(plan.job, circuit);
  const [on, off] = [true, false].map((is) =>
    stops.filter((one) => one.on === is).map(({ circuit }) => number(circuit)),
  );
  const count = stops.length;
  return {
    answer:
      off?.length === 0
        ? say('stop.allOn', { count })
        : on?.length === 0
          ? say('stop.allOff', { count })
          : say('stop.some', { on: andList(on ?? []), off: andList(off ?? []) }),
    circuits: stops.map((stop) => ({
      circuit: stop.circuit,
      on: stop.on,
      says: stop.on
        ? say('circuit.on', { number: number(stop.circuit) })
        : stop.first
          ? say('circuit.after', { number: number(stop.circuit) })
          : say('circuit.off', { number: number(stop.circuit) }),
      lines: stop.on ? [] : stop.first ? words.measures(stop.first) : words.reasons(stop.why),
      boxes: words.boxes(stop.first ?? []),
    })),
  };
}

class StopWords {
  private readonly names: Names;
  /** What hangs and is no conductor of a cable: what it is called, and what it is in the drawing. */
  private readonly hanging: ReadonlyMap<string, { readonly says: string; readonly id: string }>;

  constructor(private readonly plan: Drawable) {
    this.names = new Names(plan.job, plan.wiring);
    this.hanging = new Map(
      plan.wiring.tails.map(({ id, insulation, lead, to }) =>
        lead
          ? [to, { id, says: say('end.lead') }]
          : [hangingId(tailEnd(id)), { id, says: say('end.pigtail', { color: colorName(insulation) }) }],
      ),
    );
  }

  boxes = (first: readonly Measure[]): SaidStop['boxes'] =>
    [...groupBy(first, ({ box }) => [box])].map(([box, own]) => ({
      box,
      caps: own.flatMap((one) => (one.do === 'cap' ? [this.hanging.get(one.point)?.id ?? one.point] : [])),
    }));

  /** Box by box: what is capped, then what is covered. */
  measures(first: readonly Measure[]): string[] {
    return [...groupBy(first, ({ box }) => [box])].flatMap(([box, own]) => [
      ...this.ends(
        box,
        own.flatMap((one) => (one.do === 'cap' ? [one.point] : [])),
        (ends) => say('first.cap', { box: this.box(box), ends }),
      ),
      ...(own.some((one) => one.do === 'cover') ? [say('first.cover', { box: this.box(box) })] : []),
    ]);
  }

  reasons(why: readonly NotSafe[]): string[] {
    return [...groupBy(why, ({ box }) => [box])].flatMap(([box, own]) => [
      ...this.ends(
        box,
        own.flatMap((one) => (one.is === 'bare end' ? [one.point] : [])),
        (ends) => say('why.bareEnd', { box: this.box(box), ends }),
      ),
      ...own.flatMap((one) => {
        switch (one.is) {
          case 'bare end':
            return [];
          case 'open box':
            return [say('why.openBox', { box: this.box(box) })];
          case 'no ground':
            return [say('why.noGround', { box: this.box(box) })];
          case 'half wired':
            return [say('why.halfWired', { part: this.names.part(one.part) })];
          case 'not known':
            return [say('why.notKnown', { box: this.box(box) })];
        }
      }),
    ]);
  }

  private ends(box: string, points: readonly string[], words: (ends: string) => string): string[] {
    const names = new Map<string, string>(endNames(this.plan, box));
    return points.length === 0
      ? []
      : [words(andList(points.map((point) => names.get(point) ?? this.hanging.get(point)?.says ?? point)))];
  }

  private box = (id: string): string => capitalize(placeName(this.plan.job, id));
}
