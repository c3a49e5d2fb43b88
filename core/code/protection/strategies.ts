import { capitalize } from '../../base/capitalize';
import { applyCommands, type DesignCommand } from '../../job/commands/command';
import { wishKind, type ProtectionKind } from '../../trade/devices';
import { placeName } from '../../job/model/called';
import { circuitTrees } from '../../job/model/trees';
import type { Circuit, Device, Design } from '../../job/model/design';
import { planJob } from '../../wiring/plan';
import { prove } from '../../power/proof/prove';
import { checkRules } from '../rules/check';
import { Site } from '../rules/site';
import { REACH_SAYS } from '../rules/protection/place';
import { BREAKER_USD, DEVICE_USD } from '../../trade/standards/prices';
import { gives, grownBy, kindThatGives, RECEPTACLE } from './kinds';
import { protectionNeeds, type OutletNeeds } from './needs';
import { PROTECTION_NAME } from '../../job/model/names';
import { andList, orList } from '../../base/words/lists';
import { say } from '../../base/words/protection';

/** How many of the outlets and lights that need it are covered, a device counted once. */
export interface Tally {
  readonly needed: number;
  readonly covered: number;
}

export interface Strategy {
  readonly way: 'breaker' | 'first outlet' | 'upstream outlet' | 'each outlet';
  readonly says: string;
  readonly commands: readonly DesignCommand[];
  /** Part keys that are protected once it is done: those that die when a test button is pressed. */
  readonly covered: readonly string[];
  readonly gfci: Tally;
  readonly afci: Tally;
  /** Protection findings that are left. */
  readonly left: number;
  readonly usd: number;
  /** The boxes where it is reset, null at the panel; and whether that can be reached. */
  readonly reset: string | null;
  readonly reachable: boolean;
}

type Draft = Pick<Strategy, 'way' | 'says' | 'commands' | 'usd'> & {
  /** Boxes in which there is a button to press; none is the panel. */
  readonly at: readonly string[];
};

/** Rules that say whether a way to protect is enough: who needs it, whether it can be reached, whether it comes first. */
const DECIDE = ['P01', 'P02', 'P03', 'P08'];

/**
 * Ways to protect what must be and is not yet, circuit by circuit, each compiled and proved; what does not compile or
 * prove is left out, and what covers less for as much. Fewest findings first, then cheapest.
 */
export function protectionStrategies(job: Design): Strategy[] {
  const outcome = planJob(job);
  if (!outcome.ok) return [];
  const needs = protectionNeeds(new Site(job, outcome.plan.wiring));
  const openOn = (circuit: Circuit) =>
    needs.filter((one) => one.user.want.circuit === circuit.id && lacks(one) !== null);
  return breakersOf(job)
    .flatMap((circuits) => {
      const open = circuits.flatMap(openOn);
      if (open.length === 0) return [];
      const receptacles = circuits.flatMap((circuit) => [
        ...behindReceptacles(job, circuit.id, openOn(circuit)),
        ...eachOutlet(circuit.id, openOn(circuit)),
      ]);
      const drafts = [
        breaker(circuits, open),
        // There is no AFCI receptacle for a multiwire circuit.
        ...receptacles.filter(({ commands }) => circuits.length < 2 || !commands.some(givesAfci)),
      ];
      return worthShowing(drafts.flatMap((draft) => tried(job, draft)));
    })
    .sort((a, b) => a.left - b.left || a.usd - b.usd);
}

const givesAfci = (command: DesignCommand): boolean =>
  command.do === 'set kind' && gives(wishKind(command.kind).protection?.kind, 'afci');

/** What protection it needs and has not. */
function lacks({ gfci, hasGfci, afciNow, hasAfci }: OutletNeeds): ProtectionKind | null {
  return kindThatGives(gfci !== null && !hasGfci, afciNow && !hasAfci);
}

/** One kind that gives all that these lack, and what the device gave before; null where they lack nothing. */
const kindFor = (needs: readonly OutletNeeds[], before?: Device): ProtectionKind | null => {
  const lacking = needs.flatMap((one) => lacks(one) ?? []);
  if (lacking.length === 0) return null;
  const kinds = [...lacking, before && wishKind(before.kind).protection?.kind];
  return kindThatGives(
    kinds.some((kind) => kind === 'gfci' || kind === 'dual'),
    kinds.some((kind) => kind === 'afci' || kind === 'dual'),
  );
};

function tried(job: Design, { at, ...draft }: Draft): Strategy[] {
  const done = applyCommands(job, draft.commands);
  if (!done.ok) return [];
  const outcome = planJob(done.value.job);
  if (!outcome.ok) return [];
  const proof = prove(done.value.job, outcome.plan.wiring);
  if (proof.findings.length > 0) return [];
  const site = new Site(done.value.job, outcome.plan.wiring, [], proof);
  const boxes = at.flatMap((id) => site.box(id) ?? []);
  const hard = boxes.find(({ reach }) => reach !== 'open');
  const needs = protectionNeeds(site);
  const tally = (needed: readonly OutletNeeds[], has: 'hasGfci' | 'hasAfci'): Tally => {
    const devices = (some: readonly OutletNeeds[]) => new Set(some.map(({ user }) => user.device.id)).size;
    const open = devices(needed.filter((one) => !one[has]));
    return { needed: devices(needed), covered: devices(needed) - open };
  };
  return [
    {
      ...draft,
      covered: [...site.protectedBy(['gfci', 'afci', 'dual'])],
      gfci: tally(
        needs.filter(({ gfci }) => gfci !== null),
        'hasGfci',
      ),
      afci: tally(
        needs.filter(({ afciNow }) => afciNow),
        'hasAfci',
      ),
      left: checkRules(site).filter(({ rule }) => DECIDE.includes(rule)).length,
      reset: boxes.length === 0 ? null : boxes.map(({ name }) => name).join(', '),
      reachable: !hard,
      says: hard ? `${draft.says} (${REACH_SAYS[hard.reach]})` : draft.says,
    },
  ];
}

/** Without those that leave more bare than another that costs no more, and leave as many findings. */
function worthShowing(ways: readonly Strategy[]): Strategy[] {
  const bare = ({ gfci, afci }: Strategy) => gfci.needed - gfci.covered + afci.needed - afci.covered;
  return ways.filter(
    (one) =>
      one.gfci.covered + one.afci.covered > 0 &&
      !ways.some(
        (other) =>
          bare(other) < bare(one) &&
          other.usd <= one.usd &&
          other.left <= one.left &&
          (other.reachable || !one.reachable),
      ),
  );
}

/** Circuits by their breaker: two that share a neutral have one of two poles. */
const breakersOf = ({ circuits }: Design): Circuit[][] =>
  circuits.flatMap((one, index) => {
    const partner = circuits.findIndex(({ id }) => id === one.multiwireWith);
    if (partner < 0) return [[one]];
    return partner < index ? [] : [[one, ...circuits.slice(partner, partner + 1)]];
  });

function breaker(circuits: readonly Circuit[], open: readonly OutletNeeds[]): Draft {
  const lacking = kindFor(open) ?? 'gfci';
  const protection = circuits.reduce((kind, one) => grownBy(one.protection, kind), lacking);
  const numbers = andList(circuits.map(({ number }) => number));
  const word =
    circuits.length > 1
      ? say('strategies.twoPole', { protection: PROTECTION_NAME[protection] })
      : PROTECTION_NAME[protection];
  return {
    way: 'breaker',
    says: capitalize(
      say('strategies.breakerCircuitTrueOther', { word, circuitsCount: circuits.length > 1, numbers }),
    ),
    commands: circuits.map(({ id }): DesignCommand => ({
      do: 'set circuit',
      circuit: id,
      change: { protection },
    })),
    usd: BREAKER_USD[protection] * circuits.length,
    at: [],
  };
}

/** A receptacle that a GFCI or AFCI one may take the place of: two outlets, no switch of its own. */
const plain = ({ kind, wants }: Device, circuit: string): boolean =>
  (wishKind(kind).halves || wishKind(kind).protection !== undefined) &&
  Object.values(wants).every(
    (want) => want.does === 'power' && want.control === null && want.circuit === circuit,
  );

/**
 * A protecting receptacle, with what follows on its LOAD side: at the first receptacles from the panel (one a branch),
 * or at any one further along. Where two plain outlets share a box the first of them is taken.
 */
function behindReceptacles(job: Design, circuit: string, open: readonly OutletNeeds[]): Draft[] {
  const parents = circuitTrees(job).get(circuit)?.parents;
  if (!parents) return [];
  const isBehind = (box: string, ahead: string): boolean => {
    for (let at = parents.get(box); at; at = parents.get(at.from)) if (at.from === ahead) return true;
    return false;
  };
  const outlets = job.devices.filter(
    (one, index) =>
      plain(one, circuit) &&
      job.devices.findIndex((other) => other.box === one.box && plain(other, circuit)) === index,
  );
  const heads = outlets.filter(({ box }) => !outlets.some((other) => isBehind(box, other.box)));
  const draft = (at: readonly Device[], way: Draft['way']): Draft[] => {
    const each = at.flatMap((device) => {
      const follows = job.devices.filter(
        (one) => one !== device && (one.box === device.box || isBehind(one.box, device.box)),
      );
      const within = new Set([device.id, ...follows.map(({ id }) => id)]);
      const kind = kindFor(
        open.filter(({ user }) => within.has(user.device.id)),
        device,
      );
      return kind === null ? [] : [{ device, follows, kind }];
    });
    if (each.length === 0) return [];
    const commands = each.flatMap(({ device, follows, kind }): DesignCommand[] => [
      { do: 'set kind', device: device.id, kind: RECEPTACLE[kind] },
      ...follows.flatMap(({ id, wants }) =>
        Object.entries(wants).flatMap(([part, want]): DesignCommand[] =>
          want.does === 'power' && want.circuit === circuit && want.via === null
            ? [{ do: 'set want', device: id, part, change: { via: device.id } }]
            : [],
        ),
      ),
    ]);
    const [{ kind }] = each as [(typeof each)[number]];
    const onLoad = commands.some((one) => one.do === 'set want');
    const names = each.map(({ device }) => placeName(job, device.box));
    return [
      {
        way,
        says: capitalize(
          say('strategies.receptacle', {
            kind: PROTECTION_NAME[kind],
            names: andList(names),
            onLoad: onLoad ? say('strategies.onLoadSide', { namesCount: names.length }) : '',
          }),
        ),
        commands,
        usd: each.reduce((sum, one) => sum + (DEVICE_USD[RECEPTACLE[one.kind]] ?? 0), 0),
        at: each.map(({ device }) => device.box),
      },
    ];
  };
  return [
    ...draft(heads, 'first outlet'),
    ...outlets
      .filter((one) => heads.length > 1 || !heads.includes(one))
      .flatMap((one) => draft([one], heads.includes(one) ? 'first outlet' : 'upstream outlet')),
  ];
}

function eachOutlet(circuit: string, open: readonly OutletNeeds[]): Draft[] {
  const bare = [...new Set(open.map(({ user }) => user.device))].filter((device) => plain(device, circuit));
  if (bare.length < 2) return [];
  const needed = bare.map(
    (device) =>
      kindFor(
        open.filter(({ user }) => user.device === device),
        device,
      ) ?? 'gfci',
  );
  const kinds = needed.map((kind) => RECEPTACLE[kind]);
  const words = orList([...new Set(needed.map((kind) => PROTECTION_NAME[kind]))]);
  return [
    {
      way: 'each outlet',
      says: capitalize(say('strategies.receptacleEach', { words, bareCount: bare.length })),
      commands: bare.map(({ id }, index): DesignCommand => ({
        do: 'set kind',
        device: id,
        kind: kinds[index] ?? 'gfci',
      })),
      usd: kinds.reduce((sum, kind) => sum + (DEVICE_USD[kind] ?? 0), 0),
      at: bare.map(({ box }) => box),
    },
  ];
}
