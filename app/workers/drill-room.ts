import type { Level } from '@core/handover/drills/code';
import { faultDrill, isFound, type FaultDrill } from '@core/handover/drills/fault-drill';
import type { BestTester } from '@core/handover/drills/best-tester';
import { judgedMakeUp, makeUpDrill, makeUpHint, type MakeUpDrill } from '@core/handover/drills/make-up-drill';
import { sparedBy } from '@core/handover/drills/score';
import type { Taken } from '@core/handover/drills/taken';
import {
  bestAtWall,
  wallDrill,
  wallShows,
  wallTruth,
  type WallAnswer,
  type WallDrill,
} from '@core/handover/drills/wall-drill';
import type { House, Wired } from '@core/power/faults';
import type { Rewiring } from '@core/site/live/scene';
import type { Design } from '@core/job/model/design';
import type { Probe, Setup, Survey, Value } from '@core/job/model/survey';
import { planJob, type Plan, type ShownPlan } from '@core/wiring/plan';
import { FieldReport, type ShownFault } from '@core/site/script/report';
import { studying, type Study } from '@core/site/script/script';
import { breathe } from './breathe';

/** Houses tried between two breaths of the worker. */
const BATCH = 20;

export type DrillRoom = ReturnType<typeof drillRoom>;

/** A house with a hidden mistake, as far as the page may know it before it is named. */
export interface ShownFaultDrill {
  readonly plan: ShownPlan;
  readonly house: House;
  /** How many mistakes there are. */
  readonly count: number;
  readonly best: BestTester;
  /** Every mistake that could be meant, each with its kind. */
  readonly options: readonly (ShownFault & { readonly name: string })[];
  readonly hidden: readonly (ShownFault & { readonly name: string; readonly place: string })[];
}

export interface ShownMakeUp extends MakeUpDrill {
  readonly plan: ShownPlan;
}

export interface ShownWall {
  readonly survey: Survey;
  readonly truth: WallAnswer;
}

/** Drills of one page: made by their code, answered and judged here; what the worker offers. */
export function drillRoom() {
  let asked = 0;
  let fault: { readonly wired: Wired; readonly study: Study; readonly drill: FaultDrill } | null = null;
  let wall: { readonly drill: WallDrill; readonly seed: number } | null = null;
  let making: Plan | null = null;
  return {
    /** Null where the job has no such drill, or where a cancel came first. */
    async faultDrill(
      job: Design,
      level: Level,
      seed: number,
      tell: (progress: { readonly done: number; readonly of: number }) => void,
    ): Promise<ShownFaultDrill | null> {
      const own = ++asked;
      const outcome = planJob(job);
      if (!outcome.ok) return null;
      const { plan } = outcome;
      const steps = studying(plan);
      for (;;) {
        const step = steps.next();
        if (!step.done) {
          if (step.value.done % BATCH !== 0) continue;
          tell(step.value);
          await breathe();
          if (own !== asked) return null;
          continue;
        }
        const study = step.value;
        const drill = faultDrill(plan, study, level, seed);
        if (!drill) return null;
        fault = { wired: plan, study, drill };
        const report = new FieldReport(plan, study);
        return {
          plan: shown(plan),
          house: drill.house,
          count: drill.hidden.length,
          best: drill.best,
          options: study.faults
            .filter(({ row }) => !row.look)
            .map((one) => ({ ...report.fault(one), name: one.row.name })),
          hidden: drill.hidden.map((one) => ({
            ...report.fault(one),
            name: one.row.name,
            place: report.boxName(one.box),
          })),
        };
      }
    },
    isFound: (named: readonly string[]): boolean =>
      fault !== null && isFound(fault.wired, fault.study, fault.drill, named),
    spared: (taken: readonly Taken[]): readonly string[] =>
      fault === null ? [] : sparedBy(fault.wired, fault.study, fault.drill, taken),
    wallDrill(job: Design, level: Level, seed: number): ShownWall | null {
      const outcome = planJob(job);
      const drill = outcome.ok ? wallDrill(outcome.plan, level, seed) : null;
      wall = drill && { drill, seed };
      return drill && { survey: drill.survey, truth: wallTruth(drill) };
    },
    wallShows: (count: number, setup: Setup, probe: Probe): Value | null =>
      wall && wallShows(wall.drill, wall.seed, count, setup, probe),
    bestAtWall: (): number => (wall ? bestAtWall(wall.drill, wall.seed) : 0),
    makeUpDrill(job: Design, level: Level, seed: number): ShownMakeUp | null {
      const outcome = planJob(job);
      making = outcome.ok ? outcome.plan : null;
      const drill = making && makeUpDrill(making, level, seed);
      return making && drill && { plan: shown(making), ...drill };
    },
    judgeMakeUp: (by: Rewiring): readonly string[] =>
      making ? judgedMakeUp(making, by).map(({ message }) => message) : [],
    makeUpHint: (by: Rewiring): string | null => making && makeUpHint(making, by),
    cancelDrill() {
      asked++;
    },
  };
}

const shown = ({ job, wiring, layout: { trees, notes } }: Plan): ShownPlan => ({
  job,
  wiring,
  layout: { trees, notes },
});
