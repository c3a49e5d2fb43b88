import fc from 'fast-check';
import type { DesignCommand } from '../job/commands/command';
import { WISH_KINDS } from '../trade/devices';
import type { Design } from '../job/model/design';

/** Names things of the job by number, so that most draws name something that is there, and some do not. */
const namesOf = (job: Design) => ({
  box: [...job.boxes.map(({ id }) => id), 'nowhere'],
  run: [...job.runs.map(({ id }) => id), 'no-run'],
  device: [...job.devices.map(({ id }) => id), 'no-device'],
  circuit: [...job.circuits.map(({ id }) => id), 'no-circuit'],
  group: [...job.groups.map(({ id }) => id), 'no-group'],
});
export type Draw = (job: Design, pick: <T>(list: readonly T[], of: number) => T) => DesignCommand;
const n = fc.nat({ max: 40 });
/** A command on whatever job, many of them senseless. */
export const drawn: fc.Arbitrary<Draw> = fc
  .tuple(n, n, n, fc.boolean(), fc.constantFrom(...WISH_KINDS), fc.integer({ min: 0, max: 28 }))
  .map(([a, b, c, flag, kind, which]): Draw => (job, pick) => {
    const names = namesOf(job);
    const [box, run, device, circuit, group] = [
      pick(names.box, a),
      pick(names.run, b),
      pick(names.device, c),
      pick(names.circuit, a),
      pick(names.group, b),
    ];
    const part = pick(['upper', 'lower', 'outlet', 'lamp', 'handle', 'fan', 'light'], b);
    const other = flag ? null : pick(names.group, c);
    const all: DesignCommand[] = [
      { do: 'set edition', edition: flag ? '2017' : '2023' },
      { do: 'set habits', habits: { switchedHalf: flag ? 'top' : 'bottom', midRun: 'feed-through' } },
      { do: 'set circuit', circuit, change: { protection: flag ? 'gfci' : 'none', breakerA: 20 } },
      { do: 'set circuit', circuit, change: { multiwireWith: flag ? null : pick(names.circuit, b) } },
      { do: 'set circuit', circuit, change: { tiedWith: flag ? null : pick(names.circuit, c) } },
      { do: 'move feed', run, box },
      { do: 'set box', box, change: { gangs: (b % 4) + 1, closed: flag } },
      { do: 'set run', run, change: { existing: flag ? '14-2' : null, lengthFt: b + 1 } },
      { do: 'set control', device, part, control: other },
      { do: 'set load', device, part, watts: a * 40, continuous: flag },
      { do: 'set want', device, part, change: { via: flag ? pick(names.device, a) : null, circuit } },
      { do: 'set group', device, part, group },
      { do: 'set kind', device, kind },
      { do: 'move device', device, box },
      { do: 'move gang', device, toward: flag ? 'left' : 'right' },
      { do: 'add run', from: box, to: pick(names.box, c), lengthFt: 10 },
      { do: 'remove run', run },
      { do: 'split run', run, name: 'Halfway' },
      { do: 'free the pair', device },
      { do: 'set device', device, change: { was: flag, replaces: !flag } },
      { do: 'set rating', device, ratingA: flag ? 15 : 20 },
      {
        do: 'add box',
        from: box,
        name: 'More',
        holds: flag ? 'outlet' : 'switch',
        circuit,
        group: other,
        lengthFt: 6,
      },
      { do: 'add device', box, holds: flag ? 'light' : 'outlet', circuit, group: other },
      { do: 'remove device', device },
      { do: 'remove circuit', circuit, into: pick(names.circuit, c) },
      { do: 'feed beyond', device, from: flag ? 'LOAD' : 'LINE' },
      { do: 'lead run', run, end: flag ? 'from' : 'to', box },
      { do: 'set run circuits', run, circuits: flag ? null : [circuit] },
      { do: 'remove box', box },
    ];
    return pick(all, which);
  });
/** One of a list by number. */
export const pick = <T>(list: readonly T[], of: number): T => list[of % list.length]!;
