import { applyCommands, type Command } from '../commands/command';
import { placeName } from '../layout/names';
import { circuitTrees } from '../layout/trees';
import type { Device, Job } from '../model/job';
import { planJob } from '../plan';
import { prove } from '../proof/prove';
import { checkRules } from '../rules/check';
import { Site } from '../rules/site';
import { REACH_SAYS } from '../rules/protection/place';
import { BREAKER_USD, DEVICE_USD } from '../standards/prices';
import { protectionNeeds, type OutletNeeds } from './needs';

export interface Strategy {
  readonly way: 'breaker' | 'first outlet' | 'each outlet';
  readonly says: string;
  readonly commands: readonly Command[];
  /** Part keys that are protected once it is done: those that die when a test button is pressed. */
  readonly covered: readonly string[];
  /** Protection findings that are left. */
  readonly left: number;
  readonly usd: number;
  /** Where it is reset, and whether that can be reached. */
  readonly reset: string;
  readonly reachable: boolean;
}

/** Ways to protect what must be, each compiled and proved; what does not compile or prove is left out. Cheapest first. */
export function protectionStrategies(job: Job): Strategy[] {
  const outcome = planJob(job);
  if (!outcome.ok) return [];
  const needs = protectionNeeds(new Site(job, outcome.plan.wiring));
  return job.circuits
    .flatMap((circuit) => [
      ...breaker(job, circuit.id, needs),
      ...firstOutlet(job, circuit.id),
      ...eachOutlet(job, circuit.id, needs),
    ])
    .sort((a, b) => a.left - b.left || a.usd - b.usd);
}

function tried(
  job: Job,
  strategy: Pick<Strategy, 'way' | 'says' | 'commands' | 'usd'>,
  at: readonly string[],
): Strategy[] {
  const done = applyCommands(job, strategy.commands);
  if (!done.ok) return [];
  const outcome = planJob(done.value.job);
  if (!outcome.ok) return [];
  const proof = prove(done.value.job, outcome.plan.wiring);
  if (proof.findings.length > 0) return [];
  const site = new Site(done.value.job, outcome.plan.wiring, [], proof);
  const boxes = at.flatMap((id) => site.box(id) ?? []);
  const left = checkRules(site).filter(({ rule }) => ['P01', 'P02', 'P03'].includes(rule)).length;
  const hard = boxes.find(({ reach }) => reach !== 'open');
  return [
    {
      ...strategy,
      covered: [...site.protectedBy(['gfci', 'dual'])],
      left,
      reset: boxes.length === 0 ? 'at the panel' : boxes.map(({ name }) => name).join(', '),
      reachable: !hard,
      says: hard ? `${strategy.says} (${REACH_SAYS[hard.reach]})` : strategy.says,
    },
  ];
}

function breaker(job: Job, circuit: string, all: readonly OutletNeeds[]): Strategy[] {
  const own = job.circuits.find(({ id }) => id === circuit);
  if (!own) return [];
  const needs = all.filter(({ user }) => user.want.circuit === circuit);
  const gfci = needs.some((one) => one.gfci !== null);
  const afci = needs.some((one) => one.afci !== null);
  const protection = gfci && afci ? 'dual' : afci ? 'afci' : gfci ? 'gfci' : null;
  if (protection === null || own.protection === protection || own.protection === 'dual') return [];
  const kind = protection === 'dual' ? 'Dual-function' : protection.toUpperCase();
  return tried(
    job,
    {
      way: 'breaker',
      says: `${kind} breaker on circuit ${own.number}`,
      commands: [{ do: 'set circuit', circuit, change: { protection } }],
      usd: BREAKER_USD[protection],
    },
    [],
  );
}

const plain = ({ kind, wants }: Device, circuit: string): boolean =>
  kind === 'duplex' &&
  Object.values(wants).every(
    (want) => want.does === 'power' && want.control === null && want.circuit === circuit,
  );

/** One GFCI at the first receptacle from the panel, everything after it on its LOAD side. */
function firstOutlet(job: Job, circuit: string): Strategy[] {
  const parents = circuitTrees(job).trees.get(circuit)?.parents;
  if (!parents) return [];
  const depth = (box: string) => parents.get(box)?.depth ?? Number.POSITIVE_INFINITY;
  const [first] = job.devices
    .filter((one) => plain(one, circuit))
    .sort((a, b) => depth(a.box) - depth(b.box));
  if (!first) return [];
  const behind = (box: string): boolean => {
    for (let at = parents.get(box); at; at = parents.get(at.from)) if (at.from === first.box) return true;
    return false;
  };
  const after = job.devices.flatMap((device) =>
    device !== first && behind(device.box)
      ? Object.entries(device.wants).flatMap(([part, want]): Command[] =>
          want.does === 'power' && want.circuit === circuit
            ? [{ do: 'set want', device: device.id, part, change: { via: first.id } }]
            : [],
        )
      : [],
  );
  return tried(
    job,
    {
      way: 'first outlet',
      says: `GFCI receptacle at ${placeName(job, first.box)}, what follows on its LOAD side`,
      commands: [{ do: 'set kind', device: first.id, kind: 'gfci' }, ...after],
      usd: DEVICE_USD.gfci,
    },
    [first.box],
  );
}

function eachOutlet(job: Job, circuit: string, needs: readonly OutletNeeds[]): Strategy[] {
  const bare = [
    ...new Set(
      needs
        .filter(({ gfci, hasGfci, user }) => gfci !== null && !hasGfci && plain(user.device, circuit))
        .map(({ user }) => user.device),
    ),
  ];
  if (bare.length === 0) return [];
  return tried(
    job,
    {
      way: 'each outlet',
      says: `A GFCI receptacle at each of ${bare.length}`,
      commands: bare.map(({ id }): Command => ({ do: 'set kind', device: id, kind: 'gfci' })),
      usd: DEVICE_USD.gfci * bare.length,
    },
    bare.map(({ box }) => box),
  );
}
