import { withAllOff, withRelanded } from '../network/disturbance';
import { say } from '../../base/words/faults';
import { rewired, type FaultRow } from './fault';
import { atDevices, swap } from './at-devices';

/** LINE and LOAD of a protecting device mistaken for one another, or one used for the other. */
export const LINE_LOAD_FAULTS: readonly FaultRow[] = [
  {
    id: 'F13',
    name: say('f13.name'),
    shows: say('f13.shows'),
    hides: '',
    fix: say('f13.fix'),
    weight: 5,
    where: (wired) =>
      atDevices(wired, (device) => {
        const { protection } = device.kind;
        if (!protection) return [];
        const { line, load } = protection;
        const screws = [line.hot, load.hot, line.neutral, load.neutral];
        return [
          // It ships tripped and does not reset without line power, so it joins nothing and its face is dead.
          {
            key: 'current',
            terminals: screws,
            put: rewired((wiring) => withAllOff(wiring, device.wired.id, screws)),
          },
          // Of an older one the face is fed from LOAD, whatever the contacts do.
          {
            key: 'older',
            terminals: screws,
            put: swap(device, [line.hot, load.hot], [line.neutral, load.neutral]),
          },
        ];
      }),
  },
  {
    id: 'F21',
    name: say('f21.name'),
    shows: say('f21.shows'),
    hides: say('f21.hides'),
    fix: say('f21.fix'),
    weight: 5,
    where: (wired) =>
      atDevices(wired, (device) => {
        const { protection } = device.kind;
        if (!protection || !device.used(protection.load.hot)) return [];
        const { line, load } = protection;
        return [
          {
            terminals: [load.hot, load.neutral],
            put: rewired((wiring) =>
              withRelanded(
                withRelanded(wiring, device.terminal(load.hot), device.terminal(line.hot)),
                device.terminal(load.neutral),
                device.terminal(line.neutral),
              ),
            ),
          },
        ];
      }),
  },
];
