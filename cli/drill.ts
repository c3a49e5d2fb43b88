import { z } from 'zod';
import { DRILL_KINDS, LEVELS, markOf, SEEDS, writeCode, type DrillCode } from '@core/handover/drills/code';
import { faultDrill } from '@core/handover/drills/fault-drill';
import { makeUpDrill } from '@core/handover/drills/make-up-drill';
import { bestAtWall, wallDrill, wallTruth } from '@core/handover/drills/wall-drill';
import { movables } from '@core/site/live/rewire';
import { BenchWords } from '@core/site/live/words';
import { soundHouse } from '@core/power/faults';
import { bad, good, type Checked } from '@core/job/model/problem';
import type { Plan } from '@core/wiring/plan';
import { FieldReport } from '@core/site/script/report';
import { studyFaults } from '@core/site/script/script';

/** What `drill` is asked for on the command line, each as it was typed; `reveal` asks for the answer too. */
const DrillWords = z.object({
  seed: z.string().default('1'),
  kind: z.string().default('fault'),
  level: z.string().default('1'),
  reveal: z.boolean().default(false),
});

/** A drill by its seed: its code, what the player is told, the best tester's count; the answer where it is asked for. */
export function drillReport(plan: Plan, text: string): Checked<object> {
  const words = DrillWords.parse(JSON.parse(text));
  const kind = DRILL_KINDS.find((one) => one === words.kind);
  const level = LEVELS.find((one) => String(one) === words.level);
  const seed = /^\d{1,7}$/.test(words.seed) ? Number(words.seed) : Number.NaN;
  const problem = (path: string, message: string, wayOut: string) => bad({ path, message, wayOut });
  if (!kind)
    return problem('--kind', `"${words.kind}" is no kind of drill`, `Use one of ${DRILL_KINDS.join(', ')}.`);
  if (!level) return problem('--level', `"${words.level}" is no level`, 'Use 1, 2 or 3.');
  if (!(seed < SEEDS))
    return problem('--seed', `"${words.seed}" is no seed`, `Use a whole number under ${SEEDS}.`);
  const code: DrillCode = { kind, level, seed, job: plan.job.id, mark: markOf(plan.job) };
  const made = drilled(plan, code, words.reveal);
  return made === null
    ? problem(
        '--kind',
        `the job "${plan.job.id}" has no drill of the kind "${kind}"`,
        'Take another kind or job.',
      )
    : good({ code: writeCode(code), ...made });
}

function drilled(plan: Plan, { kind, level, seed }: DrillCode, reveal: boolean): object | null {
  switch (kind) {
    case 'fault': {
      const study = studyFaults(plan);
      const drill = faultDrill(plan, study, level, seed);
      if (!drill) return null;
      const report = new FieldReport(plan, study);
      return {
        mistakes: drill.hidden.length,
        best: drill.best,
        ...(reveal ? { answer: drill.hidden.map(report.fault) } : {}),
      };
    }
    case 'wall': {
      const drill = wallDrill(plan, level, seed);
      if (!drill) return null;
      return {
        survey: drill.survey,
        best: { tests: bestAtWall(drill, seed), optimal: false },
        ...(reveal ? { answer: wallTruth(drill) } : {}),
      };
    }
    case 'make-up': {
      const drill = makeUpDrill(plan, level, seed);
      if (!drill) return null;
      const words = new BenchWords({ job: plan.job, house: soundHouse(plan) });
      const known = movables(plan.wiring);
      return {
        box: drill.box,
        ends: Object.keys(drill.start.ends),
        ...(reveal
          ? {
              answer: Object.keys(drill.start.ends).map((end) => {
                const own = known.get(end);
                return { end, goes: own ? words.placement(own.planned) : '' };
              }),
            }
          : {}),
      };
    }
  }
}
