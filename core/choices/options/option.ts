import type { DesignCommand } from '../../job/commands/command';
import type { Design } from '../../job/model/design';
import type { Severity } from '../../code/rules/rule';
import { say } from '../../base/words/options';

/** What one way of doing it takes and gives. Every figure comes from its own compiled, proved and ruled job. */
export interface OptionFigures {
  readonly materialUsd: number;
  readonly laborMin: number;
  /** New holes in finished walls: new boxes, boxes made larger, cable fished. */
  readonly holes: number;
  /** Boxes that are there and get opened, devices changed, cables pulled out. */
  readonly disturbance: number;
  readonly newCableFt: number;
  /** The fullest box, as a share of its volume. */
  readonly fullest: number;
  readonly spareVA: number;
  readonly findings: Readonly<Record<Severity, number>>;
}

export interface Option {
  readonly id: string;
  readonly way: string;
  readonly says: string;
  readonly commands: readonly DesignCommand[];
  readonly job: Design;
  readonly figures: OptionFigures;
  /** What stands against it, worst first. */
  readonly worst: readonly { readonly severity: Severity; readonly says: string }[];
  /** True where the length of a new run is a guess: no spots on a wall to measure between. */
  readonly guessed: boolean;
  /** Switch states in which it was proved. */
  readonly statesTried: number;
  /** The option that is as good or better in everything, and why; null where there is none. */
  readonly dominated: { readonly by: string; readonly why: string } | null;
}

/** So many options are shown as cards. */
export const CARDS = 3;

export interface Progress {
  readonly tried: number;
  readonly of: number;
  readonly found: number;
  /** The best of what was found so far, as cards show them: another list whenever another comes among them. */
  readonly best: readonly Option[];
}

/** What matters how much, 0 to 10 each. */
export interface Weights {
  readonly money: number;
  readonly time: number;
  readonly holes: number;
  readonly disturbance: number;
  readonly room: number;
  readonly findings: number;
}

export const EVEN: Weights = { money: 5, time: 5, holes: 5, disturbance: 5, room: 5, findings: 8 };

const severity = ({ code, ask, craft }: OptionFigures['findings']): number =>
  code * 10 + ask * 2 + craft * 0.5;

/** It can hurt someone, or will not work: no weight makes up for that. */
export const isStopped = ({ figures }: Option): boolean => figures.findings.stop > 0;
/** More points than any weights can give. */
const STOPPED = 100;

/**
 * A price in weighed points, the smaller the better; each measure against the worst of the list. A way that is stopped
 * comes after all that are not, whatever the weights.
 */
export function weighed(options: readonly Option[], weights: Weights): ReadonlyMap<string, number> {
  const measures = {
    money: (one: OptionFigures) => one.materialUsd,
    time: (one: OptionFigures) => one.laborMin,
    holes: (one: OptionFigures) => one.holes,
    disturbance: (one: OptionFigures) => one.disturbance,
    room: (one: OptionFigures) => one.fullest,
    findings: (one: OptionFigures) => severity(one.findings),
  };
  return new Map(
    options.map((option) => {
      let points = isStopped(option) ? STOPPED : 0;
      for (const [name, measure] of Object.entries(measures) as [
        keyof Weights,
        (one: OptionFigures) => number,
      ][]) {
        const most = options.reduce((top, { figures }) => Math.max(top, measure(figures)), 0);
        if (most > 0) points += (weights[name] * measure(option.figures)) / most;
      }
      return [option.id, points];
    }),
  );
}

/** Those that nothing beats in everything, the best by some weights first. */
export function ranked(options: readonly Option[], weights: Weights): Option[] {
  const points = weighed(options, weights);
  return options
    .filter(({ dominated }) => dominated === null)
    .sort((a, b) => (points.get(a.id) ?? 0) - (points.get(b.id) ?? 0));
}

const COMPARED: readonly (readonly [words: string, value: (one: OptionFigures) => number])[] = [
  [say('option.material'), (one) => one.materialUsd],
  [say('option.labor'), (one) => one.laborMin],
  [say('option.holes'), (one) => one.holes],
  [say('option.disturbance'), (one) => one.disturbance],
  [say('option.hazards'), (one) => one.findings.stop],
  [say('option.findings'), (one) => severity(one.findings)],
];

/** Marks options that another is no worse than in anything, and better in something. */
export function withDominated(options: readonly Option[]): Option[] {
  return options.map((option) => {
    for (const other of options) {
      if (other === option) continue;
      const diffs = COMPARED.map(([words, value]) => ({
        words,
        diff: value(option.figures) - value(other.figures),
      }));
      const better = diffs.filter(({ diff }) => diff > 1e-9);
      if (diffs.every(({ diff }) => diff >= -1e-9) && better.length > 0) {
        return {
          ...option,
          dominated: {
            by: other.id,
            why: say('option.less', {
              better: better.map(({ words }) => words).join(', '),
              other: other.says,
            }),
          },
        };
      }
    }
    return option;
  });
}
