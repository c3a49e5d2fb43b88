import { inHouse } from '../core/choices/house/panel';
import type { Design } from '../core/job/model/design';
import { readJobFile } from '../core/job/model/file';
import { type WholeHouse, isHouseText, readHouseFile } from '../core/job/model/house-file';
import { problemText } from '../core/job/model/problem';
import type { JobRecord } from '../core/job/model/record';
import { type Plan, planJob } from '../core/wiring/plan';
import { type Setting, readState } from './state';

export interface Outcome {
  readonly exit: 0 | 1 | 2;
  readonly output?: unknown;
  readonly errors?: readonly string[];
}

/** How a packet is asked for; by default in Markdown, for the inspector, as of now. */
export interface PacketAsk {
  readonly format?: 'json' | 'md';
  readonly owner?: boolean;
  readonly at?: string;
}

export interface CommandRow {
  readonly says: string;
  readonly run: (file: string, state: string) => Outcome;
}

export const badInput = (problems: Parameters<typeof problemText>[0][]): Outcome => ({
  exit: 2,
  errors: problems.map(problemText),
});

/** The jobs of a house, their circuits as its panel has them. */
export const designsIn = ({ house, jobs }: WholeHouse): Design[] =>
  inHouse(
    house,
    jobs.map(({ design }) => design),
  );

/** One job, or each job of a house with its circuits as the panel has them. */
export const withJob =
  (
    run: (job: Design, state: string, record: JobRecord, house: WholeHouse | null) => Outcome,
  ): CommandRow['run'] =>
  (file, state) => {
    if (!isHouseText(file)) {
      const job = readJobFile(file);
      return job.ok ? run(job.value.design, state, job.value.record, null) : badInput([...job.problems]);
    }
    const house = readHouseFile(file);
    if (!house.ok) return badInput([...house.problems]);
    const { jobs } = house.value;
    const designs = designsIn(house.value);
    return together(
      jobs.map(({ design, record }, index) => ({
        of: { job: design.id },
        outcome: run(designs[index] ?? design, state, record, house.value),
      })),
    );
  };

export const withHouse =
  (run: (house: WholeHouse, state: string) => Outcome): CommandRow['run'] =>
  (file, state) => {
    const house = readHouseFile(file);
    return house.ok ? run(house.value, state) : badInput([...house.problems]);
  };

/** What several jobs or files come to: each by what it is of, the worst exit of them. */
export function together(
  all: readonly { readonly of: Readonly<Record<string, string>>; readonly outcome: Outcome }[],
): Outcome {
  const name = (of: Readonly<Record<string, string>>) => Object.values(of).join(' ');
  return {
    exit: all.reduce<Outcome['exit']>(
      (worst, { outcome }) => (outcome.exit > worst ? outcome.exit : worst),
      0,
    ),
    output: all.every(({ outcome }) => typeof outcome.output === 'string')
      ? all.map(({ outcome }) => outcome.output).join('\n')
      : all.map(({ of, outcome: { exit, output } }) => ({
          ...of,
          exit,
          ...(output === undefined ? {} : { output }),
        })),
    errors: all.flatMap(({ of, outcome: { errors = [] } }) => errors.map((error) => `${name(of)}: ${error}`)),
  };
}

export const withPlan = (run: (plan: Plan, state: string, record: JobRecord) => Outcome): CommandRow['run'] =>
  withJob((job, state, record) => {
    const outcome = planJob(job);
    if (outcome.ok) return run(outcome.plan, state, record);
    return {
      exit: 1,
      output: { refusals: outcome.refusals },
      errors: outcome.refusals.map(({ message }) => message),
    };
  });

export const withState = (run: (plan: Plan, setting: Setting) => Outcome): CommandRow['run'] =>
  withPlan((plan, text) => {
    const state = readState(text, plan);
    return state.ok ? run(plan, state.value) : badInput([...state.problems]);
  });
