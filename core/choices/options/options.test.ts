import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyCommands } from '../../job/commands/command';
import { wishKind } from '../../trade/devices';
import { demoJob } from '../../handover/jobs/demo-house';
import { Design, type Device } from '../../job/model/design';
import { duplexIn, sketch } from '../../testing/jobs';
import { planJob } from '../../wiring/plan';
import { protectionNeeds } from '../../code/protection/needs';
import { prove } from '../../power/proof/prove';
import { checkRules } from '../../code/rules/check';
import { siteOf } from '../../code/rules/site';
import { EVEN, isStopped, weighed, withDominated, type Option } from './option';
import { EXAMPLE_SHOP } from '../takeoff/shop';
import { takeOff } from '../takeoff/list';
import { allOptions, searchOptions } from './search';
import { addedBy, removalOf, withoutOutlet } from './wish';

/** The options of a demo job as it is, or with breakers that protect nothing. */
const optionsOf = (id: string, outlet: string, plain = false): Option[] => {
  const demo = demoJob(id)!;
  const job = plain
    ? { ...demo, circuits: demo.circuits.map((one) => ({ ...one, protection: 'none' as const })) }
    : demo;
  return allOptions(
    job,
    job.devices.find((one) => one.id === outlet)!,
  );
};
const hall = optionsOf('hall-console', 'console-outlet');
const attic = optionsOf('attic-hatch-switch', 'hatch-outlet');

describe('every option shown was compiled and proved; none is a template', () => {
  test.each([
    ['hall console', hall],
    ['attic hatch', attic],
    ['plant shelf', optionsOf('sunroom-plant-shelf', 'shelf-outlet')],
  ])('%s', (_, options) => {
    for (const option of options) {
      const outcome = planJob(option.job);
      if (!outcome.ok) throw new Error(option.says);
      const proof = prove(option.job, outcome.plan.wiring);
      expect(proof.findings).toEqual([]);
      expect(option.statesTried).toBe(proof.statesTried);
      // Its findings are those of its own job.
      const found = checkRules(siteOf(outcome.plan, proof));
      expect(option.figures.findings.code).toBe(found.filter(({ severity }) => severity === 'code').length);
      expect(option.figures.newCableFt).toBe(
        outcome.plan.wiring.cables.reduce(
          (sum, { existing, lengthFt }) => sum + (existing ? 0 : lengthFt),
          0,
        ),
      );
    }
  });
  test('no two are the same job', () => {
    expect(
      new Set(hall.map(({ job }) => JSON.stringify([job.boxes, job.devices, job.runs, job.circuits]))).size,
    ).toBe(hall.length);
  });
});

test('the hall console: at least five ways, the combination device, two-gang and new-box ones among them', () => {
  const ways = new Set(hall.map(({ way }) => way));
  expect(ways.size).toBeGreaterThanOrEqual(5);
  for (const way of ['combination device', 'two-gang', 'new box beside']) expect(ways).toContain(way);
  // An outlet half that stays on, and the light still switched, in every one.
  for (const { job } of hall) {
    const outlet = job.devices.find(({ kind }) => wishKind(kind).receptacle)!;
    expect(Object.values(outlet.wants).some((want) => want.does === 'power' && want.control === null)).toBe(
      true,
    );
  }
});

test('the attic hatch: only the ways out, none on the two wires that are there', () => {
  expect(new Set(attic.map(({ way }) => way))).toEqual(
    new Set(['3-wire from the feed', 'radio-controlled switch', 'from another box', 'new circuit']),
  );
  for (const { job, way } of attic) {
    const loop = job.runs.find(({ id }) => id === 'loop')!;
    if (way === '3-wire from the feed') expect(loop.existing).toBeNull();
  }
});

test('a combination device costs several times a plain receptacle, and needs no new hole (common practice)', () => {
  const plain = (way: string) => hall.find((one) => one.way === way)!.figures;
  expect(plain('combination device').holes).toBe(0);
  expect(plain('two-gang').holes).toBe(1);
  expect(plain('combination device').laborMin).toBeLessThan(plain('two-gang').laborMin);
  expect(plain('combination device').materialUsd).toBeGreaterThan(plain('two-gang').materialUsd);
});

describe('the wish goes along, whatever takes its place', () => {
  const CASES = [
    ['hall-console', 'console-outlet'],
    ['porch-soffit', 'soffit-outlet'],
    ['laundry-counter', 'combo'],
    ['den-media-wall', 'outlet'],
    ['sunroom-plant-shelf', 'shelf-outlet'],
  ] as const;
  const wished = (wants: Device['wants']) =>
    Object.values(wants).flatMap((want) =>
      want.does === 'power' ? [`${want.circuit} ${want.control ?? 'always on'}`] : [],
    );
  test.each(CASES)('%s: what the halves do, and what else is switched, stays', (id, outlet) => {
    const job = demoJob(id)!;
    const old = job.devices.find((one) => one.id === outlet)!;
    const options = optionsOf(id, outlet);
    // The shelf hangs out of a cord's reach of the only other box: a run to it is the only way.
    expect(options.length).toBeGreaterThan(id === 'sunroom-plant-shelf' ? 0 : 1);
    const base = withoutOutlet(job, old)!;
    for (const option of options) {
      const { device } = addedBy(base, option.commands)!;
      const after = option.job.devices.find((one) => one.id === device.id)!;
      // A new circuit is another breaker; what the halves do stays.
      const added = option.job.circuits.find((one) => !job.circuits.some(({ id }) => id === one.id));
      const asOld = wished(after.wants).map((says) =>
        added ? says.replace(added.id, job.circuits[0]!.id) : says,
      );
      expect(option.way === 'new circuit').toBe(added !== undefined);
      expect(new Set(asOld)).toEqual(new Set(wished(old.wants)));
      expect(after.ratingA).toBe(old.ratingA);
      expect(after.marks).toEqual(old.marks);
      for (const light of job.devices.filter(({ kind }) => kind === 'luminaire')) {
        const same = option.job.devices.find((one) => one.id === light.id)!;
        expect({ says: option.says, wants: wished(same.wants) }).toEqual({
          says: option.says,
          wants: wished(light.wants),
        });
      }
    }
  });
  test.each(CASES)(
    '%s: a new box stands where it was wished, so that the rules of the place speak',
    (id, outlet) => {
      const job = demoJob(id)!;
      const old = job.devices.find((one) => one.id === outlet)!;
      const stood = job.boxes.find((one) => one.id === old.box)!;
      const base = withoutOutlet(job, old)!;
      let fresh = 0;
      for (const option of optionsOf(id, outlet)) {
        const { box } = addedBy(base, option.commands)!;
        if (!box) continue;
        fresh++;
        const { room, spot, exposure, waterFt, counter, reach } = option.job.boxes.find(
          (one) => one.id === box.id,
        )!;
        expect({ room: spot?.room ?? room, exposure, waterFt, counter, reach }).toEqual({
          room: stood.spot?.room ?? stood.room,
          exposure: stood.exposure,
          waterFt: stood.waterFt,
          counter: stood.counter,
          reach: stood.reach,
        });
      }
      expect(fresh).toBeGreaterThan(0);
    },
  );
  test.each(CASES)('%s: picked, its commands lead to it, in one change', (id, outlet) => {
    const job = demoJob(id)!;
    const old = job.devices.find((one) => one.id === outlet)!;
    for (const option of optionsOf(id, outlet)) {
      const done = applyCommands(job, [...removalOf(job, old), ...option.commands]);
      expect(done.ok && done.value.job).toEqual(option.job);
    }
  });
  test('an outlet wished outdoors is not offered indoors', () => {
    const porch = optionsOf('porch-soffit', 'soffit-outlet');
    expect(porch.every(({ way }) => !['two-gang', 'combination device'].includes(way))).toBe(true);
  });
  test('an outlet outdoors is never without GFCI protection and without a finding (210.8(A)(3), from memory)', () => {
    for (const { job, figures } of optionsOf('porch-soffit', 'soffit-outlet')) {
      const outcome = planJob(job);
      if (!outcome.ok) throw new Error('refused');
      const bare = protectionNeeds(siteOf(outcome.plan)).some(
        ({ gfci, hasGfci }) => gfci !== null && !hasGfci,
      );
      expect({ bare, stopped: figures.findings.stop > 0 }).toEqual({ bare, stopped: bare });
    }
  });
  test('protection is tried where a finding asks for it: outlet, breaker, both shared out, a LOAD side that is there', () => {
    const says = optionsOf('porch-soffit', 'soffit-outlet', true).map((one) => one.says);
    for (const words of [
      /dual-function receptacle$/,
      /dual-function breaker$/,
      /GFCI receptacle, AFCI breaker$/,
      /on the LOAD side at Hall bench, AFCI breaker$/,
    ])
      expect(says.some((one) => words.test(one))).toBe(true);
  });
});

describe('a way is judged for what it adds', () => {
  const row = sketch({
    boxes: ['near', 'far'],
    runs: ['panel-near:40', 'near-far:12'],
    devices: [duplexIn('near', null, null), duplexIn('far', null, null)],
  });
  const wet = (job: Design, change: Partial<Design['boxes'][number]> = {}): Design =>
    Design.parse({
      ...job,
      rooms: [
        { id: 'den', name: 'Den', kind: 'den', wallsFt: [12, 12, 12, 12] },
        { id: 'yard', name: 'Yard', kind: 'outdoors', wallsFt: [12] },
      ],
      boxes: job.boxes.map((box) =>
        box.id === 'near'
          ? { ...box, room: 'den', existing: true }
          : { ...box, room: 'yard', exposure: 'damp', ...change },
      ),
    });
  const outletOf = (job: Design, box: string) => job.devices.find((one) => one.box === box)!;
  test('a receptacle upstream becomes a GFCI and feeds on from its LOAD side (210.8(A)(3), from memory)', () => {
    const job = wet(row);
    const option = allOptions(job, outletOf(job, 'far')).find(({ says }) =>
      /in place of the receptacle at near/.test(says),
    )!;
    expect(option.figures.findings.stop).toBe(0);
    const upstream = outletOf(option.job, 'near');
    expect(wishKind(upstream.kind).protection?.kind).toBe('gfci');
    expect(upstream.replaces).toBe(true);
  });
  test('the panel gives a new circuit with its breaker, never a second cable under the one that is there', () => {
    const job = wet(row);
    const fresh = allOptions(job, outletOf(job, 'far')).filter(({ job: after }) =>
      after.runs.some(({ id, from }) => from === 'panel' && !job.runs.some((one) => one.id === id)),
    );
    expect(fresh.length).toBeGreaterThan(0);
    for (const { job: after, way } of fresh) {
      expect(way).toBe('new circuit');
      const homes = after.runs
        .filter(({ from }) => from === 'panel')
        .flatMap(({ circuits }) => circuits ?? []);
      expect(new Set(homes).size).toBe(homes.length);
    }
  });
  test('what the old wiring had already stops no way, and is not charged to it', () => {
    // Old 14 AWG behind a 20 A breaker: a finding of the conductor, before anything is added.
    const job = wet(
      {
        ...row,
        runs: row.runs.map((run) =>
          run.from === 'panel' ? { ...run, rough: { ...run.rough, holeEdgeIn: 1 } } : run,
        ),
      },
      { exposure: 'dry', room: 'den' },
    );
    const findings = (of: Design) => {
      const outcome = planJob(of);
      if (!outcome.ok) throw new Error('refused');
      return checkRules(siteOf(outcome.plan)).filter(({ rule }) => rule === 'B05');
    };
    expect(findings(job)).toHaveLength(1);
    const options = allOptions(job, outletOf(job, 'far'));
    expect(options.length).toBeGreaterThan(0);
    for (const option of options) {
      expect(findings(option.job)).toHaveLength(1);
      expect(option.worst.map(({ says }) => says).join()).not.toContain('B05');
    }
  });
  test('counter, own wall, appliance and a single receptacle for a freezer go along; the length is measured where it can be', () => {
    const base = wet(row, {
      exposure: 'dry',
      room: 'den',
      counter: true,
      spot: { room: 'den', wall: 0, alongFt: 8 },
    });
    const job = Design.parse({
      ...base,
      boxes: base.boxes.map((box) =>
        box.id === 'near' ? { ...box, spot: { room: 'den', wall: 0, alongFt: 2 } } : box,
      ),
      devices: base.devices.map((one) =>
        one.box === 'far'
          ? {
              ...one,
              kind: 'single',
              wants: {
                outlet: { does: 'power', circuit: 'c', control: null, watts: 200, appliance: 'freezer' },
              },
            }
          : one,
      ),
    });
    const options = allOptions(job, outletOf(job, 'far'));
    const near = options.find(({ way }) => way === 'from the nearest receptacle')!;
    const after = near.job.devices.find(({ box }) => near.job.boxes.find(({ id }) => id === box)?.counter)!;
    expect(wishKind(after.kind).singleOutlet).toBe(true);
    expect(Object.values(after.wants)).toEqual([
      expect.objectContaining({ appliance: 'freezer', watts: 200 }),
    ]);
    expect(near.guessed).toBe(false);
    // 6 ft along the wall, heights alike.
    expect(near.job.runs.find(({ to }) => to === after.box)!.lengthFt).toBe(6);
    expect(options.find(({ way }) => way === 'new circuit')?.guessed).toBe(true);
  });
});

describe('an outlet stays where it was wished', () => {
  const placed = (
    near: Partial<Design['boxes'][number]>,
    far: Partial<Design['boxes'][number]>,
    kind = 'kitchen',
  ): Design => {
    const job = sketch({
      boxes: ['near', 'far'],
      runs: ['panel-near:40', 'near-far:25'],
      devices: [duplexIn('near', null, null), duplexIn('far', null, null)],
    });
    return Design.parse({
      ...job,
      rooms: [
        { id: 'here', name: 'Here', kind, wallsFt: [12, 14, 12, 14] },
        { id: 'there', name: 'There', kind: 'den', wallsFt: [10, 10, 10, 10] },
      ],
      boxes: job.boxes.map((box) => ({ ...box, room: 'here', ...(box.id === 'near' ? near : far) })),
    });
  };
  const ways = (job: Design) =>
    allOptions(
      job,
      job.devices.find(({ box }) => box === 'far')!,
    );
  /** Ways that put it into the box at hand, by what is said of the two. */
  const inThe = (options: readonly Option[]) =>
    options.filter(({ job }) => job.devices.filter(({ box }) => box === 'near').length > 1).length;
  const spot = (wall: number, alongFt: number) => ({ spot: { room: 'here', wall, alongFt } });

  test('a second device goes into a box within a cord’s reach, 6 ft along the walls (210.52(A)(1))', () => {
    expect(inThe(ways(placed(spot(0, 2), spot(0, 7))))).toBeGreaterThan(0);
    expect(inThe(ways(placed(spot(0, 10), spot(1, 3))))).toBeGreaterThan(0);
    expect(inThe(ways(placed(spot(0, 2), spot(0, 9))))).toBe(0);
    expect(inThe(ways(placed(spot(0, 6), spot(2, 6))))).toBe(0);
  });
  test('what is to serve a counter stays on it', () => {
    expect(inThe(ways(placed({}, { counter: true })))).toBe(0);
    expect(inThe(ways(placed({ counter: true }, { counter: true })))).toBeGreaterThan(0);
  });
  test.each([
    ['bathroom', 'bathroom'],
    ['laundry', 'laundry'],
    ['garage', 'garage'],
    ['kitchen', 'small appliance'],
  ])('a %s has a new 20 A circuit of its kind among its ways (210.11(C))', (kind, serves) => {
    const job = placed({}, { counter: true, waterFt: 2 }, kind);
    const fresh = ways({ ...job, circuits: job.circuits.map((one) => ({ ...one, breakerA: 15 })) }).flatMap(
      ({ job: after }) => after.circuits.filter(({ id }) => id !== 'c'),
    );
    expect(fresh.length).toBeGreaterThan(0);
    for (const circuit of fresh) expect(circuit).toMatchObject({ serves, breakerA: 20 });
  });
  test('a length that is not measured is that of the run that was there, else half the way round each room passed', () => {
    const feet = (job: Design) => {
      const own = ways(job).find(({ way }) => way === 'from the nearest receptacle')!;
      return own.job.runs.find(({ from }) => from === 'near')!.lengthFt;
    };
    expect(feet(placed({}, {}))).toBe(25);
    const other = placed({ room: 'there' }, {});
    // Its run comes from the panel: nothing is said of the way from the box next door. 20 and 26 ft.
    const fromPanel = {
      ...other,
      runs: other.runs.map((run) => (run.to === 'far' ? { ...run, from: 'panel', circuits: ['c'] } : run)),
    };
    expect(feet(fromPanel)).toBe(46);
  });
});

test('what the outlet carries goes along', () => {
  for (const { job } of hall) {
    const watts = job.devices.flatMap(({ kind, wants }) =>
      kind === 'luminaire'
        ? []
        : Object.values(wants).flatMap((want) => (want.does === 'power' ? [want.watts ?? 0] : [])),
    );
    expect(watts.reduce((sum, one) => sum + one, 0)).toBeGreaterThanOrEqual(60);
  }
});

describe('choosing', () => {
  test('a dominated option is no better in anything, and says what beats it', () => {
    const byId = new Map(hall.map((one) => [one.id, one]));
    const dominated = hall.filter((one) => one.dominated);
    expect(dominated.length).toBeGreaterThan(3);
    for (const { dominated: mark, figures } of dominated) {
      const better = byId.get(mark!.by)!.figures;
      expect(better.materialUsd).toBeLessThanOrEqual(figures.materialUsd);
      expect(better.laborMin).toBeLessThanOrEqual(figures.laborMin);
      expect(better.holes).toBeLessThanOrEqual(figures.holes);
      expect(mark!.why).toMatch(/less/);
    }
    expect(hall.some((one) => one.dominated === null)).toBe(true);
  });
  test('two that are alike do not dominate each other', () => {
    const one = { ...hall[0]!, dominated: null };
    expect(withDominated([one, { ...one, id: 'twin' }]).map(({ dominated }) => dominated)).toEqual([
      null,
      null,
    ]);
  });
  test('weights turn the order', () => {
    const first = (weights: Partial<typeof EVEN>) => {
      const none = { money: 0, time: 0, holes: 0, disturbance: 0, room: 0, findings: 0 };
      const points = weighed(hall, { ...none, ...weights });
      return [...hall].sort((a, b) => points.get(a.id)! - points.get(b.id)!)[0]!;
    };
    expect(first({ money: 10 }).figures.materialUsd).toBe(
      Math.min(...hall.map(({ figures }) => figures.materialUsd)),
    );
    expect(first({ time: 10 }).figures.laborMin).toBe(
      Math.min(...hall.map(({ figures }) => figures.laborMin)),
    );
    expect(first({ holes: 10 }).figures.holes).toBe(0);
  });
  test('no weights put a way that can hurt someone before one that cannot', () => {
    const soffit = optionsOf('porch-soffit', 'soffit-outlet', true);
    expect(soffit.some(isStopped) && !soffit.every(isStopped)).toBe(true);
    const weight = fc.integer({ min: 0, max: 10 });
    const weights = fc.record({
      money: weight,
      time: weight,
      holes: weight,
      disturbance: weight,
      room: weight,
      findings: weight,
    });
    fc.assert(
      fc.property(weights, (own) => {
        const points = weighed(soffit, own);
        const of = (stopped: boolean) =>
          soffit.filter((one) => isStopped(one) === stopped).map(({ id }) => points.get(id)!);
        expect(Math.max(...of(false))).toBeLessThan(Math.min(...of(true)));
      }),
    );
  });
  test('what stands against a way is said with its severity, worst first', () => {
    const order = ['stop', 'code', 'ask', 'craft'];
    for (const { worst, figures } of [...hall, ...attic]) {
      const ranks = worst.map(({ severity }) => order.indexOf(severity));
      expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
      expect(worst).toHaveLength(figures.findings.stop + figures.findings.code);
      for (const { says } of worst) expect(says).toMatch(/^[A-Z]\d\d: ./);
    }
  });
  test('the search tells how far it is and can be left at any step', () => {
    const job = demoJob('hall-console')!;
    const search = searchOptions(
      job,
      job.devices.find(({ id }) => id === 'console-outlet')!,
    );
    const first = search.next();
    expect(first.value).toMatchObject({ tried: 1 });
    expect(search.return([]).done).toBe(true);
  });
});

test('options cost what the shop says: each price moves what takes that thing, and no other', () => {
  const demo = demoJob('hall-console')!;
  const outlet = demo.devices.find(({ id }) => id === 'console-outlet')!;
  // Every key that a take-off of any of them names; the shop charges a thousand more for one at a time.
  const lists = hall.map(({ job }) => {
    const outcome = planJob(job);
    return outcome.ok ? takeOff(outcome.plan) : [];
  });
  const keys = ['cable 14-2', 'cable 12-2', 'cable 14-3', ...lists.flat().map(({ key }) => key)];
  let moved = 0;
  for (const key of [...new Set(keys)].filter((one) => /^(cable|box|device|breaker) /.test(one))) {
    const dear = allOptions(demo, outlet, { ...EXAMPLE_SHOP, prices: { [key]: '1000' } });
    for (const [index, { figures, says }] of dear.entries()) {
      const plain = hall[index]!;
      expect(says).toBe(plain.says);
      expect(figures.laborMin).toBe(plain.figures.laborMin);
      const more = figures.materialUsd - plain.figures.materialUsd;
      expect(more).toBeGreaterThanOrEqual(0);
      if (more > 0) moved++;
      // What is dearer by hundreds is among what is bought for it.
      if (more > 100)
        expect([says, lists[index]!.map((line) => line.key)]).toEqual([says, expect.arrayContaining([key])]);
    }
  }
  expect(moved).toBeGreaterThan(hall.length);
  // An hour of nothing is no labor at all.
  const idle = Object.fromEntries(Object.keys(EXAMPLE_SHOP.minutes).map((work) => [work, 0]));
  for (const { figures } of allOptions(demo, outlet, {
    prices: {},
    minutes: idle as typeof EXAMPLE_SHOP.minutes,
  }))
    expect(figures.laborMin).toBe(0);
});
