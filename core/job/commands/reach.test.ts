import { expect, test } from '@jest/globals';
import { z } from 'zod';
import { demoJob, demoRecord } from '../../handover/jobs/demo-house';
import { Design } from '../model/design';
import { JobRecord } from '../model/record';
import { duplexIn, sketch, switchIn } from '../../testing/jobs';
import { newSurvey } from '../seen/seen-box';
import { applyCommand, Command, note, type DesignCommand, type RecordCommand } from './command';

/*
 * Nothing that a file can say is out of reach: for every field of the schema there is a command that sets it. A new
 * field without one fails here.
 */

interface JsonSchema {
  readonly properties?: Readonly<Record<string, JsonSchema>>;
  readonly additionalProperties?: JsonSchema | boolean;
  readonly items?: JsonSchema;
  readonly prefixItems?: readonly JsonSchema[];
  readonly anyOf?: readonly JsonSchema[];
  readonly oneOf?: readonly JsonSchema[];
  readonly $ref?: string;
}

/** Every leaf of a schema as a path, its steps apart by a stroke; a record's keys and a list's items are `*`. */
function leaves(schema: JsonSchema, path = ''): Set<string> {
  const found = new Set<string>();
  const into = (next: JsonSchema, step: string) => {
    for (const leaf of leaves(next, path === '' ? step : `${path}/${step}`)) found.add(leaf);
  };
  for (const [name, own] of Object.entries(schema.properties ?? {})) into(own, name);
  if (typeof schema.additionalProperties === 'object' && !schema.properties)
    into(schema.additionalProperties, '*');
  if (schema.items) into(schema.items, '*');
  for (const own of schema.prefixItems ?? []) into(own, '*');
  for (const own of [...(schema.anyOf ?? []), ...(schema.oneOf ?? [])])
    for (const leaf of leaves(own, path)) found.add(leaf);
  if (found.size === 0) found.add(path);
  // A union of a thing and null has the thing's leaves.
  if (found.size > 1) found.delete(path);
  return found;
}

/** Where two values differ, as the same kind of path. */
function changed(before: unknown, after: unknown, path = '', found = new Set<string>()): Set<string> {
  if (Object.is(before, after)) return found;
  const isOpen = (value: unknown) => typeof value === 'object' && value !== null;
  if (!isOpen(before) && !isOpen(after)) return found.add(path);
  const step = (key: string) => (path === '' ? key : `${path}/${key}`);
  if (Array.isArray(before) || Array.isArray(after)) {
    const [a, b] = [before, after].map((one) => (Array.isArray(one) ? (one as unknown[]) : []));
    for (let at = 0; at < Math.max(a!.length, b!.length); at++) changed(a![at], b![at], step('*'), found);
    return found;
  }
  const [a, b] = [before, after].map((one) => (isOpen(one) ? (one as Record<string, unknown>) : {}));
  for (const key of new Set([...Object.keys(a!), ...Object.keys(b!)]))
    changed(a![key], b![key], step(key), found);
  return found;
}

/** Names that the job gives itself, and what is only measured. */
const NEVER_SET = ['id'];

const den = demoJob('den-media-wall')!;
const sunroom = demoJob('sunroom-plant-shelf')!;
const [circuit, other] = den.circuits;
const box = sunroom.boxes[0]!;

/** Values of every kind for each field of an object, so that a change of any of them shows. */
const ANY: Readonly<Record<string, unknown>> = {
  spot: { room: 'sunroom', wall: 1, alongFt: 3 },
  rough: {
    freeIn: 7,
    pastFrontIn: 4,
    sheathIn: 1,
    stapleIn: 6,
    setBackIn: 0.1,
    combustible: true,
    ring: false,
  },
};

const onSunroom: readonly DesignCommand[] = [
  { do: 'rename job', name: 'Another' },
  { do: 'set site', site: 'Elsewhere' },
  { do: 'set edition', edition: '2023' },
  {
    do: 'set habits',
    habits: {
      runColors: 'red constant',
      midRun: 'feed-through',
      quad: 'jumpers',
      grounds: 'folded',
      switchedHalf: 'top',
      groundPin: 'up',
      neutralAtSwitches: 'where asked',
      lineScrew: 'upper',
      connectors: 'twist-on',
      pushIn: 'allowed',
    } as never,
  },
  { do: 'set amendment', rule: 'P03', reason: 'Not adopted here' },
  { do: 'allow panel splices', allowed: true },
  {
    do: 'set connector',
    connector: 'lever-5',
    change: {
      name: 'Another',
      school: 'twist-on',
      holds: { 14: 8, 12: 7, 10: 6 },
      ports: 8,
      stripIn: '½',
    },
  },
  { do: 'rename group', group: sunroom.groups[0]!.id, name: 'another' },
  {
    do: 'set box',
    box: box.id,
    change: {
      name: 'Another',
      family: 'metal square',
      gangs: 2,
      volumeIn3: 30.3,
      ringIn3: 3,
      internalClamps: true,
      existing: true,
      closed: true,
      doorSide: 'right',
      heightIn: 60,
      room: sunroom.rooms[0]!.id,
      exposure: 'damp',
      waterFt: 4,
      counter: true,
      reach: 'ceiling',
      faces: 'in a floor',
      fanListed: true,
      concealed: true,
      inTubSpace: true,
      storageIn: 12,
      ...(ANY as object),
    } as never,
  },
  {
    do: 'set run',
    run: 'shelf-run',
    change: {
      lengthFt: 77,
      existing: '12-3',
      route: 'over',
      rough: {
        holeEdgeIn: 1,
        plate: true,
        besideIn: 2,
        supportFt: 3,
        fished: true,
        bundled: 3,
        exposure: 'wet',
        spliceOutside: true,
      } as never,
      found: { ground: 'open', reversed: true, lost: ['red'] },
    },
  },
  { do: 'set run circuits', run: 'shelf-run', circuits: ['c14'] },
  { do: 'lead run', run: 'shelf-run', end: 'to', box: 'panel', circuits: ['c14'] },
  { do: 'lead run', run: 'shelf-run', end: 'from', box: 'panel', circuits: ['c14'] },
  { do: 'add run', from: 'panel', to: 'plant-shelf', lengthFt: 9, circuits: ['c14'] },
  {
    do: 'set device',
    device: 'shelf-outlet',
    change: { marks: ['weather-resistant'], color: 'ivory', replaces: true, was: true, bootleg: true },
  },
  { do: 'set rating', device: 'shelf-outlet', ratingA: 20 },
  { do: 'set kind', device: 'shelf-outlet', kind: 'gfci' },
  { do: 'move device', device: 'shelf-outlet', box: 'garden-door' },
  { do: 'set load', device: 'shelf-outlet', part: 'upper', watts: 11, continuous: true },
  {
    do: 'set use',
    device: 'shelf-outlet',
    part: 'upper',
    change: { fixed: true, motor: true, appliance: 'microwave' },
  },
  {
    do: 'add switch',
    box: 'garden-door',
    group: { id: 'g2', name: 'g2' },
    controls: [{ device: 'shelf-outlet', part: 'upper' }],
  },
  {
    do: 'set room',
    room: {
      ...sunroom.rooms[0]!,
      name: 'Another',
      kind: 'kitchen',
      ceilingFt: 12,
      wallsFt: [9, 9, 9],
      spacing: 'judge',
      risers: 9,
      counters: [
        { kind: 'wall', wall: 0, fromFt: 1, toFt: 2 },
        { kind: 'island', longFt: 5, shortFt: 3 },
      ],
      turnsDeg: [120, 120, 120],
    },
  },
];
/** What is said of a sheet, and what is traced on it. */
const onSheet: readonly DesignCommand[] = [
  {
    do: 'add sheet',
    sheet: {
      id: 'sheet',
      name: 'First floor',
      picture: { id: 'first-floor', type: 'image/png', bytes: 10 },
      widthPx: 1600,
      heightPx: 1200,
      scale: null,
      check: null,
    },
  },
  {
    do: 'set sheet',
    sheet: 'sheet',
    change: { name: 'Ground floor', check: { from: { x: 1, y: 2 }, to: { x: 1, y: 1202 }, lengthFt: 30 } },
  },
  {
    do: 'trace',
    sheet: 'sheet',
    scale: { by: 'length', from: { x: 1, y: 2 }, to: { x: 1601, y: 2 }, lengthFt: 40 },
    rooms: [
      {
        ...sunroom.rooms[0]!,
        turnsDeg: [90, 90, 90, 90],
        plan: { sheet: 'sheet', xFt: 2, yFt: 3, headingDeg: 4 },
        openings: [{ id: 'door', kind: 'door', wall: 1, fromFt: 1, toFt: 4 }],
      },
    ],
    boxes: [{ box: box.id, at: { spot: null, at: { sheet: 'sheet', xFt: 5, yFt: 6 }, room: null } }],
    panelAt: { sheet: 'sheet', xFt: 7, yFt: 8 },
  },
  {
    do: 'trace',
    sheet: 'sheet',
    scale: {
      by: 'rectangle',
      corners: [
        { x: 0, y: 0 },
        { x: 1600, y: 0 },
        { x: 1600, y: 1200 },
        { x: 0, y: 1200 },
      ],
      wideFt: 40,
      highFt: 30,
    },
    rooms: [],
    boxes: [],
    panelAt: null,
  },
];
const onDen: readonly DesignCommand[] = [
  {
    do: 'set circuit',
    circuit: circuit!.id,
    change: {
      number: '99',
      breakerA: 30,
      leg: circuit!.leg === 'A' ? 'B' : 'A',
      existingLoadVA: 77,
      protection: 'dual',
      serves: 'laundry',
      fresh: true,
    },
  },
  { do: 'set circuit', circuit: circuit!.id, change: { multiwireWith: null } },
  { do: 'set circuit', circuit: circuit!.id, change: { tiedWith: null } },
  {
    do: 'set want',
    device: den.devices.find(({ wants }) => Object.values(wants).some(({ does }) => does === 'power'))!.id,
    part: Object.keys(
      den.devices.find(({ wants }) => Object.values(wants).some(({ does }) => does === 'power'))!.wants,
    )[0]!,
    change: { circuit: other!.id },
  },
];
const porch = demoJob('porch-soffit')!;
const twoGroups = sketch({
  boxes: ['wall', 'lamp'],
  runs: ['panel-wall:20', 'wall-lamp:10'],
  groups: ['a', 'b'],
  devices: [switchIn('wall', 'a'), switchIn('wall', 'b', 1), duplexIn('lamp', 'a', 'b')],
});
const more: readonly (readonly [Design, DesignCommand])[] = [
  [porch, { do: 'feed beyond', device: 'bench-gfci', from: 'LINE' }],
  [twoGroups, { do: 'set group', device: 'wall-a-switch', part: 'handle', group: 'b' }],
  [twoGroups, { do: 'move gang', device: 'wall-a-switch', toward: 'right' }],
];

const hall = demoRecord('hall-console');
const at = { on: 'conductor', cable: 'lower', insulation: 'black' } as const;
const ground = { on: 'ground', box: 'hall-found' } as const;
const setup = { breakers: 'all off', apart: 'all', switches: 'worked', loadsOut: true } as const;
const reading = (probe: object, value: object): RecordCommand =>
  ({ do: 'add reading', survey: 'hall', reading: { setup, probe, value } }) as RecordCommand;
const seen = (change: object): RecordCommand =>
  ({ do: 'note seen', survey: 'hall', change }) as RecordCommand;
const noted: readonly RecordCommand[] = [
  { do: 'set brief', change: { wish: 'w', facts: 'f', amendments: 'a' } },
  {
    do: 'add plan lines',
    lines: [
      { says: 'a', about: { kind: 'cable', run: 'feed', type: '14-2' } },
      { says: 'b', about: { kind: 'box', box: 'b', family: 'nail-on', volumeIn3: 20, ring: true } },
      { says: 'c', about: { kind: 'order', box: 'b', symbols: ['S'] } },
      { says: 'd', about: { kind: 'ground pin', pin: 'up' } },
      { says: 'e', about: { kind: 'height', box: 'b', heightIn: 48 } },
      { says: 'f', about: { kind: 'note', met: true } },
      {
        says: 'g',
        about: { kind: 'all heights', of: 'switches', heightIn: 48 },
        pin: { sheet: 'sheet', x: 1, y: 2 },
      },
    ],
  },
  {
    do: 'tick',
    tick: { box: 'b', step: 's', did: 'd', says: 'x', at: '2026-11-25T10:00:00.000Z' },
  },
  {
    do: 'set day',
    change: {
      crew: [{ name: 'Mara', qualified: false }],
      date: '2026-05-29',
      from: '07:30',
      hours: 6,
      weights: { time: 1, off: 2, trips: 3 },
      walls: 'open',
      inspectionDays: 5,
      closingDays: 6,
    },
  },
  {
    do: 'task done',
    done: { task: 'off 9', says: 'Breaker off', at: '2026-05-29T08:00:00.000Z', by: 'Mara' },
  },
  {
    do: 'read test',
    reading: {
      test: 'tester t handles 0',
      shows: '110',
      symptom: 'dead t',
      says: 'dead',
      at: '2026-11-25T10:00:00.000Z',
    },
  },
  {
    do: 'log',
    entry: {
      at: '2026-11-25T10:00:00.000Z',
      by: 'Mara',
      kind: 'note',
      box: 'b',
      says: 'seen',
      corrects: 'entry-1',
    },
  },
  { do: 'add survey', survey: newSurvey('new', 'New', '3') },
  {
    do: 'lay out survey',
    survey: 'hall',
    laidOut: { pair: { cable: 'lower', hot: 'black', neutral: 'white' }, left: ['bootleg'] },
  },
  { do: 'prove survey', survey: 'hall', all: true },
  seen({
    what: 'cable in',
    box: 'hall-found',
    cable: { type: '12-2', hasGround: true, enters: 'left', mark: 'x' },
  }),
  seen({ what: 'device in', box: 'hall-found', kind: 'duplex' }),
  seen({ what: 'tape', box: 'hall-found', end: { cable: 'lower', insulation: 'white' }, taped: true }),
  seen({ what: 'metal', box: 'hall-found', metal: true }),
  seen({ what: 'outside', method: 'aluminum', seen: true }),
  seen({ what: 'name', name: 'Another' }),
  seen({ what: 'breaker', breaker: '77' }),
  seen({ what: 'breaker size', breakerA: 30 }),
  seen({ what: 'directory', listed: '5' }),
  seen({ what: 'other breakers', others: ['6'] }),
  seen({ what: 'box opened', id: 'more', name: 'More' }),
  ...(['capped', 'loose'] as const).map((to) =>
    seen({
      what: 'conductor',
      box: 'hall-found',
      end: { cable: 'lower', insulation: 'white' },
      toward: { to },
    }),
  ),
  seen({
    what: 'conductor',
    box: 'hall-found',
    end: { cable: 'lower', insulation: 'white' },
    toward: { to: 'terminal', device: 'hall-handle', terminal: 'ground' },
  }),
  reading({ with: 'meter', impedance: 'low', from: at, to: ground }, { is: 'volts', low: 1, high: 2 }),
  reading({ with: 'continuity', from: at, to: ground }, { is: 'ohms', ohms: 3 }),
  reading({ with: 'non-contact', at }, { is: 'glow', glows: true }),
  reading({ with: 'clamp', at }, { is: 'amps', amps: 3 }),
  reading({ with: 'lamp', from: at, to: ground }, { is: 'lamp', lit: true, changes: true }),
  reading({ with: 'sweep', box: 'hall-found' }, { is: 'glow', glows: true }),
  reading({ with: 'drop', hot: at, neutral: at, ground, loadA: 8 }, { is: 'drop', sagV: 2, riseV: 1 }),
];

test('every field of the design is set by some command', () => {
  const set = new Set<string>();
  const doIt = (design: Design, command: DesignCommand) => {
    const done = applyCommand(design, Command.parse(command) as DesignCommand);
    if (!done.ok)
      throw new Error(
        `${command.do}: ${done.problems.map(({ path, message }) => `${path} ${message}`).join()}`,
      );
    for (const path of changed(design, done.value.job)) set.add(path.replace(/wants\/\w+/, 'wants/*'));
    return done.value.job;
  };
  for (const command of onSunroom) doIt(sunroom, command);
  onSheet.reduce(doIt, sunroom);
  for (const command of onDen) doIt(den, command);
  for (const [design, command] of more) doIt(design, command);
  doIt(sunroom, { do: 'add circuit', circuit: { ...sunroom.circuits[0]!, id: 'more' } });
  doIt(sunroom, {
    do: 'add box',
    from: box.id,
    name: 'More',
    holds: 'outlet',
    circuit: 'c14',
    group: null,
    lengthFt: 6,
  });
  doIt(sunroom, { do: 'add connector', connector: sunroom.connectors[0]! });
  const roomy = doIt(sunroom, { do: 'set room', room: { ...sunroom.rooms[0]!, id: 'more' } });
  const placed = doIt(roomy, {
    do: 'set box',
    box: box.id,
    change: { spot: { room: 'sunroom', wall: 0, alongFt: 1 } },
  });
  doIt(placed, { do: 'set box', box: box.id, change: { spot: { room: 'more', wall: 1, alongFt: 2 } } });
  const all = leaves(z.toJSONSchema(Design, { io: 'output' }) as JsonSchema);
  expect(all.size).toBeGreaterThan(80);
  const left = [...all].filter((path) => !set.has(path) && !NEVER_SET.includes(path));
  expect(left).toEqual([]);
});

test('every field of the record is set by some command', () => {
  const set = new Set<string>();
  const run = (record: JobRecord, command: RecordCommand): JobRecord => {
    const done = note(record, Command.parse(command) as RecordCommand);
    if (!done.ok)
      throw new Error(
        `${command.do}: ${done.problems.map(({ path, message }) => `${path} ${message}`).join()}`,
      );
    for (const path of changed(record, done.value.record)) set.add(path);
    return done.value.record;
  };
  for (const command of noted) run(hall, command);
  const photographed = run(hall, {
    do: 'add photo',
    photo: {
      id: 'p',
      at: '2026-11-25T10:00:00.000Z',
      by: 'Mara',
      caption: 'open box',
      box: 'b',
      type: 'image/png',
      bytes: 10,
      widthPx: 3,
      heightPx: 2,
      marks: [],
      removed: null,
    },
  });
  run(photographed, { do: 'set photo', photo: 'p', change: { removed: '2026-11-25T11:00:00.000Z' } });
  const marked = run(photographed, {
    do: 'mark photo',
    photo: 'p',
    mark: { x: 0.5, y: 0.5, run: 'r', insulation: 'red' },
  });
  run(marked, { do: 'unmark photo', photo: 'p', mark: marked.photos[0]!.marks[0]!.id });
  const stair = demoRecord('stair');
  run(stair, { do: 'pin plan line', line: 'feed', pin: { sheet: 'sheet', x: 3, y: 4 } });
  run(stair, { do: 'stamp plan line', line: 'feed', stamped: '2026-05-29' });
  // A device with a tab and an outlet; a second box with a cable that is seen there too.
  let two = run(hall, seen({ what: 'device in', box: 'hall-found', kind: 'duplex' }));
  const device = two.surveys[0]!.boxes[0]!.devices.at(-1)!.id;
  two = run(two, seen({ what: 'tab', box: 'hall-found', device, tab: 'hot-tab', broken: true }));
  run(two, reading({ with: 'tester', device, part: 'upper' }, { is: 'lights', lights: [true, true, false] }));
  two = run(two, seen({ what: 'box opened', id: 'more', name: 'More' }));
  two = run(
    two,
    seen({
      what: 'cable in',
      box: 'more',
      cable: { type: '14-2', hasGround: true, enters: 'below', mark: '' },
    }),
  );
  const cable = two.surveys[0]!.boxes[1]!.cables[0]!.id;
  run(two, seen({ what: 'other end', cable: 'lower', is: cable }));
  run(two, seen({ what: 'target', box: 'more' }));
  const loose = run(
    two,
    seen({
      what: 'conductor',
      box: 'hall-found',
      end: { cable: 'lower', insulation: 'white' },
      toward: { to: 'loose' },
    }),
  );
  run(
    loose,
    seen({
      what: 'conductor',
      box: 'hall-found',
      end: { cable: 'lower', insulation: 'white' },
      toward: { to: 'terminal', device, terminal: 'hot-upper' },
    }),
  );
  const once = run(hall, reading({ with: 'continuity', from: at, to: ground }, { is: 'ohms', ohms: 3 }));
  run(once, reading({ with: 'continuity', from: at, to: ground }, { is: 'ohms', ohms: 3 }));

  const all = leaves(z.toJSONSchema(JobRecord, { io: 'output' }) as JsonSchema);
  expect(all.size).toBeGreaterThan(50);
  // A probe is on a conductor or on a ground, at whichever place of the instrument.
  const alike = (path: string) => path.replace(/probe\/\w+\/(on|box|cable|insulation)$/, 'probe/place/$1');
  const known = new Set([...set].map(alike));
  expect([...all].filter((path) => !known.has(alike(path)))).toEqual([]);
});
