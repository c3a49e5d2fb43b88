import { describe, expect, test } from '@jest/globals';
import { applyPatches } from 'immer';
import { demoJob, demoRecord } from '../../handover/jobs/demo-house';
import type { Design } from '../model/design';
import { planJob } from '../../wiring/plan';
import { applyCommand, Command, freshId, note, type DesignCommand, type RecordCommand } from './command';
import type { JobRecord } from '../model/record';

const sunroom = demoJob('sunroom-plant-shelf')!;
const run = (job: Design, command: DesignCommand) => {
  const done = applyCommand(job, command);
  if (!done.ok) throw new Error(done.problems.map(({ message }) => message).join());
  return done.value;
};

test('a change of one field, read from outside, leaves the others alone', () => {
  const read = (command: unknown) => Command.parse(command) as DesignCommand;
  const first = run(sunroom, read({ do: 'set run', run: 'feed', change: { lengthFt: 40 } })).job;
  expect(first.runs[0]).toMatchObject({ lengthFt: 40, existing: '12-2' });
  const habits = run(first, read({ do: 'set habits', habits: { connectors: 'twist-on' } })).job;
  const both = run(habits, read({ do: 'set habits', habits: { lineScrew: 'upper' } })).job;
  expect(both.habits).toMatchObject({ connectors: 'twist-on', lineScrew: 'upper' });
  expect(() => read({ do: 'set box', box: 'plant-shelf', change: { colour: 'red' } })).toThrow();
});

describe('commands', () => {
  test('each gives a changed job, and an inverse that leads back exactly', () => {
    const commands: DesignCommand[] = [
      { do: 'rename job', name: 'Shelf' },
      { do: 'set edition', edition: '2023' },
      { do: 'set habits', habits: { connectors: 'twist-on' } },
      { do: 'set circuit', circuit: 'c14', change: { existingLoadVA: 100 } },
      { do: 'move feed', run: 'feed', box: 'plant-shelf' },
      { do: 'set box', box: 'plant-shelf', change: { volumeIn3: 18 } },
      { do: 'set run', run: 'shelf-run', change: { existing: '12-2' } },
      { do: 'set control', device: 'shelf-outlet', part: 'upper', control: 'shelf' },
      { do: 'set load', device: 'shelf-outlet', part: 'upper', watts: 90, continuous: false },
      { do: 'set rating', device: 'shelf-outlet', ratingA: 20 },
      {
        do: 'add box',
        from: 'plant-shelf',
        name: 'Far wall',
        holds: 'outlet',
        circuit: 'c14',
        group: null,
        lengthFt: 9,
      },
      { do: 'add device', box: 'garden-door', holds: 'outlet', circuit: 'c14', group: null },
      { do: 'set want', device: 'shelf-outlet', part: 'lower', change: { control: null } },
      { do: 'set kind', device: 'shelf-outlet', kind: 'gfci' },
      { do: 'move device', device: 'shelf-outlet', box: 'garden-door' },
      { do: 'split run', run: 'shelf-run', name: 'Halfway' },
      { do: 'free the pair', device: 'door-switch' },
      { do: 'set habits', habits: { switchedHalf: 'top' } },
      { do: 'set circuit', circuit: 'c14', change: { protection: 'dual', serves: 'laundry', fresh: true } },
      { do: 'set box', box: 'plant-shelf', change: { reach: 'ceiling', exposure: 'damp', waterFt: 4 } },
      {
        do: 'set run',
        run: 'shelf-run',
        change: { rough: { ...sunroom.runs[1]!.rough, supportFt: 4, plate: true } },
      },
      { do: 'set device', device: 'shelf-outlet', change: { marks: [], replaces: true } },
      { do: 'set use', device: 'shelf-outlet', part: 'upper', change: { fixed: true, motor: true } },
      { do: 'set amendment', rule: 'P03', reason: 'Not adopted here, permit 7' },
      { do: 'remove run', run: 'shelf-run' },
      { do: 'remove device', device: 'door-switch' },
      { do: 'remove box', box: 'garden-door' },
    ];
    for (const command of commands) {
      const { job, inverse, label } = run(sunroom, command);
      expect(job).not.toEqual(sunroom);
      expect(label).not.toBe('');
      expect(applyPatches(job, [...inverse])).toEqual(sunroom);
      const outcome = planJob(job);
      // Planned with something wired, or refused with a reason that can be read.
      if (outcome.ok) expect(outcome.plan.wiring.devices).toHaveLength(job.devices.length);
      else
        expect(outcome.refusals.every(({ message, ways }) => message.length > 10 && ways.length > 0)).toBe(
          true,
        );
    }
  });

  test('the habit of the switched half turns every half-switched duplex of the job', () => {
    const { job } = run(sunroom, { do: 'set habits', habits: { switchedHalf: 'top' } });
    expect(job.devices[1]!.wants).toMatchObject({ upper: { control: 'shelf' }, lower: { control: null } });
  });

  test('gangs change places; a device moved to a full box makes it larger', () => {
    const two = run(sunroom, { do: 'move device', device: 'shelf-outlet', box: 'garden-door' }).job;
    expect(two.boxes[0]).toMatchObject({ gangs: 2 });
    const turned = run(two, { do: 'move gang', device: 'shelf-outlet', toward: 'left' }).job;
    expect(turned.devices.map(({ gang }) => gang)).toEqual([1, 0]);
  });

  test('moving the feed changes the cable names but not the number of conductors', () => {
    const { job } = run(sunroom, { do: 'move feed', run: 'feed', box: 'plant-shelf' });
    const outcome = planJob(job);
    expect(outcome.ok && outcome.plan.wiring.cables.map(({ type, to }) => `${type} ${to}`)).toEqual([
      '12-2 plant-shelf',
      '12-3 plant-shelf',
    ]);
  });

  test('taking out the last switch of a group leaves what it controlled always on', () => {
    const { job } = run(sunroom, { do: 'remove device', device: 'door-switch' });
    expect(job.groups).toEqual([]);
    expect(job.devices[0]!.wants['lower']).toMatchObject({ control: null });
  });

  test('taking out the fed box feeds the next one from the panel', () => {
    const { job } = run(sunroom, { do: 'remove box', box: 'garden-door' });
    expect(job.runs).toEqual([
      expect.objectContaining({ from: 'panel', to: 'plant-shelf', circuits: ['c14'] }),
    ]);
  });

  test('a second device makes a one-gang box two-gang', () => {
    const { job } = run(sunroom, {
      do: 'add device',
      box: 'garden-door',
      holds: 'outlet',
      circuit: 'c14',
      group: null,
    });
    expect(job.boxes[0]).toMatchObject({ gangs: 2, volumeIn3: 32 });
  });

  test('what cannot be is said, and nothing changes', () => {
    const shrink = applyCommand(
      run(sunroom, { do: 'add device', box: 'garden-door', holds: 'outlet', circuit: 'c14', group: null })
        .job,
      { do: 'set box', box: 'garden-door', change: { gangs: 1 } },
    );
    expect(shrink).toMatchObject({ ok: false, problems: [{ path: 'design.devices[2].gang' }] });
    expect(applyCommand(sunroom, { do: 'remove box', box: 'nowhere' })).toMatchObject({ ok: false });
    expect(applyCommand(sunroom, { do: 'set box', box: 'plant-shelf', change: { volumeIn3: -4 } }).ok).toBe(
      false,
    );
  });
});

test('fresh ids are readable, unique and never the panel', () => {
  expect(freshId([], 'Garden door')).toBe('garden-door');
  expect(freshId([{ id: 'garden-door' }], 'Garden door')).toBe('garden-door-2');
  expect(freshId([], 'Panel')).toBe('panel-2');
  expect(freshId([], '<b>¿?</b>')).toBe('b-b');
  expect(freshId([], '—')).toBe('item');
});

describe('circuits that name each other', () => {
  const den = demoJob('den-media-wall')!;
  const tie = (job: Design, circuit: string, tiedWith: string | null) =>
    run(job, { do: 'set circuit', circuit, change: { tiedWith } }).job.circuits.map((one) => one.tiedWith);
  test('a tie is taken off and put on at both ends', () => {
    expect(tie(den, 'c16', null)).toEqual([null, null]);
    const loose = run(den, { do: 'set circuit', circuit: 'c16', change: { tiedWith: null } }).job;
    expect(tie(loose, 'c18', 'c16')).toEqual(['c18', 'c16']);
  });
  test('a circuit cannot be tied to itself', () => {
    const done = applyCommand(den, { do: 'set circuit', circuit: 'c16', change: { tiedWith: 'c16' } });
    expect(done.ok).toBe(false);
  });
});

describe('what was found', () => {
  const hall = demoRecord('hall-console');
  const setup = { breakers: 'all off', apart: 'as found', switches: 'as they are', loadsOut: false } as const;
  const probe = {
    with: 'continuity',
    from: { on: 'conductor', cable: 'lower', insulation: 'white' },
    to: { on: 'ground', box: 'hall-found' },
  } as const;
  const noted = (record: JobRecord, command: RecordCommand): JobRecord => {
    const done = note(record, command);
    if (!done.ok) throw new Error(done.problems.map(({ message }) => message).join());
    return done.value.record;
  };
  const take = (record: JobRecord, ohms: number | null) =>
    noted(record, {
      do: 'add reading',
      survey: 'hall',
      reading: { setup, probe, value: { is: 'ohms', ohms } },
    });
  test('a reading is added, taken again, taken off', () => {
    const once = take(hall, 0.3);
    expect(once.surveys[0]!.readings).toMatchObject([{ times: 1, value: { ohms: 0.3 } }]);
    expect(take(once, 0.5).surveys[0]!.readings).toMatchObject([{ times: 2 }]);
    expect(take(once, null).surveys[0]!.readings).toMatchObject([{ times: 1, value: { ohms: null } }]);
    const { id } = once.surveys[0]!.readings[0]!;
    expect(noted(once, { do: 'remove reading', survey: 'hall', reading: id }).surveys[0]!.readings).toEqual(
      [],
    );
  });
  test('one thing seen changes that thing, and voids readings of what was seen before', () => {
    const read = take(hall, 0.3);
    const taped = noted(read, {
      do: 'note seen',
      survey: 'hall',
      change: {
        what: 'tape',
        box: 'hall-found',
        end: { cable: 'lower', insulation: 'white' },
        taped: true,
      },
    });
    const ends = (record: JobRecord) => record.surveys[0]!.boxes[0]!.ends;
    expect(ends(taped).filter((end, index) => end.taped !== ends(hall)[index]!.taped)).toHaveLength(1);
    expect(taped.surveys[0]!.readings).toEqual([]);
  });
  test('what names a thing that is not there changes nothing and says where', () => {
    const gone = note(hall, {
      do: 'note seen',
      survey: 'hall',
      change: { what: 'target', box: 'elsewhere' },
    });
    expect(gone.ok ? [] : gone.problems.map(({ path }) => path)).toEqual(['record.surveys[0].target']);
    expect(note(hall, { do: 'remove survey', survey: 'nowhere' }).ok).toBe(false);
    expect(noted(hall, { do: 'remove survey', survey: 'hall' }).surveys).toEqual([]);
  });
});

describe('rules set aside', () => {
  test('one reason a rule; taken up again it is gone', () => {
    const aside = run(sunroom, {
      do: 'set amendment',
      rule: 'R01',
      reason: 'Old walls, inspector agrees',
    }).job;
    const again = run(aside, { do: 'set amendment', rule: 'R01', reason: 'Old walls, letter of May' }).job;
    expect(again.amendments).toEqual([{ rule: 'R01', reason: 'Old walls, letter of May' }]);
    expect(run(again, { do: 'set amendment', rule: 'R01', reason: null }).job.amendments).toEqual([]);
  });
  test('without a reason it is not', () => {
    expect(() => Command.parse({ do: 'set amendment', rule: 'R01', reason: ' ' })).toThrow();
  });
});
