import { say, tell } from '../../base/words/layout';
import { placeName } from '../../job/model/called';
import type { Design } from '../../job/model/design';
import { type NetId, terminalId } from '../../job/model/keys';
import { wishKind, type DeviceKind } from '../../trade/devices';
import { groupPurpose, constantPurpose, type NetList } from './nets';
import type { Purpose } from './purposes';
import type { Refusal } from './refusal';

/** Terminals that serve two parts: a fan's one neutral lead. Both must be reached by the same way. */
export function sharedTerminals(job: Design) {
  return job.devices.flatMap(({ id, box, kind, wants }) => {
    const own = Object.entries(wants);
    if (own.length < 2) return [];
    const purposes = new Map<string, Set<NetId>>();
    for (const [part, want] of own) {
      const purpose =
        want.does === 'control'
          ? groupPurpose(want.group)
          : want.control === null
            ? constantPurpose(want)
            : groupPurpose(want.control);
      for (const terminal of terminalsOfPart(wishKind(kind), part))
        purposes.set(terminal, (purposes.get(terminal) ?? new Set()).add(purpose));
    }
    return [...purposes].flatMap(([terminal, all]) =>
      all.size < 2 ? [] : [...all].map((purpose) => ({ name: terminalId(id, terminal), purpose, box })),
    );
  });
}

/** The terminals of a device that one of its parts needs. */
const terminalsOfPart = ({ parts }: DeviceKind, part: string): readonly string[] =>
  parts.flatMap((one) =>
    one.id !== part
      ? []
      : one.does === 'power'
        ? [one.hot, one.neutral]
        : [...one.feedSide, ...one.loadSide, ...(one.neutral === undefined ? [] : [one.neutral])],
  );
export function conflictRefusal(
  job: Design,
  { device: id, terminal }: NetList['conflicts'][number],
): Refusal {
  const device = job.devices.find((one) => one.id === id);
  const kind = device && wishKind(device.kind);
  const screw = kind?.terminals.find((one) => one.id === terminal)?.name ?? say('layout.terminal');
  return {
    code: 'two circuits',
    ...tell('layout.oneScrewForTwo', {
      kind: kind?.name ?? say('layout.device'),
      device: device ? placeName(job, device.box) : say('layout.box'),
      screw,
    }),
    at: [...(device ? [{ kind: 'box' as const, id: device.box }] : []), { kind: 'device', id }],
    ways: [say('layout.oneCircuit.way')],
  };
}

export function searchLimit(purposes: readonly Purpose[]): Refusal {
  const groups = purposes.flatMap(({ group }) => (group && group.places.length > 1 ? [group.group] : []));
  return {
    code: 'search limit',
    ...tell('layout.tooManyWays', { groups: groups.map(({ name }) => `"${name}"`).join(', ') }),
    at: groups.map(({ id }) => ({ kind: 'group', id })),
    ways: [say('layout.ownRun')],
  };
}
