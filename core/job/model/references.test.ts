import { describe, expect, test } from '@jest/globals';
import { demoJob, demoJobs, demoRecord } from '../../handover/jobs/demo-house';
import { Design } from './design';
import { JobRecord } from './record';
import { checkRecordReferences, checkReferences } from './references';

/* One thing wrong at a time: the place is named, and what is known or what to do. Invented jobs. */

const sound = demoJob('porch-soffit')!;
const den = demoJob('den-media-wall')!;
const found = demoJob('hall-console')!;
type Mutable<T> = { -readonly [Key in keyof T]: T[Key] extends object ? Mutable<T[Key]> : T[Key] };
const broken = (job: Design, change: (draft: Mutable<Design>) => void): Design => {
  const draft = structuredClone(job) as Mutable<Design>;
  change(draft);
  return Design.parse(draft);
};
const said = (job: Design) => checkReferences(job).map(({ path, message }) => `${path}: ${message}`);

test('the demo jobs are sound', () => {
  for (const job of demoJobs) {
    expect(checkReferences(job)).toEqual([]);
    expect(checkRecordReferences(demoRecord(job.id))).toEqual([]);
  }
});

const CASES: readonly (readonly [string, Design, string])[] = [
  [
    'two boxes of one id',
    broken(sound, ({ boxes }) => void (boxes[1]!.id = boxes[0]!.id)),
    'design.boxes[1].id: "',
  ],
  ['two rooms of one id', broken(found, ({ rooms }) => void rooms.push({ ...rooms[0]! })), 'is used twice'],
  [
    'a box called panel',
    broken(sound, ({ boxes }) => void (boxes[0]!.id = 'panel')),
    'may not have the id "panel"',
  ],
  [
    'a run to nowhere',
    broken(sound, ({ runs }) => void (runs[1]!.to = 'nowhere')),
    'design.runs[1].to: there is no box "nowhere"',
  ],
  [
    'a run in a ring of one',
    broken(sound, ({ runs }) => void (runs[1]!.to = runs[1]!.from)),
    'starts and ends in the same box',
  ],
  [
    'a run of a circuit that is not there',
    broken(sound, ({ runs }) => void (runs[0]!.circuits = ['c99'])),
    'design.runs[0].circuits[0]: there is no circuit "c99"',
  ],
  [
    'a feed that names no circuit',
    broken(sound, ({ runs }) => {
      delete (runs[0] as { circuits?: unknown }).circuits;
    }),
    'leaves the panel but names no circuit',
  ],
  [
    'a partner that does not name back',
    broken(den, ({ circuits }) => void (circuits[1]!.tiedWith = null)),
    'do not name each other',
  ],
  [
    'a circuit that is its own partner',
    broken(den, ({ circuits }) => void (circuits[0]!.multiwireWith = circuits[0]!.id)),
    'do not name each other',
  ],
  [
    'a device in no box',
    broken(sound, ({ devices }) => void (devices[0]!.box = 'attic')),
    'design.devices[0].box: there is no box "attic"',
  ],
  [
    'a gang that the box does not have',
    broken(sound, ({ devices }) => void (devices[0]!.gang = 3)),
    'design.devices[0].gang',
  ],
  [
    'a part that nothing is said of',
    broken(sound, ({ devices }) => void (devices[0]!.wants = {})),
    'nothing is said of the',
  ],
  [
    'a handle that is to be fed',
    broken(sound, ({ devices }) => {
      const handle = devices.find(({ kind }) => kind === 'switch')!;
      handle.wants = {
        handle: {
          does: 'power',
          circuit: 'c9',
          control: null,
          via: null,
          fixed: false,
          motor: false,
        } as never,
      };
    }),
    'must be "control"',
  ],
  [
    'a part that the device does not have',
    broken(sound, ({ devices }) => {
      const one = devices.find(({ kind }) => kind === 'switch')!;
      one.wants = { ...one.wants, lamp: one.wants['handle']! };
    }),
    'has no part "lamp"',
  ],
  [
    'a group that is not there',
    broken(sound, ({ groups }) => void groups.splice(0)),
    'there is no control group',
  ],
  [
    'a LOAD side of what has none',
    broken(sound, ({ devices }) => {
      const light = devices.find(({ wants }) => Object.values(wants).some(({ does }) => does === 'power'))!;
      const other = devices.find(({ kind }) => kind === 'switch')!;
      for (const want of Object.values(light.wants)) if (want.does === 'power') want.via = other.id;
    }),
    'has no LOAD terminals',
  ],
  [
    'a box in a room that is not there',
    broken(found, ({ boxes }) => void (boxes[0]!.room = 'cellar')),
    'design.boxes[0].room: there is no room "cellar"',
  ],
];

describe('one thing wrong', () => {
  test.each(CASES)('%s', (_, job, words) => {
    expect(said(job).join('\n')).toContain(words);
  });
});

describe('one thing wrong in what was seen', () => {
  const record = demoRecord('hall-console');
  type Seen = Mutable<JobRecord>['surveys'][number];
  const hall = (change: (survey: Seen) => void): JobRecord => {
    const draft = structuredClone(record) as Mutable<JobRecord>;
    const [survey] = draft.surveys;
    survey!.readings = [];
    change(survey!);
    return JobRecord.parse(draft);
  };
  const said = (one: JobRecord) =>
    checkRecordReferences(one).map(({ path, message }) => `${path}: ${message}`);
  const setup = { breakers: 'on', apart: 'as found', switches: 'as they are', loadsOut: false } as const;
  const [box] = record.surveys[0]!.boxes;
  const [cable] = box!.cables;
  const at = { on: 'conductor', cable: cable!.id, insulation: 'black' } as const;
  const ground = { on: 'ground', box: box!.id } as const;
  const reading = (probe: object, value: object) => (survey: Seen) =>
    void survey.readings.push({ id: 'r', setup, probe, value, times: 1 } as never);
  const WRONG: readonly (readonly [string, (survey: Seen) => void, string])[] = [
    [
      'two cables of one id',
      (s: Seen) => void s.boxes[0]!.cables.push({ ...s.boxes[0]!.cables[0]! }),
      'two cables',
    ],
    [
      'two devices of one id',
      (s: Seen) => void s.boxes[0]!.devices.push({ ...s.boxes[0]!.devices[0]! }),
      'two devices',
    ],
    [
      'an outlet wanted in a box that is not open',
      (s: Seen) => void (s.target = 'attic'),
      'no opened box "attic"',
    ],
    [
      'a conductor that is said twice',
      (s: Seen) => void s.boxes[0]!.ends.push({ ...s.boxes[0]!.ends[0]! }),
      'is said twice',
    ],
    ['a conductor that nothing is said of', (s: Seen) => void s.boxes[0]!.ends.pop(), 'nothing is said of'],
    [
      'a color that the cable does not have',
      (s: Seen) => void (s.boxes[0]!.ends[0]!.insulation = 'blue'),
      'has no blue',
    ],
    [
      'a screw that the device does not have',
      (s: Seen) =>
        void (s.boxes[0]!.ends[0]!.sits = {
          at: 'terminal',
          device: s.boxes[0]!.devices[0]!.id,
          terminal: 'load-hot',
        }),
      'no screw "load-hot"',
    ],
    [
      'a tail to no screw',
      (s: Seen) => void s.boxes[0]!.tails.push({ splice: 's', device: 'gone', terminal: 'ground' }),
      'no screw "ground" on "gone"',
    ],
    [
      'a cable that is the same as none',
      (s: Seen) => void s.same.push({ a: s.boxes[0]!.cables[0]!.id, b: 'gone' }),
      'no cable "gone"',
    ],
    [
      'a cable seen twice in one box',
      (s: Seen) => void s.same.push({ a: s.boxes[0]!.cables[0]!.id, b: s.boxes[0]!.cables[1]!.id }),
      'cannot be seen twice in one box',
    ],
    [
      'a probe on a cable that is not there',
      reading({ with: 'clamp', at: { ...at, cable: 'gone' } }, { is: 'amps', amps: 1 }),
      'no cable "gone"',
    ],
    [
      'a probe on the ground of a box that is not open',
      reading({ with: 'non-contact', at: { ...ground, box: 'attic' } }, { is: 'glow', glows: true }),
      'no opened box "attic"',
    ],
    [
      'a tester in an outlet that is not there',
      reading(
        { with: 'tester', device: 'gone', part: 'upper' },
        { is: 'lights', lights: [true, true, false] },
      ),
      'no outlet "upper" on "gone"',
    ],
    [
      'volts from a non-contact tester',
      reading({ with: 'non-contact', at }, { is: 'volts', low: 0, high: 0 }),
      'a non-contact reading is in glow, not in volts',
    ],
    [
      'a glow from a meter',
      reading({ with: 'meter', impedance: 'low', from: at, to: ground }, { is: 'glow', glows: true }),
      'a meter reading is in volts, not in glow',
    ],
    [
      'a smallest over the largest',
      reading({ with: 'meter', impedance: 'high', from: at, to: ground }, { is: 'volts', low: 90, high: 3 }),
      'smallest, 90 V, is over its largest, 3 V',
    ],
  ];
  test.each(WRONG)('%s', (_, change, words) => {
    expect(said(hall(change)).join('\n')).toContain(words);
  });
  test('what trips a protecting device may come of any instrument', () => {
    const tripped = hall(
      reading({ with: 'meter', impedance: 'low', from: at, to: ground }, { is: 'tripped' }),
    );
    expect(said(tripped)).toEqual([]);
  });
});
