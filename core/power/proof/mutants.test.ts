import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { deviceKind } from '../../trade/devices';
import { inBox } from '../../job/model/in-box';
import { endsOf } from '../../job/model/lookup';
import type { EndId, TerminalId, Wiring } from '../../job/model/wiring';
import { boxGroundId, terminalId } from '../../job/model/wiring';
import { withTab } from '../network/disturbance';
import { planJob, type Plan } from '../../wiring/plan';
import { isGround, isWhite } from '../../trade/standards/cables';
import { checkRules } from '../../code/rules/check';
import { Site } from '../../code/rules/site';
import { byHand } from '../../testing/by-hand';
import { judge } from '../../testing/judge';
import { wideJob } from '../../testing/wide-jobs';
import { prove } from './prove';

/*
 * Mistakes of the hand put at random into sound wiring: two wires changed over, one left loose or put into another
 * splice, one capped, two terminals changed over, a tab left or broken, a cable's two conductors changed over at both
 * ends, a pigtail left out. Whatever changes what a user could see or touch must be found: what the judge complains of,
 * which shares no code with the verification, and what is the wrong color.
 */
const MUTANTS = 600;

type Mutate = (plan: Plan, roll: () => number) => { says: string; wiring: Wiring } | null;

const pick = <T>(list: readonly T[], roll: () => number): T | undefined =>
  list[Math.floor(roll() * list.length)];

const endsIn = (wiring: Wiring, box: string): EndId[] => {
  const { splices, terminations, caps } = inBox(wiring, box);
  return [
    ...splices.flatMap(({ ends }) => ends),
    ...terminations.map(({ end }) => end),
    ...caps.map(({ end }) => end),
  ];
};
const without = (wiring: Wiring, end: EndId): Wiring => ({
  ...wiring,
  splices: wiring.splices.map((one) => ({ ...one, ends: one.ends.filter((own) => own !== end) })),
  terminations: wiring.terminations.filter((one) => one.end !== end),
  caps: wiring.caps.filter((one) => one.end !== end),
});
const swapped = (wiring: Wiring, a: EndId, b: EndId): Wiring => {
  const other = (end: EndId) => (end === a ? b : end === b ? a : end);
  return {
    ...wiring,
    splices: wiring.splices.map((one) => ({ ...one, ends: one.ends.map(other) })),
    terminations: wiring.terminations.map((one) => ({ ...one, end: other(one.end) })),
    caps: wiring.caps.map((one) => ({ ...one, end: other(one.end) })),
  };
};
const placeOf = (plan: Plan, roll: () => number): string | undefined =>
  pick(
    plan.job.boxes.filter(({ closed, id }) => !closed && endsIn(plan.wiring, id).length > 1),
    roll,
  )?.id;

const MUTATIONS: readonly Mutate[] = [
  // Two wires of a box changed over.
  (plan, roll) => {
    const box = placeOf(plan, roll);
    if (box === undefined) return null;
    const ends = endsIn(plan.wiring, box);
    const [a, b] = [pick(ends, roll), pick(ends, roll)];
    return a && b && a !== b
      ? { says: `${a} and ${b} changed over`, wiring: swapped(plan.wiring, a, b) }
      : null;
  },
  // One left loose.
  (plan, roll) => {
    const box = placeOf(plan, roll);
    const end = box === undefined ? undefined : pick(endsIn(plan.wiring, box), roll);
    return end ? { says: `${end} left loose`, wiring: without(plan.wiring, end) } : null;
  },
  // One capped.
  (plan, roll) => {
    const box = placeOf(plan, roll);
    const end = box === undefined ? undefined : pick(endsIn(plan.wiring, box), roll);
    if (!end || box === undefined || plan.wiring.caps.some((one) => one.end === end)) return null;
    const wiring = without(plan.wiring, end);
    return { says: `${end} capped`, wiring: { ...wiring, caps: [...wiring.caps, { box, end }] } };
  },
  // One put into another splice.
  (plan, roll) => {
    const box = placeOf(plan, roll);
    if (box === undefined) return null;
    const end = pick(endsIn(plan.wiring, box), roll);
    const splice = pick(
      inBox(plan.wiring, box).splices.filter(({ ends }) => !end || !ends.includes(end)),
      roll,
    );
    if (!end || !splice) return null;
    const wiring = without(plan.wiring, end);
    return {
      says: `${end} in ${splice.id}`,
      wiring: {
        ...wiring,
        splices: wiring.splices.map((one) =>
          one.id === splice.id ? { ...one, ends: [...one.ends, end] } : one,
        ),
      },
    };
  },
  // Two terminals of a device changed over.
  (plan, roll) => {
    const device = pick(plan.wiring.devices, roll);
    const terminals = device ? deviceKind(device.kind).terminals : [];
    const [a, b] = [pick(terminals, roll), pick(terminals, roll)];
    if (!device || !a || !b || a === b) return null;
    const [one, two] = [terminalId(device.id, a.id), terminalId(device.id, b.id)];
    const other = (id: string) => (id === one ? two : id === two ? one : id);
    const wiring = byHand<Wiring>({
      ...plan.wiring,
      terminations: plan.wiring.terminations.map((each) => ({ ...each, terminal: other(each.terminal) })),
      tails: plan.wiring.tails.map((tail) => ({
        ...tail,
        id: `>${other(tail.to)}`,
        to: other(tail.to),
        from:
          tail.from.at === 'terminal' ? { at: 'terminal', terminal: other(tail.from.terminal) } : tail.from,
      })),
    });
    return { says: `${one} and ${two} changed over`, wiring };
  },
  // A tab the other way.
  (plan, roll) => {
    const device = pick(
      plan.wiring.devices.filter(({ kind }) => deviceKind(kind).tabs.length > 0),
      roll,
    );
    const tab = device && pick(deviceKind(device.kind).tabs, roll);
    if (!device || !tab) return null;
    const state = device.brokenTabs.includes(tab.id) ? 'whole' : 'broken';
    return {
      says: `${tab.id} of ${device.id} ${state}`,
      wiring: withTab(plan.wiring, device.id, tab.id, state),
    };
  },
  // Two conductors of a cable changed over at both ends: everything works, the colors are wrong.
  (plan, roll) => {
    const cable = pick(plan.wiring.cables, roll);
    const [a, b] = [pick(cable?.conductors ?? [], roll), pick(cable?.conductors ?? [], roll)];
    if (!cable || !a || !b || a === b || isGround(a.insulation) || isGround(b.insulation)) return null;
    const ends = [...endsOf(plan.wiring)];
    const at = (id: string, box: string) =>
      ends.find(([, own]) => own.conductor.id === id && own.box === box)![0];
    return {
      says: `${a.id} and ${b.id} changed over at both ends`,
      wiring: [cable.from, cable.to].reduce(
        (wiring, box) => swapped(wiring, at(a.id, box), at(b.id, box)),
        plan.wiring,
      ),
    };
  },
  // A pigtail left out.
  (plan, roll) => {
    const tail = pick(plan.wiring.tails, roll);
    return tail
      ? {
          says: `no ${tail.id}`,
          wiring: { ...plan.wiring, tails: plan.wiring.tails.filter((one) => one !== tail) },
        }
      : null;
  },
];

/** What a user could see that no circuit tells: the color of a wire against what it does, a wire loose, a bare box. */
function looksWrong(plan: Plan, wiring: Wiring): string[] {
  const before = new Map(endsIn2(plan.wiring));
  const colors = new Map(
    wiring.cables.flatMap(({ conductors }) => conductors.map((one) => [one.id, one] as const)),
  );
  const roles = new Map<string, string>();
  for (const splice of plan.wiring.splices) roles.set(splice.id, splice.role);
  return [...endsIn2(wiring)].flatMap(([end, at]) => {
    if (before.get(end) === at) return [];
    const own = endsOf(wiring).get(end)?.conductor;
    const role = roles.get(at);
    if (!own || role === undefined || !colors.has(own.id)) return [];
    const white = isWhite(own.insulation);
    if (role === 'neutral' && !white) return [`${end} is a neutral`];
    if (role !== 'neutral' && role !== 'ground' && white && !own.reidentified) return [`${end} is white`];
    return [];
  });
}
const endsIn2 = (wiring: Wiring): [EndId, string][] => [
  ...wiring.splices.flatMap(({ id, ends }) => ends.map((end): [EndId, string] => [end, id])),
  ...wiring.terminations.map(({ end, terminal }): [EndId, string] => [end, terminal satisfies TerminalId]),
];

test(`of ${MUTANTS} wrong wirings every one that changes what a user could see or touch is found`, () => {
  let state = 20_261_126;
  const roll = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 4294967296;
  };
  const plans = fc.sample(wideJob, { numRuns: 1_200, seed: 77 }).flatMap((job) => {
    const outcome = planJob(job);
    return outcome.ok && outcome.plan.wiring.devices.length > 1 ? [outcome.plan] : [];
  });
  const missed: string[] = [];
  const harmless: string[] = [];
  let [made, found] = [0, 0];
  for (let turn = 0; made < MUTANTS; turn++) {
    const plan = plans[turn % plans.length]!;
    const mutant = MUTATIONS[turn % MUTATIONS.length]!(plan, roll);
    if (!mutant) continue;
    made++;
    const { says, wiring } = mutant;
    const proof = prove(plan.job, wiring);
    const bare = plan.job.boxes.some(
      ({ id, family }) =>
        family.startsWith('metal') &&
        inBox(plan.wiring, id).cables.length > 0 &&
        ![
          ...wiring.tails.map(({ to }): string => to),
          ...wiring.terminations.map(({ terminal }): string => terminal),
        ].includes(boxGroundId(id)),
    );
    const told =
      proof.findings.length > 0 ||
      checkRules(new Site(plan.job, wiring, [], proof)).some(
        ({ rule, severity }) => /^W/.test(rule) && severity !== 'craft' && severity !== 'ask',
      );
    if (told) found++;
    const complaints = [
      ...judge(plan.job, wiring, 6),
      ...looksWrong(plan, wiring),
      ...(bare ? ['a bare box'] : []),
    ];
    if (!told && complaints.length > 0) missed.push(`${says}: ${complaints[0]!}`);
    if (!told && complaints.length === 0) harmless.push(says);
  }
  process.stdout.write(
    `mutants: ${made} wrong wirings, ${found} found (${Math.round((100 * found) / made)} %), ${missed.length} missed, ${harmless.length} that change nothing: ${harmless.slice(0, 12).join('; ')} …\n`,
  );
  expect(missed).toEqual([]);
  expect(found / made).toBeGreaterThan(0.8);
});
