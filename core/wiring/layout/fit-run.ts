import type { Told } from '../../base/words/speak';
import type { Design, Run } from '../../job/model/design';
import { cableRow, cablesOfGauge, type Insulation } from '../../trade/standards/cables';
import { gaugeForBreaker, maxBreakerA } from '../../trade/standards/conductors';
import { fitCable, smallestCable, type Carried, type Fit } from './fit';
import { listNets } from './names';
import { circuitName, runName } from '../../job/model/called';
import type { Refusal } from './refusal';
import { andList } from '../../base/words/lists';
import { INSULATION_NAME } from '../../trade/standards/names';
import { say, tell } from '../../base/words/layout';

export type RunFit = { ok: true; cables: readonly Fit[] } | { ok: false; refusal: Refusal };

/**
 * The cable or cables of one run: the existing one where it fits, else the smallest new one; two where no single
 * cable is large enough, each with a domain of its own so that its currents cancel.
 */
export function fitRun(
  job: Design,
  run: Run,
  nets: readonly Carried[],
  only?: ReadonlySet<Insulation>,
): RunFit {
  const stranger =
    run.circuits && nets.find((net) => !run.circuits?.includes(net.circuit) && !shared(job, run, net));
  if (stranger) {
    return refuse(
      'two circuits',
      run,
      tell('fitRun.keptOtherCircuitsThan', {
        runName: runName(job, run),
        circuitName: circuitName(job, stranger.circuit),
      }),
      [],
    );
  }
  return run.existing === null ? fitNew(job, run, nets) : fitExisting(job, run, run.existing, nets, only);
}

/** The neutral of a multiwire pair counts for either circuit. */
const shared = (job: Design, run: Run, net: Carried): boolean =>
  job.circuits.some(
    ({ id, multiwireWith }) => multiwireWith === net.circuit && run.circuits?.includes(id) === true,
  );

function fitNew(job: Design, run: Run, nets: readonly Carried[]): RunFit {
  const gauge = gaugeForBreaker(breakerOfRun(job, run, nets)) ?? 10;
  const whole = smallestCable(gauge, nets, job.habits);
  if (whole) return { ok: true, cables: [whole] };
  const domains = [...new Set(nets.map((net) => net.domain))];
  const each = domains.map((domain) =>
    smallestCable(
      gauge,
      nets.filter((net) => net.domain === domain),
      job.habits,
    ),
  );
  if (domains.length > 1 && each.every((fit) => fit !== null)) return { ok: true, cables: each };
  return refuse(
    'too many conductors',
    run,
    tell('fitRun.noCableCarriesThem', {
      runName: runName(job, run),
      netsCount: nets.length,
      listNets: listNets(nets),
    }),
    [say('fitRun.otherBox.way'), say('fitRun.ownRun.way')],
  );
}

function fitExisting(
  job: Design,
  run: Run,
  type: NonNullable<Run['existing']>,
  nets: readonly Carried[],
  only: ReadonlySet<Insulation> | undefined,
): RunFit {
  const has = cableRow(type);
  const breakerA = breakerOfRun(job, run, nets);
  if (breakerA > maxBreakerA(has.gauge)) {
    return refuse(
      'conductor too small',
      run,
      tell('fitRun.breakerTooLarge', {
        runName: runName(job, run),
        type,
        breakerA,
        gauge: has.gauge,
        maxBreakerA: maxBreakerA(has.gauge),
      }),
      [
        say('fitRun.replace', { gaugeForBreaker: gaugeForBreaker(breakerA) ?? 10, type: type.slice(3) }),
        say('fitRun.changeBreaker', { maxBreakerA: maxBreakerA(has.gauge) }),
      ],
    );
  }
  const left = new Set((only ? [...only] : has.insulated).filter((one) => !run.found.lost.includes(one)));
  const sound = run.found.lost.length > 0 ? left : only;
  const fit = fitCable(type, nets, job.habits, sound);
  if (fit) return { ok: true, cables: [fit] };
  const count = sound ? has.insulated.filter((one) => sound.has(one)).length : has.insulated.length;
  const lost =
    run.found.lost.length > 0
      ? say('fitRun.open', { lost: andList(run.found.lost.map((one) => INSULATION_NAME[one])) })
      : '';
  const larger = cablesOfGauge(has.gauge).find((row) => fitCable(row.type, nets, job.habits));
  return refuse(
    'too few conductors',
    run,
    nets.length > count
      ? tell('fitRun.existingTooFew', {
          runName: runName(job, run),
          netsCount: nets.length,
          listNets: listNets(nets),
          type,
          count,
          lost,
          only: Boolean(only),
        })
      : tell('fitRun.whiteAsReturn', {
          runName: runName(job, run),
          type,
          listNets: listNets(nets),
        }),
    larger ? [say('fitRun.replaceNew', { type: larger.type })] : [],
  );
}

const refuse = (code: Refusal['code'], run: Run, told: Told, ways: readonly string[]): RunFit => ({
  ok: false,
  refusal: { code, ...told, at: [{ kind: 'run', id: run.id }], ways },
});

/** The largest breaker ahead of a run, A: of what it carries, or of what it is kept for. */
function breakerOfRun(job: Design, run: Run, nets: readonly Carried[]): number {
  const ids = new Set(nets.length > 0 ? nets.map((net) => net.circuit) : (run.circuits ?? []));
  const own = ids.size > 0 ? job.circuits.filter(({ id }) => ids.has(id)) : job.circuits;
  return Math.max(15, ...own.map(({ breakerA }) => breakerA));
}

/** Insulations that every cable of a cluster of closed boxes has. */
export function commonInsulations(runs: readonly Run[]): ReadonlySet<Insulation> {
  const lists = runs.flatMap(({ existing }) => (existing ? [cableRow(existing).insulated] : []));
  const [first = [], ...rest] = lists;
  return new Set(first.filter((insulation) => rest.every((list) => list.includes(insulation))));
}
