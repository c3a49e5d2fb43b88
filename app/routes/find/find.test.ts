import { describe, expect, test } from '@jest/globals';
import { demoJob, demoRecord } from '@core/handover/jobs/demo-house';
import { Probe, type Setup } from '@core/job/model/survey';
import { bitsOf } from '@core/site/diagnose/narrowing';
import { valueMask } from '@core/job/seen/outcomes';
import { newSurvey, withCable, withDevice, withTape } from '@core/job/seen/seen-box';
import { study } from '@core/site/survey/study';
import { answer } from '@core/handover/drills/answer';
import { dice } from '@core/base/dice';
import { weigh } from '@core/site/survey/evidence';
import { testsOf } from '@core/site/survey/possible-tests';
import { library } from '@core/testing/situations';
import { walls } from '@core/testing/walls';
import { drawSeen, seenOfEnd } from './seen-drawing';
import { INSTRUMENTS } from './instruments';
import { outcomeWords, quickValues } from './values';

const job = demoJob('hall-console')!;
const survey = demoRecord('hall-console').surveys[0]!;
const black = { on: 'conductor', cable: 'lower', insulation: 'black' } as const;
const white = { on: 'conductor', cable: 'lower', insulation: 'white' } as const;
const WORKED: Setup = { breakers: 'on', apart: 'as found', switches: 'worked', loadsOut: false };
const STILL: Setup = { ...WORKED, switches: 'as they are' };
const PROBES: readonly Probe[] = [
  { with: 'non-contact', at: black },
  { with: 'meter', impedance: 'high', from: black, to: white },
  { with: 'meter', impedance: 'low', from: black, to: white },
  { with: 'lamp', from: black, to: white },
  { with: 'continuity', from: black, to: white },
  { with: 'clamp', at: white },
  { with: 'tester', device: 'outlet', part: 'upper' },
  { with: 'sweep', box: survey.target },
  { with: 'drop', hot: black, neutral: white, ground: { on: 'ground', box: survey.target }, loadA: 12 },
  { with: 'residual', neutral: white, ground: { on: 'ground', box: survey.target } },
  { with: 'panel clamp', hot: black, neutral: white },
  { with: 'feed clamp', hot: black, neutral: white },
  { with: 'lifted neutral', neutral: white, ground: { on: 'ground', box: survey.target } },
];

test('every instrument of the record can be entered as a reading of one’s own, with all that it is put on', () => {
  const known = Probe.options.map(({ shape }) => shape.with.value);
  expect(known.length).toBeGreaterThan(10);
  expect(new Set(PROBES.map((probe) => probe.with))).toEqual(new Set(known));
  const offered = Object.values(INSTRUMENTS).map(({ probe }) => (probe as Probe).with);
  expect(new Set(offered)).toEqual(new Set(known));
  for (const { probe, places } of Object.values(INSTRUMENTS)) {
    const spots = Object.fromEntries(
      places.map((place) => [place, place === 'ground' ? { on: 'ground', box: survey.target } : black]),
    );
    expect(
      Probe.safeParse({
        ...probe,
        ...spots,
        ...('with' in probe && probe.with === 'tester' ? { device: 'outlet', part: 'upper' } : {}),
        ...('with' in probe && probe.with === 'sweep' ? { box: survey.target } : {}),
      }).success,
    ).toBe(true);
  }
});

describe('readings as buttons', () => {
  test.each(PROBES.map((probe) => [probe.with, probe] as const))(
    '%s: every button is one outcome, all different, all said',
    (_, probe) => {
      for (const setup of [WORKED, STILL]) {
        const masks = quickValues(setup, probe).map(({ value }) => valueMask(probe, value));
        for (const mask of masks) {
          expect(bitsOf(mask)).toHaveLength(1);
          expect(outcomeWords(probe, mask)).toMatch(/\S/);
        }
        expect(new Set(masks).size).toBe(masks.length);
      }
    },
  );
  test('"comes and goes" is offered only where switches are worked', () => {
    const has = (setup: Setup) =>
      quickValues(setup, PROBES[2]!).some(({ label }) => label === 'Comes and goes');
    expect([has(WORKED), has(STILL)]).toEqual([true, false]);
  });
  test('whatever an instrument can truly show has its button: true readings of boxes of all kinds, with the very outcome', () => {
    let asked = 0;
    const shown = new Set<string>();
    const some = walls().filter((_, index) => index % 6 === 0);
    for (const [index, situation] of [...library(6), ...some.map((wall) => wall.situation)].entries()) {
      const random = dice(index + 1);
      for (const { setup, probe } of testsOf(situation.survey, weigh(situation.survey))) {
        if (random() < 0.3) continue;
        asked++;
        const value = answer(situation, setup, probe, random);
        const mask = valueMask(probe, value);
        shown.add(`${probe.with} ${mask}`);
        const buttons = quickValues(setup, probe).map((one) => valueMask(probe, one.value));
        // Near a border it is one or the other.
        expect({ probe: probe.with, setup, value, fits: buttons.some((own) => (own & mask) !== 0) }).toEqual({
          probe: probe.with,
          setup,
          value,
          fits: true,
        });
      }
    }
    expect(asked).toBeGreaterThan(500);
    expect(shown.size).toBeGreaterThan(20);
  });
  test('only what loads a circuit can trip it', () => {
    const trips = (probe: Probe) => quickValues(WORKED, probe).some(({ value }) => value.is === 'tripped');
    expect(
      PROBES.filter(trips).map((probe) =>
        probe.with === 'meter' ? `${probe.with} ${probe.impedance}` : probe.with,
      ),
    ).toEqual(['meter low', 'lamp', 'drop', 'panel clamp', 'feed clamp']);
  });
});

describe('the opened box as a drawing', () => {
  test('every seen conductor is in it once, and is found again by its end', () => {
    const [box] = survey.boxes;
    const drawing = drawSeen(job, survey, box!, null);
    const seen = drawing.wires.flatMap(({ id }) => seenOfEnd(survey, box!, id) ?? []);
    expect(seen).toHaveLength(box!.ends.length);
    expect(new Set(seen).size).toBe(box!.ends.length);
    expect(drawing.devices.map(({ kind }) => kind)).toEqual(['single-pole']);
    expect(drawing.splices.map(({ role }) => role).sort()).toEqual(['ground', 'neutral']);
  });
  test('cables are called by what they may be, and plainly once that is sure', () => {
    const [box] = survey.boxes;
    const before = drawSeen(job, survey, box!, study(survey));
    expect(before.cables.every(({ role }) => role.startsWith('possibly'))).toBe(true);
    const hatch = demoJob('attic-hatch-switch')!;
    const found = demoRecord(hatch.id).surveys[0]!;
    const [cable] = drawSeen(hatch, found, found.boxes[0]!, study(found)).cables;
    expect(cable!.role).toBe('switch loop from a light');
  });
  test('loose and capped ends hang as caps, tape is a band', () => {
    const empty = newSurvey('wall', 'Wall', '9');
    const box = empty.target;
    const one = withDevice(
      withCable(empty, box, { type: '14-2', hasGround: true, enters: 'left', mark: 'feed' }),
      box,
      'single-pole',
    );
    const cable = one.boxes[0]!.cables[0]!.id;
    const taped = withTape(one, box, { cable, insulation: 'white' }, true);
    const drawing = drawSeen(job, taped, taped.boxes[0]!, null);
    expect(drawing.caps).toHaveLength(2);
    expect(drawing.cables[0]!.title).toBe('feed');
    expect(drawing.wires.filter(({ tape }) => tape.length > 0).map(({ insulation }) => insulation)).toEqual([
      'white',
    ]);
  });
});
