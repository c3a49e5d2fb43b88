import { describe, expect, test } from '@jest/globals';
import { applyCommand } from '../../job/commands/command';
import { energize } from '../../power/energize/energize';
import { readMeter } from '../../power/energize/instruments';
import { readOhms } from '../../power/energize/solve';
import { ohmsView, view } from '../../power/energize/view';
import { METER_OHMS, REST } from '../../power/energize/state';
import { demoJob, demoRecord, demoWhole } from '../../handover/jobs/demo-house';
import { readJobFile } from '../../job/model/file';
import { writeJobFile } from '../../job/model/job-file';
import type { Design } from '../../job/model/design';
import { surveyProblems } from '../../job/model/survey-references';
import {
  Survey,
  testKey,
  type Probe,
  type Reading,
  type SeenEnd,
  type Setup,
  type Spot,
  type Value,
} from '../../job/model/survey';
import { METER_WIRE } from '../../job/model/wiring';
import { buildNetwork } from '../../power/network/network';
import { planJob } from '../../wiring/plan';
import { sketch, duplexIn, lightIn, switchIn } from '../../testing/jobs';
import { dice } from '../../base/dice';
import { answer } from '../../handover/drills/answer';
import { situationOf } from '../../handover/drills/situation';
import { library } from '../../testing/situations';
import { adviceOf } from './advice';
import { heldGuesses, weigh } from './evidence';
import { evidenceKey } from './evidence-key';
import { nextTest } from './next-test';
import { CHANGES, HOT, valueMask, voltsMask, LOW, ZERO } from '../../job/seen/outcomes';
import { handOver } from './hand-over';
import { differences } from './differences';
import {
  led,
  newSurvey,
  withCable,
  withDevice,
  withoutCable,
  withoutDevice,
  withTape,
} from '../../job/seen/seen-box';
import { study } from './study';
import { takeReading } from '../../job/seen/take-reading';
import { verdictOf } from './verdict';
import { probeWords, setupWords } from './words';
import { say } from '../../base/words/survey';

const hall = demoRecord('hall-console').surveys[0]!;
const hatch = demoRecord('attic-hatch-switch').surveys[0]!;

const spot = (cable: string, insulation: SeenEnd['insulation']): Spot => ({
  on: 'conductor',
  cable,
  insulation,
});
const groundIn = (box: string): Spot => ({ on: 'ground', box });
const LIVE: Setup = { breakers: 'on', apart: 'as found', switches: 'worked', loadsOut: false };
const DEAD: Setup = { breakers: 'all off', apart: 'as found', switches: 'as they are', loadsOut: false };
const low = (from: Spot, to: Spot): Probe => ({ with: 'meter', impedance: 'low', from, to });
const high = (from: Spot, to: Spot): Probe => ({ with: 'meter', impedance: 'high', from, to });
const ohms = (from: Spot, to: Spot): Probe => ({ with: 'continuity', from, to });
const steady = (volts: number): Value => ({ is: 'volts', low: volts, high: volts });
const joined: Value = { is: 'ohms', ohms: 0.4 };
const reading = (setup: Setup, probe: Probe, value: Value, id = 'r'): Reading => ({
  id,
  setup,
  probe,
  value,
  times: 1,
});
const read = (survey: Survey, ...list: readonly [Setup, Probe, Value][]): Survey => ({
  ...survey,
  readings: list.map(([setup, probe, value], index) => reading(setup, probe, value, `r${index}`)),
});
/** The job with what was found as its layout, by its command. */
const laidOut = (job: Design, survey: Survey, take?: 'job' | 'wall') => {
  const command = handOver(job, survey, take);
  return command.ok ? applyCommand(job, command.value[0]) : command;
};
const roles = (survey: Survey, cable: string) =>
  new Set(
    weigh(survey)
      .filter(({ against }) => against.length === 0)
      .map(({ weighed }) => weighed.guess.sides.get(cable)?.id),
  );

describe('a switch loop (check value: both insulated wires on the switch; common practice)', () => {
  test('no always-on outlet can be fed there, which is seen without any reading', () => {
    const { verdict, advice, suggestion } = study(hatch);
    expect(verdict.tap).toBe('no');
    // What follows is a light, dead test that would make the cause sure.
    expect(suggestion?.test.live).toBe(false);
    expect(advice.answer).toMatch(/^No/);
    expect(advice.reason).toMatch(/switch loop/);
    expect(advice.waysOut).toHaveLength(3);
    expect(advice.waysOut.join(' ')).toMatch(/3-wire.*radio.*nearest/is);
  });
  test('an untaped white is taken for a hot there all the same: no tape proves nothing', () => {
    const white = study(hatch).verdict.conductors.find(({ insulation }) => insulation === 'white')!;
    expect(white.says).toMatch(/hot|traveler/);
    expect([...roles(hatch, 'loop')].some((side) => side === 'hot+neutral')).toBe(false);
  });
  test('a no is no layout: the way out is said instead', () => {
    const laid = laidOut(demoJob('attic-hatch-switch')!, hatch);
    expect(laid.ok ? [] : laid.problems.map(({ message }) => message)).toEqual([
      'the verdict is no: nothing can be tapped there',
    ]);
  });
});

describe('feed at the switch', () => {
  /** The hall as it is, so that its tests can be answered truthfully. */
  const house = (() => {
    const base = sketch({
      breakerA: 15,
      boxes: ['hall-found', 'lamp'],
      runs: ['panel-x:45', 'x-lamp:25'],
      groups: ['g'],
      devices: [{ ...switchIn('hall-found', 'g'), id: 'hall-handle' }, lightIn('lamp', 'g')],
    });
    const [feed, onward] = base.runs;
    const job = {
      ...base,
      circuits: base.circuits.map((one) => ({ ...one, number: hall.breaker })),
      runs: [
        { ...feed!, id: 'lower', to: 'hall-found', existing: '14-2' as const },
        { ...onward!, id: 'upper', from: 'hall-found', existing: '14-2' as const },
      ],
    };
    const outcome = planJob(job);
    if (!outcome.ok) throw new Error(outcome.refusals[0]!.message);
    return situationOf(outcome.plan, 'hall-found')!;
  })();
  /** Every test that is asked for, answered truthfully, but for some instruments that are not at hand. */
  const answered = (without: readonly Probe['with'][] = []): Survey => {
    // Each proof is read at the box: the first grade has tests of its own.
    let survey: Survey = { ...hall, proveAll: true };
    const random = dice(3);
    const skipped = new Set<string>();
    for (let count = 0; count < 60; count++) {
      const next = nextTest(survey, undefined, skipped);
      if (!next || next.again) break;
      const { setup, probe } = next.test;
      if (without.includes(probe.with)) {
        skipped.add(testKey(next.test));
        continue;
      }
      const value = answer(house, setup, probe, random);
      survey = {
        ...survey,
        readings: [...survey.readings, { ...reading(setup, probe, value), id: `r${count}` }],
      };
    }
    return survey;
  };
  const whole = answered();
  test('striking out all else is no yes: each proof is named with its reading, or as not proven', () => {
    const { verdict } = study(whole);
    expect(verdict.tap).toBe('yes');
    expect(verdict.proofs.map(({ of }) => of)).toEqual([
      'nothing else',
      'breaker',
      'pair',
      'neutral',
      'ground',
    ]);
    for (const { reading: gave } of verdict.proofs) expect(whole.readings).toContain(gave);
    for (const missing of [
      ['sweep'],
      ['residual', 'panel clamp', 'lifted neutral'],
      ['drop', 'lifted neutral'],
    ] as const) {
      const less = study({
        ...whole,
        readings: whole.readings.filter(({ probe }) => !missing.some((one) => one === probe.with)),
      });
      expect(less.verdict.tap).toBe('not known yet');
      expect(less.advice.answer).not.toMatch(/^Yes/);
    }
  });
  test('a ground that may be tied to a neutral is continuous, not proven: planned as without one', () => {
    const survey = answered(['drop', 'lifted neutral']);
    const { verdict, advice } = study(survey);
    expect(verdict.tap).toBe('not known yet');
    expect(verdict.groundUnproven).toBe(true);
    expect(advice.reason).toContain(say('advice.groundPathOpen'));
    const laid = laidOut(demoJob('hall-console')!, survey);
    if (!laid.ok) throw new Error(laid.problems[0]!.message);
    const outcome = planJob(laid.value.job);
    expect(outcome.ok ? [] : outcome.refusals.map(({ code }) => code)).toContain('no ground');
  });
  test('a reading that the neutral does not rise over ground under load is a bootleg, called that', () => {
    const tied = {
      ...whole,
      readings: whole.readings.map((one) =>
        one.probe.with === 'drop'
          ? { ...one, value: { is: 'drop' as const, sagV: 3, riseV: 0 } }
          : one.probe.with === 'lifted neutral'
            ? { ...one, value: { is: 'ohms' as const, ohms: 0.3 } }
            : one,
      ),
    };
    const { verdict, advice } = study(tied);
    expect(verdict.tap).toBe('no');
    expect(advice.reason).toContain('bootleg');
  });
  test('two readings of one pair by one instrument in one state count once', () => {
    const same = (loadsOut: boolean, from: Spot, to: Spot) => ({
      setup: { ...LIVE, loadsOut },
      probe: low(from, to),
    });
    const [a, b] = [spot('lower', 'black'), spot('lower', 'white')];
    expect(evidenceKey(hall, same(false, a, b))).toBe(evidenceKey(hall, same(true, b, a)));
    // Both whites are in one splice: the same thing is touched.
    expect(evidenceKey(hall, same(false, a, spot('upper', 'white')))).toBe(
      evidenceKey(hall, same(false, a, b)),
    );
    expect(evidenceKey(hall, { setup: LIVE, probe: high(a, b) })).not.toBe(
      evidenceKey(hall, same(false, a, b)),
    );
  });
  test('what the job knew of its circuit stays; where job and wall differ one of the two is chosen', () => {
    const known = demoJob('hall-console')!;
    const job = {
      ...known,
      circuits: known.circuits.map((one) => ({
        ...one,
        breakerA: 20 as const,
        protection: 'afci' as const,
        existingLoadVA: 1200,
      })),
    };
    const asked = laidOut(job, whole);
    expect(asked.ok ? [] : asked.problems.map(({ message }) => message)).toEqual([
      'Circuit 9 is 20 A in this job, and 15 A in what was found.',
    ]);
    const laid = laidOut(job, whole, 'wall');
    if (!laid.ok) throw new Error(laid.problems[0]!.message);
    expect(laid.value.job.circuits[0]).toMatchObject({
      number: '9',
      breakerA: 15,
      protection: 'afci',
      existingLoadVA: 1200,
    });
    expect(
      differences(job, whole)
        .map(({ says }) => says)
        .join(' '),
    ).toContain('240.4(D)');
  });
  test('nothing is known before a reading', () => {
    const { verdict } = study(hall);
    expect([verdict.tap, verdict.hot, verdict.neutral, verdict.ground]).toEqual(
      Array(4).fill('not known yet'),
    );
  });
  test('once proven it is yes, with the pair, and what is still to be checked is said', () => {
    const { verdict, advice } = study(whole);
    expect(verdict.tap).toBe('yes');
    expect(advice.reason).toBe(
      say('advice.tapBreaker', {
        hot: 'black',
        neutral: 'white',
        cableName: '14-2 from below',
        breaker: '9',
      }),
    );
    expect(verdict.from).toEqual({ cable: 'lower', hot: 'black', neutral: 'white' });
    expect(advice.stillToCheck.length).toBeGreaterThan(2);
  });
  test('one tap makes it a Lay out that compiles, the cables in the wall fixed', () => {
    const job = demoJob('hall-console')!;
    const laid = laidOut(job, whole);
    if (!laid.ok) throw new Error(laid.problems[0]!.message);
    expect(laid.value.job.runs.map(({ existing }) => existing)).toEqual(['14-2', '14-2']);
    const outcome = planJob(laid.value.job);
    expect(outcome.ok).toBe(true);
    expect(laid.value.job.devices.find(({ id }) => id === 'new-outlet')?.wants['upper']).toMatchObject({
      control: null,
    });
    const light = laid.value.job.devices.find(({ kind }) => kind === 'luminaire');
    expect(light?.wants['lamp']).toMatchObject({ control: 'hall-handle' });
  });
  test('two readings that cannot both be true are named, and the suspect is to be taken again', () => {
    const torn = read(
      hall,
      [DEAD, ohms(spot('lower', 'white'), groundIn('hall-found')), joined],
      [LIVE, low(spot('lower', 'black'), spot('lower', 'white')), steady(119)],
      [LIVE, high(spot('lower', 'black'), groundIn('hall-found')), steady(240)],
      [LIVE, high(spot('lower', 'white'), groundIn('hall-found')), steady(119)],
    );
    const { verdict, suggestion, advice } = study(torn);
    expect(verdict.tap).toBe('not known yet');
    expect(verdict.contradiction?.suspects.length).toBeGreaterThan(0);
    expect(suggestion?.again).toBe(true);
    expect(advice.answer).toBe(say('advice.readingsAtOdds'));
  });
});

describe('safety of what is suggested (handbook of the trade: common practice)', () => {
  test('dead tests come before live ones', () => {
    expect(nextTest(hall)?.test.live).toBe(false);
  });
  test('never low impedance to a ground that is not verified; never a spliced neutral opened while a second circuit is possible', () => {
    for (const { survey } of library(14, 900)) {
      const standings = weigh(survey);
      const skipped = new Set<string>();
      for (let count = 0; count < 12; count++) {
        const next = nextTest(survey, standings, skipped);
        if (!next) break;
        const { setup, probe } = next.test;
        const toGround = 'from' in probe && (probe.from.on === 'ground' || probe.to.on === 'ground');
        expect(probe.with === 'meter' && probe.impedance === 'low' && toGround).toBe(false);
        expect(setup.apart === 'all' && verdictOf(survey, standings).shared !== 'no').toBe(false);
        skipped.add(JSON.stringify([setup, probe]));
      }
    }
  });
  test('a ground proven dead opens the way to low impedance', () => {
    const box = hall.target;
    const after = read(
      hall,
      [DEAD, ohms(spot('lower', 'white'), groundIn(box)), joined],
      [LIVE, low(spot('lower', 'black'), spot('lower', 'white')), steady(119)],
    );
    const standings = weigh(after);
    expect(
      standings
        .filter(({ against }) => against.length === 0)
        .every(({ weighed }) => weighed.grounding !== 'open'),
    ).toBe(true);
  });
  test('what stops work stops Find too, in a plain sentence', () => {
    const { advice, suggestion, verdict } = study({ ...hall, outside: ['aluminum'] });
    expect(advice.answer).toMatch(/^Stop/);
    expect(suggestion).toBeNull();
    expect(verdict.tap).toBe('not known yet');
  });
});

describe('what must be found, not stumbled over', () => {
  const box = (cables: Survey['boxes'][number]['cables'], ends: SeenEnd[]): Survey =>
    Survey.parse({
      id: 'one',
      name: 'One',
      breaker: '1',
      target: 'b',
      boxes: [{ id: 'b', name: 'B', cables, devices: [], ends }],
    });
  const capped = (cable: string, ...colors: SeenEnd['insulation'][]): SeenEnd[] =>
    colors.map((insulation) => ({ cable, insulation, sits: { at: 'capped' }, taped: false }));
  const cable = (id: string, type: '14-2' | '14-3', hasGround = true) => ({
    id,
    type,
    hasGround,
    enters: 'above' as const,
    mark: '',
  });

  test('a multiwire feed: 240 V between black and red', () => {
    const survey = read(box([cable('c', '14-3')], capped('c', 'black', 'red', 'white', 'bare')), [
      LIVE,
      low(spot('c', 'black'), spot('c', 'red')),
      steady(240),
    ]);
    // Of its neutral, and of which breakers it comes from, 240 V says nothing.
    expect(roles(survey, 'c')).toEqual(
      new Set([
        'hot+hot-other-leg+neutral',
        'hot-other-leg+hot+neutral',
        'hot+hot-other-leg+open',
        'hot-other-leg+hot+open',
        'hot-second+hot-other-leg+neutral',
        'hot-other-leg+hot-second+neutral',
      ]),
    );
    const off: Setup = { ...LIVE, breakers: 'off' };
    const further = read(
      survey,
      [LIVE, low(spot('c', 'black'), spot('c', 'red')), steady(240)],
      [LIVE, low(spot('c', 'black'), spot('c', 'white')), steady(120)],
      [off, low(spot('c', 'black'), spot('c', 'white')), steady(0)],
    );
    expect(roles(further, 'c')).toEqual(new Set(['hot+hot-other-leg+neutral']));
    expect(study(survey).verdict.shared).not.toBe('no');
  });
  test('two circuits in one box: live with the named breaker off means another circuit, or the wrong breaker', () => {
    const survey = read(
      box(
        [cable('a', '14-2'), cable('c', '14-2')],
        [...capped('a', 'black', 'white', 'bare'), ...capped('c', 'black', 'white', 'bare')],
      ),
      [{ ...DEAD, breakers: 'off' }, low(spot('a', 'black'), spot('a', 'white')), steady(120)],
    );
    // A feed of another circuit, or a loop of it: never anything of the named one.
    expect(roles(survey, 'a')).toEqual(
      new Set([
        ...['hot-second', 'hot-other-leg'].flatMap((hot) => [
          `${hot}+neutral`,
          `${hot}+lamp-second`,
          `lamp-second+${hot}`,
        ]),
      ]),
    );
    expect(study(survey).verdict.shared).not.toBe('no');
  });
  test('a hot white and a neutral black, both changed over', () => {
    const survey = read(
      box([cable('c', '14-2')], capped('c', 'black', 'white', 'bare')),
      [DEAD, ohms(spot('c', 'black'), groundIn('b')), joined],
      [LIVE, low(spot('c', 'black'), spot('c', 'white')), steady(120)],
    );
    expect(roles(survey, 'c')).toEqual(new Set(['neutral+hot']));
  });
  test('the white of a 240 V circuit is the other leg', () => {
    const survey = read(box([cable('c', '14-2')], capped('c', 'black', 'white', 'bare')), [
      LIVE,
      low(spot('c', 'black'), spot('c', 'white')),
      steady(240),
    ]);
    expect(roles(survey, 'c')).toEqual(new Set(['hot+hot-other-leg']));
  });
  test('a ghost: on a conductor that floats, high impedance may show anything and strikes nothing out; low impedance does', () => {
    const floating = box([cable('c', '14-2')], capped('c', 'black', 'white', 'bare'));
    const dead = heldGuesses(floating).all.find(
      ({ guess }) => guess.sides.get('c')?.id === 'open+open' && !guess.groundGood,
    )!;
    for (const volts of [0, 60, 120]) {
      expect(
        dead.model.allows(LIVE, high(spot('c', 'black'), spot('c', 'white'))) & voltsMask(volts),
      ).not.toBe(0);
    }
    expect(dead.model.allows(LIVE, low(spot('c', 'black'), spot('c', 'white')))).toBe(ZERO);
  });
  test('back-feed through a lamp: its wire may seem hot through low impedance, and may stay so where the lamp cannot be taken out', () => {
    const loop = box(
      [cable('c', '14-2'), cable('d', '14-2')],
      [...capped('c', 'black', 'white', 'bare'), ...capped('d', 'black', 'white', 'bare')],
    );
    const lamp = heldGuesses(loop).all.find(
      ({ guess }) => guess.sides.get('c')?.id === 'lamp+hot' && guess.sides.get('d')?.id === 'load+return',
    )!;
    const between = low(spot('c', 'white'), spot('c', 'black'));
    expect(lamp.model.allows(LIVE, between) & (LOW | HOT)).toBe(LOW | HOT);
    const out = lamp.model.allows({ ...LIVE, loadsOut: true }, between);
    expect(out & ZERO).toBe(ZERO);
    expect(out & (LOW | HOT)).toBe(LOW | HOT);
  });
  test('low impedance to ground may open a protecting device upstream', () => {
    const feed = box([cable('c', '14-2')], capped('c', 'black', 'white', 'bare'));
    const good = heldGuesses(feed).all.find(
      ({ guess }) => guess.sides.get('c')?.id === 'hot+neutral' && guess.groundGood,
    )!;
    const probe = low(spot('c', 'black'), groundIn('b'));
    expect(good.model.allows(LIVE, probe) & valueMask(probe, { is: 'tripped' })).not.toBe(0);
    expect(
      good.model.allows(LIVE, low(spot('c', 'black'), spot('c', 'white'))) &
        valueMask(probe, { is: 'tripped' }),
    ).toBe(0);
  });
  test('a hot from a switch upstream comes and goes while switches are worked: no constant hot', () => {
    const survey = read(
      box([cable('c', '14-2')], capped('c', 'black', 'white', 'bare')),
      [DEAD, ohms(spot('c', 'white'), groundIn('b')), joined],
      [LIVE, low(spot('c', 'black'), spot('c', 'white')), { is: 'volts', low: 0, high: 120 }],
    );
    expect(roles(survey, 'c').has('switched+neutral')).toBe(true);
    expect(roles(survey, 'c').has('hot+neutral')).toBe(false);
  });
  test('a cable without a ground: no new outlet, and what replacement and new grounds still allow (406.4(D)(2), 250.130(C))', () => {
    const bare = box([cable('c', '14-2', false)], capped('c', 'black', 'white'));
    const standings = weigh(bare);
    const advice = adviceOf(bare, verdictOf(bare, standings), standings);
    expect(advice.answer).toMatch(/^No/);
    expect(advice.reason).toMatch(/ground/);
    expect(advice.waysOut.join(' ')).toMatch(/250\.130\(C\).*406\.4\(D\)\(2\)/s);
  });
  test('two opened boxes with one cable between them are one wiring', () => {
    const survey = Survey.parse({
      id: 'two',
      name: 'Two',
      breaker: '1',
      target: 'wall',
      boxes: [
        {
          id: 'wall',
          name: 'Wall',
          cables: [cable('a', '14-2')],
          devices: [{ id: 's', kind: 'single-pole' }],
          ends: [
            { cable: 'a', insulation: 'black', sits: { at: 'terminal', device: 's', terminal: 'upper' } },
            { cable: 'a', insulation: 'white', sits: { at: 'terminal', device: 's', terminal: 'lower' } },
            { cable: 'a', insulation: 'bare', sits: { at: 'capped' } },
          ],
        },
        {
          id: 'ceiling',
          name: 'Ceiling',
          cables: [cable('b', '14-2'), cable('f', '14-2')],
          devices: [],
          ends: [
            { cable: 'b', insulation: 'white', sits: { at: 'splice', splice: 'hot' } },
            { cable: 'f', insulation: 'black', sits: { at: 'splice', splice: 'hot' } },
            ...capped('b', 'black'),
            ...capped('f', 'white'),
            { cable: 'b', insulation: 'bare', sits: { at: 'splice', splice: 'g' } },
            { cable: 'f', insulation: 'bare', sits: { at: 'splice', splice: 'g' } },
          ],
        },
      ],
      same: [{ a: 'a', b: 'b' }],
    });
    expect(surveyProblems(survey, 's')).toEqual([]);
    const feed = heldGuesses(survey).all.find(({ guess }) => guess.sides.get('f')?.id === 'hot+neutral')!;
    // The hot of the ceiling reaches the wall by the white; no neutral does.
    expect(feed.facts).toMatchObject({ hot: true, neutral: false, tap: null });
  });
});

describe('instruments', () => {
  const job = sketch({
    boxes: ['a', 'b'],
    runs: ['panel-a:30', 'a-b:20'],
    groups: ['g'],
    devices: [switchIn('a', 'g'), lightIn('b', 'g'), duplexIn('a', null, null, 1)],
  });
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error('refused');
  const network = buildNetwork(outcome.plan.wiring, job.circuits);
  const points = network.points.map((_, index) => index);
  const state = { ...REST, loads: new Map([['b-light/lamp', 60]]), positions: new Map([['a-switch', 1]]) };

  test('a view from a few points shows what a meter between them shows (Thévenin)', () => {
    const seen = view(network, state, points);
    for (const impedance of ['high', 'low'] as const) {
      for (const [from, to] of [
        [5, 9],
        [6, 12],
        [7, 15],
        [3, 14],
      ] as const) {
        const shown = readMeter(network, state, {
          impedance,
          from: network.points[from]!,
          to: network.points[to]!,
        });
        if (shown?.kind !== 'volts') continue;
        expect(seen.across(from, to, METER_OHMS[impedance])).toBeCloseTo(shown.volts, 6);
      }
    }
  });
  test('ohms of a lamp with its breaker off: 120² / 60 = 240 Ω; the neutral is bonded to ground at the panel', () => {
    const at = (id: string) => network.point(id)!;
    expect(readOhms(network, state, at('b-light:hot'), at('b-light:neutral'))).toBeCloseTo(240, 0);
    expect(readOhms(network, state, at('b-light:neutral'), at('b-light:ground'))).toBeLessThan(1);
    expect(readOhms(network, { ...state, loads: new Map() }, at('b-light:hot'), at('b-light:neutral'))).toBe(
      Number.POSITIVE_INFINITY,
    );
    const from = [at('b-light:hot'), at('b-light:neutral')];
    expect(ohmsView(network, state, from)(0, 1)).toBeCloseTo(240, 0);
    expect(ohmsView(network, { ...state, loads: new Map() }, from)(0, 1)).toBeGreaterThan(1e8);
  });
  test('a test lamp is 60 W: 240 Ω', () => {
    expect(METER_OHMS.lamp).toBe(240);
    const meter = { impedance: 'lamp' as const, from: 'a-outlet:hot-upper', to: 'a-outlet:neutral-upper' };
    const { point } = energize(network, { ...REST, meter });
    expect(point.wireCurrent(METER_WIRE)).toBeCloseTo(0.5, 2);
  });
  test('a range of volts is one reading: still, or it comes and goes', () => {
    const probe = low(spot('a', 'black'), spot('a', 'white'));
    expect(valueMask(probe, { is: 'volts', low: 112, high: 120 })).toBe(HOT);
    expect(valueMask(probe, { is: 'volts', low: 0, high: 120 })).toBe(CHANGES);
    expect(valueMask(probe, { is: 'volts', low: 92, high: 92 })).toBe(LOW | HOT);
  });
});

describe('entering what is seen', () => {
  const empty = newSurvey('wall', 'Wall', '9');
  const b = empty.target;
  const one = withDevice(
    withCable(empty, b, { type: '14-2', hasGround: true, enters: 'above', mark: 'feed' }),
    b,
    'single-pole',
  );
  const own = one.boxes[0]!.cables[0]!.id;

  test('a cable brings its conductors; grounds are joined, the rest is to be said', () => {
    expect(one.boxes[0]!.ends.map(({ sits }) => sits.at)).toEqual(['loose', 'loose', 'splice']);
    expect(one.boxes[0]!.tails).toHaveLength(1);
    expect(surveyProblems(one, 's')).toEqual([]);
  });
  test('conductors are led to screws and to each other; a led splice gets a tail', () => {
    const device = one.boxes[0]!.devices[0]!.id;
    const onScrew = led(
      one,
      b,
      { cable: own, insulation: 'black' },
      { to: 'terminal', device, terminal: 'lower' },
    );
    expect(onScrew.boxes[0]!.ends[0]!.sits).toEqual({ at: 'terminal', device, terminal: 'lower' });
    const second = withCable(onScrew, b, { type: '14-2', hasGround: true, enters: 'below', mark: '' });
    const other = second.boxes[0]!.cables[1]!.id;
    const spliced = led(
      second,
      b,
      { cable: own, insulation: 'white' },
      { to: 'conductor', cable: other, insulation: 'white' },
    );
    const sits = spliced.boxes[0]!.ends.filter(({ insulation }) => insulation === 'white').map(
      (end) => end.sits,
    );
    expect(sits[0]).toEqual(sits[1]);
    const tailed = led(
      spliced,
      b,
      { cable: own, insulation: 'white' },
      { to: 'terminal', device, terminal: 'upper' },
    );
    expect(tailed.boxes[0]!.tails).toHaveLength(2);
    expect(withoutDevice(tailed, b, device).boxes[0]!.tails).toEqual([]);
    expect(withoutCable(tailed, b, other).boxes[0]!.ends).toHaveLength(3);
  });
  test('what is seen differently needs new readings', () => {
    const taken = read(one, [DEAD, ohms(spot(own, 'white'), groundIn(b)), joined]);
    expect(withTape(taken, b, { cable: own, insulation: 'white' }, true).readings).toEqual([]);
  });
  test('a reading taken again replaces the first; the same again counts', () => {
    const list: Reading[] = [];
    const way = { setup: LIVE, probe: low(spot(own, 'black'), spot(own, 'white')) };
    takeReading(list, { ...way, value: steady(0) });
    takeReading(list, { ...way, value: steady(3) });
    expect(list.map(({ times }) => times)).toEqual([2]);
    takeReading(list, { ...way, value: steady(120) });
    expect(list.map(({ times, value }) => [times, value])).toEqual([[1, steady(120)]]);
  });
  test('tests are put in words that say what to do and where', () => {
    const words = [
      ...setupWords(hall, { ...LIVE, apart: 'all' }),
      probeWords(hall, { ...LIVE, apart: 'all' }, low(spot('lower', 'black'), groundIn('hall-found'))),
    ].join(' ');
    expect(words).toMatch(
      /Breaker 9 off, and any other that still leaves something live here, prove dead\..*cap each.*Breaker on again\..*Meter, low-impedance volts: black \(14-2 from below\) to ground/s,
    );
  });
});

describe('bad input', () => {
  const file = (change: (survey: Survey) => unknown) => {
    const { design, record } = demoWhole('hall-console')!;
    const surveys = [change(record.surveys[0]!)] as typeof record.surveys;
    return readJobFile(writeJobFile({ design, record: { ...record, surveys } }));
  };
  test.each([
    ['a box that is not opened', (s: Survey) => ({ ...s, target: 'nowhere' }), 'record.surveys[0].target'],
    [
      'a screw that the device has not',
      (s: Survey) => ({
        ...s,
        boxes: [
          {
            ...s.boxes[0]!,
            ends: s.boxes[0]!.ends.map((end, index) =>
              index === 0
                ? { ...end, sits: { at: 'terminal' as const, device: 'hall-handle', terminal: 'middle' } }
                : end,
            ),
          },
        ],
      }),
      'record.surveys[0].boxes[0].ends[0].sits',
    ],
    [
      'a conductor that nothing is said of',
      (s: Survey) => ({ ...s, boxes: [{ ...s.boxes[0]!, ends: s.boxes[0]!.ends.slice(1) }] }),
      'record.surveys[0].boxes[0].ends',
    ],
    [
      'a reading at a cable that is not there',
      (s: Survey) => read(s, [LIVE, low(spot('nowhere', 'black'), spot('lower', 'white')), steady(1)]),
      'record.surveys[0].readings[0].probe',
    ],
    [
      'one cable seen twice in one box',
      (s: Survey) => ({ ...s, same: [{ a: 'lower', b: 'upper' }] }),
      'record.surveys[0].same[0]',
    ],
    [
      'more volts than there are',
      (s: Survey) => ({
        ...s,
        readings: [reading(LIVE, low(spot('lower', 'black'), spot('lower', 'white')), steady(9000))],
      }),
      'record.surveys[0].readings[0].value.low',
    ],
  ])('%s is said, with its place', (_, change, path) => {
    const read = file(change);
    expect(read.ok ? [] : read.problems.map((problem) => problem.path)).toContain(path);
  });
  test('a file with surveys comes back as it was', () => {
    const job = demoWhole('hall-console')!;
    const back = readJobFile(writeJobFile(job));
    expect(back.ok && back.value).toEqual(job);
  });
});
