import { z } from 'zod';
import { totalVolumeIn3 } from '@core/boxfill/boxes-that-fit';
import { boxFill, countBox } from '@core/boxfill/box-fill';
import { energize } from '@core/energize/energize';
import { readMeter, readTester } from '@core/energize/instruments';
import { REST, type State } from '@core/energize/state';
import { writeNetlist } from '@core/interchange/netlist';
import { circuitLoad } from '@core/load/load';
import { makeUpSteps } from '@core/makeup/steps';
import { readJobFile, zodProblems } from '@core/model/file';
import type { Job } from '@core/model/job';
import { bad, good, problemText, type Checked } from '@core/model/problem';
import { buildNetwork } from '@core/network/network';
import { planJob, type Plan } from '@core/plan';
import { prove } from '@core/proof/prove';
import { checkRules } from '@core/rules/check';
import { siteOf } from '@core/rules/site';
import { study } from '@core/survey/study';

export interface Outcome {
  readonly exit: 0 | 1 | 2;
  readonly output?: unknown;
  readonly errors?: readonly string[];
}

interface CommandRow {
  readonly says: string;
  readonly run: (file: string, state: string) => Outcome;
}

/** What is set while energizing, as a file for `--state`. Everything may be left out. */
const StateFile = z.strictObject({
  openBreakers: z.array(z.string()).default([]),
  positions: z.record(z.string(), z.int().min(0)).default({}),
  loads: z.record(z.string(), z.number().min(0)).default({}),
  testers: z.array(z.string()).default([]),
  meter: z
    .strictObject({ impedance: z.enum(['high', 'low']), from: z.string(), to: z.string() })
    .nullable()
    .default(null),
});

const badInput = (problems: Parameters<typeof problemText>[0][]): Outcome => ({
  exit: 2,
  errors: problems.map(problemText),
});

const withJob =
  (run: (job: Job, state: string) => Outcome): CommandRow['run'] =>
  (file, state) => {
    const job = readJobFile(file);
    return job.ok ? run(job.value, state) : badInput([...job.problems]);
  };

const withPlan = (run: (plan: Plan, state: string) => Outcome): CommandRow['run'] =>
  withJob((job, state) => {
    const outcome = planJob(job);
    if (outcome.ok) return run(outcome.plan, state);
    return {
      exit: 1,
      output: { refusals: outcome.refusals },
      errors: outcome.refusals.map(({ message }) => message),
    };
  });

function readState(text: string): Checked<State> {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return bad({ path: 'state', message: 'the state file is not complete JSON' });
  }
  const parsed = StateFile.safeParse(raw);
  if (!parsed.success) return { ok: false, problems: zodProblems(parsed.error) };
  const { openBreakers, positions, loads, testers, meter } = parsed.data;
  return good({
    ...REST,
    openBreakers: new Set(openBreakers),
    positions: new Map(Object.entries(positions)),
    loads: new Map(Object.entries(loads)),
    testers: new Set(testers),
    meter,
  });
}

const withState = (run: (plan: Plan, state: State) => Outcome): CommandRow['run'] =>
  withPlan((plan, text) => {
    const state = readState(text);
    return state.ok ? run(plan, state.value) : badInput([...state.problems]);
  });

export const commands: Readonly<Record<string, CommandRow>> = {
  validate: {
    says: 'reads the file and says what is wrong with it',
    run: withJob((job) => ({
      exit: 0,
      output: {
        ok: true,
        job: job.id,
        boxes: job.boxes.length,
        runs: job.runs.length,
        devices: job.devices.length,
      },
    })),
  },
  plan: {
    says: 'cables, splices, tails, tabs, terminals and the make-up steps of every box',
    run: withPlan((plan) => ({
      exit: 0,
      output: {
        wiring: plan.wiring,
        steps: Object.fromEntries(plan.job.boxes.map(({ id }) => [id, makeUpSteps(plan, id)])),
      },
    })),
  },
  prove: {
    says: 'energizes every switch state and compares it with the wishes',
    run: withPlan(({ job, wiring }) => {
      const proof = prove(job, wiring);
      return {
        exit: proof.findings.length > 0 ? 1 : 0,
        output: {
          ...proof,
          parts: proof.parts.map((part) => ({
            ...part,
            rows: part.rows.map(({ positions, cells }) => ({
              positions: Object.fromEntries(positions),
              cells,
            })),
          })),
        },
        errors: proof.findings.map(({ message }) => message),
      };
    }),
  },
  energize: {
    says: 'one state (--state): voltage at every point, current in every wire, instruments',
    run: withState(({ job, wiring }, state) => {
      const network = buildNetwork(wiring, job.circuits);
      const { point, trips, overloads } = energize(network, state);
      const volts = (index: number) => {
        const value = point.volts(index);
        return Number.isNaN(value) ? null : value;
      };
      return {
        exit: trips.length > 0 ? 1 : 0,
        output: {
          trips,
          overloads,
          volts: Object.fromEntries(network.points.map((id, index) => [id, volts(index)])),
          amps: Object.fromEntries(network.wires.map((wire) => [wire.id, point.current(wire)])),
          testers: Object.fromEntries(
            network.parts
              .filter(({ key }) => state.testers.has(key))
              .map((part) => [part.key, readTester(point, part)]),
          ),
          meter: state.meter ? readMeter(network, state, state.meter) : null,
        },
        errors: trips.map(({ circuit, amps }) => `breaker of circuit ${circuit} trips: ${amps.toFixed(0)} A`),
      };
    }),
  },
  fill: {
    says: 'box fill, line by line',
    run: withPlan(({ job, wiring }) => {
      const boxes = job.boxes.map((box) => ({
        box: box.id,
        ...boxFill(countBox(wiring, box), totalVolumeIn3(box), job.edition),
      }));
      const over = boxes.filter(({ fits }) => !fits);
      return {
        exit: over.length > 0 ? 1 : 0,
        output: boxes,
        errors: over.map(
          ({ box, totalIn3, volumeIn3 }) => `${box}: ${totalIn3} in³ in a box of ${volumeIn3} in³ (314.16)`,
        ),
      };
    }),
  },
  load: {
    says: 'what each circuit carries against its limits',
    run: withJob((job) => {
      const loads = job.circuits.map((circuit) => circuitLoad(job, circuit));
      const findings = loads.flatMap((load) => load.findings);
      return {
        exit: findings.length > 0 ? 1 : 0,
        output: loads,
        errors: findings.map(({ message, section }) => `${message} (${section})`),
      };
    }),
  },
  check: {
    says: "every rule of the job's edition, worst first",
    run: withPlan((plan) => {
      const findings = checkRules(siteOf(plan));
      const against = findings.filter(({ severity }) => severity === 'stop' || severity === 'code');
      return {
        exit: against.length > 0 ? 1 : 0,
        output: { findings, setAside: plan.job.amendments },
        errors: against.map(
          ({ rule, message, section }) => `${rule}: ${message}${section ? ` (${section})` : ''}`,
        ),
      };
    }),
  },
  find: {
    says: 'what the opened boxes of the job can still be, the next test, the verdict',
    run: withJob((job) => {
      const surveys = job.surveys.map((survey) => ({ survey: survey.id, ...study(survey) }));
      const errors = surveys.flatMap(({ survey, verdict, advice }) =>
        verdict.contradiction || verdict.tap === 'no' ? [`${survey}: ${advice.answer} ${advice.reason}`] : [],
      );
      return { exit: errors.length > 0 ? 1 : 0, output: surveys, errors };
    }),
  },
  netlist: {
    says: 'one state (--state) as a SPICE deck',
    run: withState(({ job, wiring }, state) => ({
      exit: 0,
      output: writeNetlist(buildNetwork(wiring, job.circuits), state, job.name).text,
    })),
  },
};
