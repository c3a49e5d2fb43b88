import { drawBox } from '../geometry/box-drawing';
import { placesToMakeUp } from '../makeup/panel';
import { makeUpSteps } from '../makeup/steps';
import { endId } from '../../job/model/wiring';
import { describe, expect, test } from '@jest/globals';
import { Design } from '../../job/model/design';
import { planJob, type Plan } from '../plan';
import { prove } from '../../power/proof/prove';
import { judge } from '../../testing/judge';
import { duplexIn, lightIn, sketch, switchIn, type Sketch } from '../../testing/jobs';

/*
 * 300.3(B), from memory: all conductors of a circuit run together, so in every state the currents of each cable cancel.
 * A net has one path; the runs may form loops. What is expected was worked out by hand.
 */

const planned = (words: Sketch, change: Partial<Design> = {}): Plan => {
  const job = Design.parse({ ...sketch(words), ...change });
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error(outcome.refusals.map(({ message }) => message).join(' '));
  expect(prove(job, outcome.plan.wiring).findings).toEqual([]);
  expect(judge(job, outcome.plan.wiring)).toEqual([]);
  return outcome.plan;
};
const refused = (words: Sketch, change: Partial<Design> = {}) => {
  const outcome = planJob(Design.parse({ ...sketch(words), ...change }));
  if (outcome.ok) throw new Error('planned');
  return outcome.refusals;
};
const roles = ({ wiring }: Plan, run: string) =>
  wiring.cables
    .filter((cable) => cable.run === run)
    .flatMap(({ conductors }) => conductors.map(({ insulation, role }) => `${insulation} ${role ?? 'spare'}`))
    .filter((words) => !words.startsWith('bare'));
const tabs = ({ wiring }: Plan, device: string) => wiring.devices.find(({ id }) => id === device)!.brokenTabs;
const notes = ({ layout }: Plan) => layout.notes.map(({ code }) => code);

describe('runs that form loops', () => {
  const two = (first: string): Sketch => ({
    boxes: ['door', 'shelf'],
    runs: ['panel-door:30', `door-shelf:18${first}`],
    groups: ['lamps'],
    devices: [switchIn('door', 'lamps'), duplexIn('shelf', null, 'lamps')],
  });
  const beside = (words: Sketch, existing: '12-2' | '12-3' | null): Partial<Design> => {
    const job = sketch(words);
    return { runs: [...job.runs, { ...job.runs[1]!, id: 'second', existing }] };
  };

  test('two old x-2 to a half-switched outlet: each serves one purpose, both tabs broken, the neutrals meet upstream', () => {
    const words = two('=12-2');
    const made = planned(words, beside(words, '12-2'));
    const cables = [roles(made, 'door-shelf'), roles(made, 'second')].sort();
    expect(cables).toEqual([
      ['black hot', 'white neutral'],
      ['black switched', 'white neutral'],
    ]);
    expect(tabs(made, 'shelf-outlet')).toEqual(['hot-tab', 'neutral-tab']);
    const neutrals = made.wiring.splices.filter(({ role }) => role === 'neutral');
    expect(neutrals.map(({ box, ends }) => [box, ends.length])).toEqual([['door', 3]]);
    expect(notes(made)).toEqual([]);
  });
  test('two new runs: one x-3 does it, the other is not pulled, and that is said', () => {
    const words = two('');
    const made = planned(words, beside(words, null));
    expect(made.wiring.cables.map(({ type }) => type).sort()).toEqual(['12-2', '12-3']);
    expect(notes(made)).toEqual(['unused run']);
    expect(made.layout.notes[0]!.says).toMatchObject({
      code: 'notes.notNeededTrueOther',
      with: { existing: true },
    });
  });
  test('an old cable that is not needed stays capped, and that is said', () => {
    const words = two('=12-3');
    const made = planned(words, beside(words, '12-2'));
    expect(roles(made, 'second')).toEqual(['black spare', 'white spare']);
    expect(notes(made)).toEqual(['unused run']);
  });
  test('two pairs of 3-ways between two boxes over two x-3: each group keeps its neutral with it', () => {
    const made = planned(
      {
        boxes: ['foot', 'head', 'lamp', 'porch'],
        runs: ['panel-foot:30', 'foot-head:20=12-3', 'head-lamp:9', 'head-porch:9'],
        groups: ['p', 'q'],
        devices: [
          switchIn('foot', 'p'),
          switchIn('foot', 'q', 1),
          switchIn('head', 'p'),
          switchIn('head', 'q', 1),
          lightIn('lamp', 'p'),
          lightIn('porch', 'q'),
        ],
      },
      {
        runs: [
          ...sketch({
            boxes: ['foot', 'head', 'lamp', 'porch'],
            runs: ['panel-foot:30', 'foot-head:20=12-3', 'head-lamp:9', 'head-porch:9'],
            devices: [],
          }).runs,
          {
            ...sketch({ boxes: ['foot', 'head'], runs: ['foot-head:20=12-3'], devices: [] }).runs[0]!,
            id: 'again',
          },
        ],
      },
    );
    for (const run of ['foot-head', 'again'])
      expect(
        roles(made, run)
          .map((words) => words.split(' ')[1])
          .sort(),
      ).toEqual(['neutral', 'traveler', 'traveler']);
    const groups = ['foot-head', 'again'].map(
      (run) => new Set(made.layout.runs.find((one) => one.run.id === run)!.nets.map(({ group }) => group)),
    );
    expect(groups[0]).not.toEqual(groups[1]);
  });
  test('a ring of three boxes: the least new cable is pulled, the dearest run is left out', () => {
    const made = planned({
      boxes: ['a', 'b', 'c'],
      runs: ['panel-a:10', 'a-b:10', 'b-c:10', 'c-a:30'],
      devices: ['a', 'b', 'c'].map((box) => duplexIn(box, null, null)),
    });
    expect(made.wiring.cables.map(({ run }) => run).sort()).toEqual(['a-b', 'b-c', 'panel-a']);
    expect(notes(made)).toEqual(['unused run']);
  });
});

describe('the panel is not a splice box (312.8, from memory)', () => {
  const homes: Sketch = {
    boxes: ['hall', 'lamp'],
    runs: ['panel-hall:20', 'panel-lamp:30'],
    groups: ['light'],
    devices: [switchIn('hall', 'light'), lightIn('lamp', 'light')],
  };
  test('a switch on one home run and its light on another: refused, by box and with a way out', () => {
    const [refusal] = refused(homes);
    expect(refusal).toMatchObject({ code: 'panel splice' });
    expect(refusal!.at.map(({ id }) => id)).toEqual(expect.arrayContaining(['hall', 'lamp', 'light']));
    expect(refusal!.ways.length).toBeGreaterThan(1);
  });
  test('where the panel may hold splices the switch leg is spliced there, and that is drawn from the wiring', () => {
    const made = planned(homes, { panelSplices: true });
    const there = made.wiring.splices.filter(({ box }) => box === 'panel');
    expect(there.map(({ role, ends }) => [role, ends.length])).toEqual([['switched', 2]]);

    const ends = made.wiring.cables.flatMap(({ from, to, conductors }) =>
      from === 'panel' || to === 'panel' ? conductors.map(({ id }) => endId(id, 'panel')) : [],
    );
    const drawing = drawBox(made, 'panel');
    expect(drawing.wires.map(({ id }) => id).sort()).toEqual([...ends].sort());
    // Each conductor that lands has a place of its own, on a breaker or a bar.
    const landed = made.wiring.terminations.filter(({ box }) => box === 'panel');
    expect(drawing.screws).toHaveLength(landed.length);
    expect(new Set(drawing.screws.map(({ at }) => at.join())).size).toBe(landed.length);
    const steps = makeUpSteps(made, 'panel');
    expect(steps[0]!.id).toBe('main off');
    const handled = new Set(
      steps.flatMap(({ touches }) =>
        touches.flatMap((id) => there.find((splice) => splice.id === id)?.ends.map(String) ?? [id]),
      ),
    );
    for (const end of ends) expect(handled).toContain(end);
    expect([...placesToMakeUp(made.job, made.wiring)][0]).toBe('panel');
  });
  test('a LOAD side does not cross the panel either', () => {
    const power = { does: 'power', circuit: 'c', control: null } as const;
    const [refusal] = refused({
      boxes: ['bath', 'hall'],
      runs: ['panel-bath:20', 'panel-hall:30'],
      devices: [
        { id: 'guard', box: 'bath', gang: 0, kind: 'gfci', wants: { outlet: power } },
        { id: 'next', box: 'hall', gang: 0, kind: 'single', wants: { outlet: { ...power, via: 'guard' } } },
      ],
    });
    expect(refusal).toMatchObject({ code: 'panel splice' });
  });
  test('two home runs that need nothing of each other are planned', () => {
    const made = planned({
      boxes: ['a', 'b'],
      runs: ['panel-a:20', 'panel-b:30'],
      devices: [duplexIn('a', null, null), duplexIn('b', null, null)],
    });
    expect(made.wiring.splices.filter(({ box }) => box === 'panel')).toEqual([]);
    expect(placesToMakeUp(made.job, made.wiring)).not.toContain('panel');
  });
  test('a closed box next to the panel that would leave a live switch leg loose in it', () => {
    const [refusal] = refused({
      boxes: [{ id: 'shut', closed: true }, { id: 'hall' }, { id: 'lamp', family: 'ceiling' }],
      runs: ['panel-shut:20=12-3', 'shut-hall:20=12-3', 'shut-lamp:20=12-3'],
      groups: ['light'],
      devices: [switchIn('hall', 'light'), lightIn('lamp', 'light')],
    });
    expect(refusal).toMatchObject({ code: 'panel splice' });
  });
});

describe('what is planned as asked, and said', () => {
  test('a switch that controls nothing', () => {
    const made = planned({
      boxes: ['a'],
      runs: ['panel-a:20'],
      groups: ['idle'],
      devices: [duplexIn('a', null, null), switchIn('a', 'idle', 1)],
    });
    expect(notes(made)).toEqual(['controls nothing']);
  });
  test('a receiver without a radio switch; with one nothing is said', () => {
    const power = { does: 'power', circuit: 'c', control: 'far' } as const;
    const receiver = {
      id: 'rx',
      box: 'a',
      gang: 0,
      kind: 'radio-receiver',
      wants: { handle: { does: 'control', group: 'far' } },
    } as const;
    const words: Sketch = {
      boxes: ['a'],
      runs: ['panel-a:20'],
      groups: ['far'],
      devices: [{ id: 'lamp', box: 'a', gang: 0, kind: 'luminaire', wants: { lamp: power } }, receiver],
    };
    expect(notes(planned(words))).toEqual(['no radio switch']);
    const wall = {
      id: 'wall',
      box: 'a',
      gang: 1,
      kind: 'radio-switch',
      wants: { handle: { does: 'control', group: 'far' } },
    } as const;
    expect(notes(planned({ ...words, devices: [...words.devices, wall] }))).toEqual([]);
  });
  test('a combination device whose switch controls nothing keeps its jumper', () => {
    const made = planned({
      boxes: ['a'],
      runs: ['panel-a:20'],
      groups: ['idle'],
      devices: [
        {
          id: 'combo',
          box: 'a',
          gang: 0,
          kind: 'combination',
          wants: {
            outlet: { does: 'power', circuit: 'c', control: null },
            handle: { does: 'control', group: 'idle' },
          },
        },
      ],
    });
    expect(tabs(made, 'combo')).toEqual([]);
    expect(notes(made)).toEqual(['controls nothing']);
  });
  test('a pair entered as sharing a neutral that leaves the panel in two cables', () => {
    const pair = (id: string, number: string, leg: 'A' | 'B', other: string) =>
      ({ id, number, breakerA: 20, leg, multiwireWith: other, tiedWith: other }) as never;
    const base = sketch({
      boxes: ['a', 'b'],
      runs: ['panel-a:20', 'panel-b:30'],
      devices: [duplexIn('a', null, null), duplexIn('b', null, null)],
    });
    const job = Design.parse({
      ...base,
      circuits: [pair('c', '14', 'A', 'd'), pair('d', '16', 'B', 'c')],
      runs: base.runs.map((run, index) => ({ ...run, circuits: [index === 0 ? 'c' : 'd'] })),
      devices: base.devices.map((one, index) =>
        index === 0
          ? one
          : {
              ...one,
              wants: Object.fromEntries(
                Object.entries(one.wants).map(([part, want]) => [part, { ...want, circuit: 'd' }]),
              ),
            },
      ),
    });
    const outcome = planJob(job);
    if (!outcome.ok) throw new Error('refused');
    expect(notes(outcome.plan)).toEqual(['separate neutrals']);
  });
});

describe('the search', () => {
  const row = (count: number) => Array.from({ length: count }, (_, index) => `b${index}`);
  const chain = (boxes: readonly string[]) => [
    'panel-b0:10',
    ...boxes.slice(1).map((box, index) => `b${index}-${box}:10`),
  ];
  const job = (
    boxes: readonly string[],
    groups: readonly (readonly [string, readonly string[], string])[],
  ): Sketch => ({
    boxes,
    runs: chain(boxes),
    groups: groups.map(([id]) => id),
    devices: groups.flatMap(([id, places, lamp], index) => [
      ...places.map((box) => ({ ...switchIn(box, id), gang: index % 4 })),
      { ...lightIn(lamp, id), id: `${id}-lamp` },
    ]),
  });
  const outcomeOf = (words: Sketch) => {
    const made = Design.parse({ ...sketch(words), devices: spread(sketch(words)) });
    return { made, outcome: planJob(made) };
  };
  /** Seats are given out as they come: what is tested is the search, not the boxes. */
  const spread = (made: Design) => {
    const seats = new Map<string, number>();
    return made.devices.map((device) => {
      if (device.kind === 'luminaire') return device;
      const gang = seats.get(device.box) ?? 0;
      seats.set(device.box, gang + 1);
      return { ...device, gang: Math.min(gang, 3) };
    });
  };
  const answers = (words: Sketch, codes: readonly string[]) => {
    const { made, outcome } = outcomeOf(words);
    if (outcome.ok) expect(judge(made, outcome.plan.wiring, 6)).toEqual([]);
    else expect(outcome.refusals.map(({ code }) => code).every((code) => codes.includes(code))).toBe(true);
    return outcome.ok;
  };

  test('five lights each on three switches, each on runs of its own: planned', () => {
    const boxes = row(16);
    const groups = Array.from({ length: 5 }, (_, index) => {
      const own = boxes.slice(3 * index, 3 * index + 3);
      return [`g${index}`, own, own[2]!] as const;
    });
    expect(answers(job(boxes, groups), [])).toBe(true);
  });
  test('five lights each on three switches in the same boxes: more than a cable holds, and never a search limit', () => {
    const boxes = row(4);
    const groups = Array.from(
      { length: 5 },
      (_, index) => [`g${index}`, boxes.slice(0, 3), boxes[3]!] as const,
    );
    expect(answers(job(boxes, groups), ['too many conductors'])).toBe(false);
  });
  test('three groups of four along a row', () => {
    const boxes = row(12);
    const groups = [0, 4, 8].map((at) => [`g${at}`, boxes.slice(at, at + 4), boxes[at + 3]!] as const);
    expect(answers(job(boxes, groups), [])).toBe(true);
  });
  test('one light on seven switches', () => {
    const boxes = row(8);
    expect(answers(job(boxes, [['g', boxes.slice(0, 7), boxes[7]!]]), [])).toBe(true);
  });
  test('thirteen pairs of 3-ways, each between two boxes of its own', () => {
    const boxes = row(27);
    const groups = Array.from({ length: 13 }, (_, index) => {
      const own = boxes.slice(2 * index, 2 * index + 2);
      return [`g${index}`, own, own[1]!] as const;
    });
    expect(answers(job(boxes, groups), [])).toBe(true);
  });
  test('thirteen pairs of 3-ways between the same two boxes: refused for the conductors', () => {
    const boxes = row(3);
    const groups = Array.from(
      { length: 13 },
      (_, index) => [`g${index}`, boxes.slice(0, 2), boxes[2]!] as const,
    );
    expect(answers(job(boxes, groups), ['too many conductors'])).toBe(false);
  });
});

describe('what was found in the wall', () => {
  const found = (change: object) => (job: Design) => ({
    runs: job.runs.map((run) => (run.id === 'a-b' ? { ...run, found: { ...run.found, ...change } } : run)),
  });
  const base: Sketch = {
    boxes: ['a', 'b'],
    runs: ['panel-a:20', 'a-b:20=12-3'],
    groups: ['g'],
    devices: [switchIn('a', 'g'), duplexIn('b', null, 'g')],
  };
  const change = (more: (job: Design) => Partial<Design>) => more(sketch(base));
  test('a lost conductor is planned around, capped and said; where it is needed the refusal names it', () => {
    const [refusal] = refused(base, change(found({ lost: ['red'] })));
    expect(refusal).toMatchObject({ code: 'too few conductors' });
    expect(refusal!.says.with['lost']).toContain('red');
    const words = { ...base, devices: [duplexIn('b', null, null)], groups: [] };
    const job = sketch(words);
    const made = planned(words, found({ lost: ['black'] })(job));
    expect(roles(made, 'a-b')).toEqual(['black spare', 'red hot', 'white neutral']);
  });
  test.each(['none', 'open', 'not proven'] as const)(
    'a new outlet beyond a cable whose ground is %s is refused, a replacement is not',
    (ground) => {
      const [refusal] = refused(base, change(found({ ground })));
      expect(refusal).toMatchObject({ code: 'no ground' });
      expect(refusal!.at.map(({ id }) => id)).toEqual(['b-outlet', 'b', 'a-b']);
      const old = (job: Design): Partial<Design> => ({
        ...found({ ground })(job),
        devices: job.devices.map((one) => (one.id === 'b-outlet' ? { ...one, replaces: true } : one)),
      });
      const job = Design.parse({ ...sketch(base), ...old(sketch(base)) });
      const outcome = planJob(job);
      if (!outcome.ok) throw new Error('refused');
      // No ground is run on to it, nor from it (406.4(D)(2), from memory).
      expect(outcome.plan.wiring.tails.some(({ to }) => to === 'b-outlet:ground')).toBe(false);
      expect(outcome.plan.wiring.terminations.some(({ terminal }) => terminal === 'b-outlet:ground')).toBe(
        false,
      );
      expect(prove(job, outcome.plan.wiring).findings).toEqual([]);
    },
  );
  test('a pair changed over and a bootleg are refused by name', () => {
    expect(refused(base, change(found({ reversed: true })))[0]).toMatchObject({ code: 'reversed pair' });
    const tied = (job: Design) => ({
      devices: job.devices.map((one) => ({ ...one, bootleg: one.id === 'b-outlet' })),
    });
    expect(refused(base, change(tied))[0]).toMatchObject({ code: 'bootleg' });
  });
});
