import { inBox } from '../job/model/in-box';
import type { SeenEnd, Survey } from '../job/model/survey';
import { endId, type Wiring } from '../job/model/wiring';
import { openContact, touching, type Disturbance } from '../power/network/disturbance';
import { planJob, type Plan } from '../wiring/plan';
import { isGround } from '../trade/standards/cables';
import { duplexIn, lightIn, sketch, switchIn, type Sketch } from './jobs';
import { situationOf, type Situation } from '../handover/drills/situation';
import { Design } from '../job/model/design';
import { HOUSES } from './wall-houses';

type Spoil = (situation: Situation) => Situation | null;

const feedOf = ({ wiring, survey }: Situation) =>
  wiring.cables.find(({ id }) => id === `ahead-${survey.target}`)!;
const withFaults = (situation: Situation, name: string, faults: readonly Disturbance[]): Situation => ({
  ...situation,
  name: `${situation.name}; ${name}`,
  faults: [...(situation.faults ?? []), ...faults],
});
const noTap = (situation: Situation): Situation => ({
  ...situation,
  truth: { ...situation.truth, tap: false },
});
const reseen = (situation: Situation, change: (survey: Survey) => Survey): Situation => ({
  ...situation,
  survey: change(situation.survey),
});

/** By class; each gives the spoiled house with its truth, or null where it does not apply. */
const SPOILS: Readonly<Record<string, Spoil>> = {
  sound: (situation) => situation,
  'hot open upstream': (situation) =>
    noTap(withFaults(situation, 'hot open', [openContact(endId(`${feedOf(situation).id}:black`, 'ahead'))])),
  'neutral open upstream': (situation) =>
    noTap(
      withFaults(situation, 'neutral open', [openContact(endId(`${feedOf(situation).id}:white`, 'ahead'))]),
    ),
  'ground open upstream': (situation) => ({
    ...noTap(
      withFaults(situation, 'ground open', [openContact(endId(`${feedOf(situation).id}:bare`, 'ahead'))]),
    ),
  }),
  'bootleg upstream': (situation) => {
    const ahead = inBox(situation.wiring, 'ahead').splices;
    const [ground, neutral] = ['ground', 'neutral'].map((role) => ahead.find((one) => one.role === role));
    if (!ground || !neutral) return null;
    return noTap(
      withFaults(situation, 'bootleg', [
        openContact(endId('panel-ahead:bare', 'ahead')),
        touching(ground.id, neutral.id),
      ]),
    );
  },
  'borrowed neutral': (situation) =>
    noTap({ ...situation, name: `${situation.name}; borrowed neutral`, borrowed: true }),
  'pair changed over upstream': (situation) => {
    const feed = feedOf(situation);
    const [black, white] = ['black', 'white'].map((color) => endId(`${feed.id}:${color}`, 'ahead'));
    const other = (end: string) => (end === black ? white! : end === white ? black! : end);
    const wiring = {
      ...situation.wiring,
      splices: situation.wiring.splices.map((one) => ({ ...one, ends: one.ends.map(other) })),
      terminations: situation.wiring.terminations.map((one) => ({ ...one, end: other(one.end) })),
    } as unknown as Wiring;
    return noTap({ ...situation, name: `${situation.name}; pair changed over`, wiring });
  },
  'wrong breaker in the directory': (situation) => {
    const job = Design.parse({
      ...situation.plan.job,
      circuits: [...situation.plan.job.circuits, { id: 'next', number: '16', breakerA: 15, leg: 'B' }],
    });
    return noTap({
      ...reseen(situation, (survey) => ({ ...survey, breaker: '16' })),
      name: `${situation.name}; wrong breaker`,
      plan: { ...situation.plan, job },
    });
  },
  'a sound ground capped here': (situation) => {
    const feed = feedOf(situation);
    const end = endId(`${feed.id}:bare`, situation.survey.target);
    const wiring: Wiring = {
      ...situation.wiring,
      splices: situation.wiring.splices.map((one) => ({
        ...one,
        ends: one.ends.filter((own) => own !== end),
      })),
      terminations: situation.wiring.terminations.filter((one) => one.end !== end),
      caps: [...situation.wiring.caps, { box: situation.survey.target, end }],
    };
    const capped = (one: SeenEnd): SeenEnd =>
      one.cable === feed.id && isGround(one.insulation) ? { ...one, sits: { at: 'capped' } } : one;
    // Where no other bare is left there is nothing that could be taken for the ground but the capped one.
    if (inBox(wiring, situation.survey.target).cables.length < 2) return null;
    return noTap({
      ...reseen(situation, (survey) => ({
        ...survey,
        boxes: survey.boxes.map((box) => ({ ...box, ends: box.ends.map(capped) })),
      })),
      name: `${situation.name}; ground capped`,
      wiring,
    });
  },
  'a retired cable beside it': (situation) => retired(situation, false),
  'a retired cable, its ends tied': (situation) => retired(situation, true),
  'hot and neutral by two cables': (situation) => {
    // The white of the feed is broken, and a second cable makes up for it: what goes out does not come back beside it.
    const beside = retired(situation, false);
    const here = beside && inBox(beside.wiring, situation.survey.target);
    const whites = here?.splices.find(({ role }) => role === 'neutral');
    const ahead = inBox(situation.wiring, 'ahead').splices.find(({ role }) => role === 'neutral');
    const seen = situation.survey.boxes[0]!.ends.find(
      ({ insulation, sits }) => insulation === 'white' && sits.at === 'splice',
    );
    if (!beside || !whites || !ahead || !seen) return null;
    const wiring = {
      ...beside.wiring,
      cables: beside.wiring.cables.map((one) => (one.id === 'old' ? { ...one, to: 'ahead' } : one)),
      splices: beside.wiring.splices.map((one) =>
        one.id === whites.id
          ? { ...one, ends: [...one.ends, `old:white@${situation.survey.target}`] }
          : one.id === ahead.id
            ? {
                ...one,
                ends: [
                  ...one.ends.filter((end) => end !== endId(`${feedOf(situation).id}:white`, 'ahead')),
                  'old:white@ahead',
                ],
              }
            : one,
      ),
    } as unknown as Wiring;
    const spliced = (one: SeenEnd): SeenEnd =>
      one.cable === 'old' && one.insulation === 'white' ? { ...one, sits: seen.sits } : one;
    return noTap({
      ...reseen(beside, (survey) => ({
        ...survey,
        boxes: survey.boxes.map((box) => ({ ...box, ends: box.ends.map(spliced) })),
      })),
      name: `${situation.name}; hot and neutral by two cables`,
      wiring,
    });
  },
  'a motor that stays connected': (situation) => {
    const part = situation.plan.job.devices.find(({ box }) => box === 'beyond' || box === 'lamp');
    if (!part) return null;
    const [key] = Object.keys(part.wants);
    return {
      ...situation,
      name: `${situation.name}; motor`,
      fixed: new Map([[`${part.id}/${key ?? ''}`, 1200]]),
    };
  },
};

function retired(situation: Situation, tied: boolean): Situation | null {
  const { target } = situation.survey;
  const type = situation.survey.boxes[0]!.cables[0]!.type;
  if (situation.survey.boxes[0]!.cables.length > 3) return null;
  const colors = ['black', 'white', 'bare'] as const;
  const cable = {
    id: 'old',
    run: 'old',
    type,
    from: target,
    to: 'gone',
    lengthFt: 20,
    existing: true,
    conductors: colors.map((insulation) => ({
      id: `old:${insulation}`,
      insulation,
      net: null,
      role: null,
      circuit: null,
      domain: null,
      toward: null,
      reidentified: false,
    })),
  };
  const ground = inBox(situation.wiring, target).splices.find(({ role }) => role === 'ground');
  const wiring = {
    ...situation.wiring,
    cables: [...situation.wiring.cables, cable],
    splices: [
      ...situation.wiring.splices.map((one) =>
        one === ground ? { ...one, ends: [...one.ends, `old:bare@${target}`] } : one,
      ),
      ...(tied
        ? [
            {
              id: 'gone~tied',
              box: 'gone',
              net: '',
              role: 'hot',
              connector: 1,
              ends: ['old:black@gone', 'old:white@gone'],
            },
          ]
        : []),
    ],
  } as unknown as Wiring;
  const grounds = situation.survey.boxes[0]!.ends.find(
    ({ insulation, sits }) => isGround(insulation) && sits.at === 'splice',
  );
  if (!grounds || !ground) return null;
  return {
    ...reseen(situation, (survey) => ({
      ...survey,
      boxes: survey.boxes.map((box) => ({
        ...box,
        cables: [...box.cables, { id: 'old', type, hasGround: true, enters: 'below' as const, mark: '' }],
        ends: [
          ...box.ends,
          { cable: 'old', insulation: 'black' as const, sits: { at: 'capped' as const }, taped: false },
          { cable: 'old', insulation: 'white' as const, sits: { at: 'capped' as const }, taped: false },
          { cable: 'old', insulation: 'bare' as const, sits: grounds.sits, taped: false },
        ],
      })),
    })),
    name: `${situation.name}; retired cable${tied ? ', tied' : ''}`,
    wiring,
  };
}

const planOf = (words: Sketch): Plan => {
  const outcome = planJob(sketch(words));
  if (!outcome.ok) throw new Error(outcome.refusals[0]?.message ?? 'refused');
  return outcome.plan;
};

/** A box with the loop, or the travelers, of a second circuit beside the feed that can be tapped. */
function secondCircuits(): Situation[] {
  const base = sketch({
    breakerA: 15,
    boxes: ['ahead', 'here', 'lamp', 'top'],
    runs: ['panel-ahead:45', 'ahead-here:30', 'panel-lamp:40', 'lamp-here:20=14-2', 'lamp-top:10=14-3'],
    groups: ['g'],
    devices: [duplexIn('ahead', null, null), duplexIn('here', null, null)],
    habits: { neutralAtSwitches: 'where asked' },
  });
  const job = (change: Partial<Design>) => Design.parse({ ...base, ...change });
  const circuits = [...base.circuits, { ...base.circuits[0]!, id: 'd', number: '16', leg: 'B' as const }];
  const runs = base.runs.map((run) => ({
    ...run,
    circuits: run.id.includes('lamp') ? ['d'] : ['c'],
  }));
  const lamp = {
    ...lightIn('lamp', 'g'),
    wants: { lamp: { does: 'power' as const, circuit: 'd', control: 'g', via: null } },
  };
  const loop = job({
    circuits,
    runs: runs.filter(({ id }) => id !== 'lamp-top'),
    boxes: base.boxes.filter(({ id }) => id !== 'top'),
    devices: [...base.devices, lamp, switchIn('here', 'g', 1)] as Design['devices'],
  });
  const outcome = planJob(loop);
  if (!outcome.ok) throw new Error(outcome.refusals[0]?.message ?? 'refused');
  const situation = situationOf(outcome.plan, 'here', { name: 'a loop of a second circuit in the box' });
  return situation ? [reseen(situation, (survey) => ({ ...survey, breaker: '14' }))] : [];
}

/** All walls: every house with every spoil that applies, and some with two. */
export function walls(): { kind: string; situation: Situation }[] {
  const whole = HOUSES.map(([name, words, box]) => situationOf(planOf(words), box, { name })!);
  const one = Object.entries(SPOILS).flatMap(([kind, spoil]) =>
    whole.flatMap((situation) => {
      const spoiled = spoil(situation);
      return spoiled ? [{ kind, situation: spoiled }] : [];
    }),
  );
  const pairs = [
    ['a retired cable beside it', 'hot open upstream'],
    ['a motor that stays connected', 'ground open upstream'],
    ['wrong breaker in the directory', 'bootleg upstream'],
    ['a retired cable beside it', 'bootleg upstream'],
  ] as const;
  const two = pairs.flatMap(([first, second]) =>
    whole.slice(0, 2).flatMap((situation) => {
      const once = SPOILS[first]!(situation);
      const twice = once && SPOILS[second]!(once);
      return twice ? [{ kind: `${first}; ${second}`, situation: twice }] : [];
    }),
  );
  const second = secondCircuits().map((situation) => ({ kind: 'second circuit', situation }));
  return [...one, ...two, ...second];
}
