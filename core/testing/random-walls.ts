import fc from 'fast-check';
import { dice } from '../base/dice';
import { situationOf, type Situation } from '../handover/drills/situation';
import { Design, PANEL } from '../job/model/design';
import { boxesOf, inBox } from '../job/model/in-box';
import { endId, partKey, type Wiring } from '../job/model/wiring';
import { openContact, touching, withChangedOver, type Disturbance } from '../power/network/disturbance';
import { landings } from '../power/network/network';
import { planJob } from '../wiring/plan';
import { isGround } from '../trade/standards/cables';
import { anyJob } from './random-jobs';
import { wideJob } from './wide-jobs';

/*
 * Opened boxes of random houses that are wired by the compiler and then, some of them, spoiled out of sight. What is wrong
 * with each is known from what was done to it. Invented data.
 */

/** What can be wrong out of sight, as an electrician calls it. */
export const HAZARDS = [
  'hot open',
  'neutral open',
  'ground open',
  'bootleg upstream',
  'bootleg downstream',
  'reversed',
  'borrowed neutral',
  'wrong breaker',
] as const;
export type WallHazard = (typeof HAZARDS)[number];

export interface Wall {
  readonly name: string;
  readonly hazard: WallHazard | null;
  readonly situation: Situation;
}

/** Boxes by how many runs they are away from the panel, by cables that lead on. */
function distances(
  wiring: Wiring,
  leadsOn: (cable: Wiring['cables'][number]) => boolean = () => true,
): Map<string, number> {
  const far = new Map<string, number>([[PANEL, 0]]);
  for (const [place, steps] of far)
    for (const { from, to } of wiring.cables.filter(leadsOn))
      for (const [one, other] of [
        [from, to],
        [to, from],
      ] as const)
        if (one === place && !far.has(other)) far.set(other, steps + 1);
  return far;
}

/** True where a box is still joined with the panel's ground, by another cable than the one whose ground is cut. */
function groundedStill(wiring: Wiring, box: string, cut: readonly { readonly id: string }[]): boolean {
  const open = new Set(cut.map(({ id }) => id));
  return distances(wiring, ({ conductors }) =>
    conductors.some(({ id, insulation, net }) => isGround(insulation) && net !== null && !open.has(id)),
  ).has(box);
}

/** The cable by which an always-on pair comes into the box, with the place that it comes from. */
function feedOf({ wiring, survey }: Situation) {
  const { target } = survey;
  const far = distances(wiring);
  const other = ({ from, to }: Wiring['cables'][number]) => (from === target ? to : from);
  const [feed] = inBox(wiring, target)
    .cables.filter(({ conductors }) =>
      (['hot', 'neutral'] as const).every((role) => conductors.some((one) => one.role === role)),
    )
    .sort((a, b) => (far.get(other(a)) ?? 99) - (far.get(other(b)) ?? 99));
  if (!feed || (far.get(other(feed)) ?? 99) >= (far.get(target) ?? 0)) return null;
  const conductor = (role: 'hot' | 'neutral') => feed.conductors.find((one) => one.role === role);
  const ground = feed.conductors.find(({ insulation }) => isGround(insulation));
  const [hot, neutral] = [conductor('hot'), conductor('neutral')];
  return hot && neutral && ground ? { feed, ahead: other(feed), hot, neutral, ground } : null;
}

const withFaults = (situation: Situation, faults: readonly Disturbance[]): Situation => ({
  ...situation,
  faults: [...(situation.faults ?? []), ...faults],
  truth: { ...situation.truth, tap: false },
});

/** Ground and neutral of a box touch. */
function tie(wiring: Wiring, box: string, cable: Wiring['cables'][number]): Disturbance | null {
  const landing = landings(wiring);
  const at = (is: (role: string | null, ground: boolean) => boolean) => {
    const own = cable.conductors.find(({ role, insulation }) => is(role, isGround(insulation)));
    return own && landing.get(endId(own.id, box));
  };
  const [ground, neutral] = [at((_, bare) => bare), at((role) => role === 'neutral')];
  return ground !== undefined && neutral !== undefined ? touching(ground, neutral) : null;
}

/** The house with one thing wrong, or null where it cannot be so. */
function spoiled(situation: Situation, hazard: WallHazard): Situation | null {
  const { wiring, survey, plan } = situation;
  const own = feedOf(situation);
  if (!own || !situation.truth.tap) return null;
  const { feed, ahead, hot, neutral, ground } = own;
  const open = ({ id }: { readonly id: string }) => openContact(endId(id, ahead));
  switch (hazard) {
    case 'hot open':
      return withFaults(situation, [open(hot)]);
    case 'neutral open':
      return withFaults(situation, [open(neutral)]);
    case 'ground open':
      return groundedStill(wiring, survey.target, [ground]) ? null : withFaults(situation, [open(ground)]);
    case 'bootleg upstream': {
      // The ground of what feeds the box ahead leads nowhere, and is tied to the neutral there.
      if (ahead === PANEL) return null;
      const far = distances(wiring);
      const tied = tie(wiring, ahead, feed);
      const cut = inBox(wiring, ahead)
        .cables.filter(({ id, from, to }) => {
          const beyond = from === ahead ? to : from;
          return id !== feed.id && (far.get(beyond) ?? 99) < (far.get(ahead) ?? 0);
        })
        .flatMap(({ conductors }) => conductors.filter(({ insulation }) => isGround(insulation)));
      return tied && cut.length > 0 && !groundedStill(wiring, survey.target, cut)
        ? withFaults(situation, [tied, ...cut.map(open)])
        : null;
    }
    case 'bootleg downstream': {
      const beyond = inBox(wiring, survey.target)
        .cables.filter(({ id }) => id !== feed.id)
        .flatMap((cable) => {
          const box = cable.from === survey.target ? cable.to : cable.from;
          const tied = box === PANEL ? null : tie(wiring, box, cable);
          return tied ? [tied] : [];
        });
      return beyond[0] && !groundedStill(wiring, survey.target, [ground])
        ? withFaults(situation, [open(ground), beyond[0]])
        : null;
    }
    case 'reversed':
      return {
        ...withFaults(situation, []),
        wiring: withChangedOver(wiring, endId(hot.id, ahead), endId(neutral.id, ahead)),
      };
    case 'borrowed neutral':
      return { ...withFaults(situation, []), borrowed: true };
    case 'wrong breaker': {
      const next = { id: 'next-one', number: '41', breakerA: 15, leg: 'B' };
      const job = Design.parse({ ...plan.job, circuits: [...plan.job.circuits, next] });
      return {
        ...withFaults(situation, []),
        survey: { ...survey, breaker: '41' },
        plan: { ...plan, job },
      };
    }
  }
}

/** Named after the breaker of the pair that comes in, where one does. */
function onBreakerOf(situation: Situation): Situation {
  const circuit = feedOf(situation)?.hot.circuit;
  const number = situation.plan.job.circuits.find(({ id }) => id === circuit)?.number;
  return number === undefined
    ? situation
    : { ...situation, survey: { ...situation.survey, breaker: number } };
}

/** Lamps and motors that stay in, whatever one is told: some of those of the house. */
function staying(situation: Situation, random: () => number): ReadonlyMap<string, number> {
  const parts = situation.plan.job.devices
    .filter(({ box }) => box !== situation.survey.target)
    .flatMap(({ id, wants }) =>
      Object.entries(wants).flatMap(([part, { does }]) => (does === 'power' ? [partKey(id, part)] : [])),
    );
  return new Map(
    parts.flatMap((key) => (random() < 0.25 ? [[key, random() < 0.7 ? 60 : 1200] as const] : [])),
  );
}

/** Random walls, one after the other: some are as they should be, about half have one hazard each. */
export function* randomWalls(count: number, seed: number): Generator<Wall> {
  let given = 0;
  for (let at = seed; given < count; at++) {
    const random = dice(at);
    const [job] = fc.sample(at % 2 === 0 ? anyJob : wideJob, { numRuns: 1, seed: at });
    const outcome = job ? planJob(job) : null;
    if (!outcome?.ok) continue;
    const boxes = boxesOf(outcome.plan.wiring);
    const box = boxes[Math.floor(random() * boxes.length)];
    const seen = box === undefined ? null : situationOf(outcome.plan, box, { tape: random() < 0.7 });
    if (!seen) continue;
    const whole = onBreakerOf(seen);
    const hazard = random() < 0.6 ? (HAZARDS[Math.floor(random() * HAZARDS.length)] ?? null) : null;
    const wall = hazard === null ? whole : spoiled(whole, hazard);
    if (!wall) continue;
    given++;
    yield {
      name: `${at} ${box}${hazard === null ? '' : `; ${hazard}`}`,
      hazard,
      situation: { ...wall, fixed: staying(wall, random) },
    };
  }
}
