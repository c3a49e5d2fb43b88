import { deviceKind, wishKind } from '../../trade/devices';
import { groupBy } from '../../base/group-by';
import { cableTypeName, placeName } from '../../job/model/called';
import type { Design, Device } from '../../job/model/design';
import { partKey, type PartKey, type WiredCable, type Wiring } from '../../job/model/wiring';
import type { FindingAt } from './proof';
import { say } from '../../base/words/proof';

/** What things of a job are called in a finding: as their user named them, never by id. */
export class Names {
  private readonly parts = new Map<PartKey, { readonly at: FindingAt; readonly says: string }>();
  /** Each device in its box: its kind, and its gang where another there is of the same kind. */
  private readonly kinds: ReadonlyMap<string, string>;

  constructor(
    private readonly job: Design,
    wiring: Wiring,
  ) {
    // A switch is what its place among the others makes it.
    const wired = new Map(wiring.devices.map(({ id, kind }) => [id, kind]));
    const kindOf = ({ id, kind }: Device) => {
      const own = wired.get(id);
      return own === undefined ? wishKind(kind) : deviceKind(own);
    };
    const inBox = groupBy(job.devices, ({ box }) => [box]);
    const alike = (device: Device) =>
      (inBox.get(device.box) ?? []).filter((one) => kindOf(one).name === kindOf(device).name).length > 1;
    const gangs = new Map(wiring.devices.map(({ id, gang }) => [id, gang]));
    this.kinds = new Map(
      job.devices.map((device) => [
        device.id,
        alike(device)
          ? say('names.gang', {
              named: kindOf(device).name,
              gang: (gangs.get(device.id) ?? device.gang) + 1,
            })
          : kindOf(device).name,
      ]),
    );
    for (const device of job.devices) {
      const { id, box, wants } = device;
      const named = kindOf(device);
      for (const part of Object.keys(wants)) {
        const name = named.parts.find((one) => one.id === part)?.name ?? part;
        const crowded = (inBox.get(box) ?? []).length > 1 && (name !== named.name || alike(device));
        const of = crowded ? say('names.ofThe', { named: this.kinds.get(id) ?? named.name }) : '';
        this.parts.set(partKey(id, part), {
          at: { kind: 'part', device: id, part },
          says: `${placeName(job, box)}, ${name}${of}`,
        });
      }
    }
  }

  part = (key: PartKey): string => this.parts.get(key)?.says ?? say('names.unknownPart');
  partAt = (key: PartKey): FindingAt => this.parts.get(key)?.at ?? { kind: 'device', device: key };
  box = (id: string): string => placeName(this.job, id);
  circuit = (id: string): string =>
    this.job.circuits.find((one) => one.id === id)?.number ?? say('names.notKnown');
  cable = ({ type, cord, from, to }: Pick<WiredCable, 'type' | 'cord' | 'from' | 'to'>): string =>
    say('names.cable', { type: cableTypeName({ type, cord }), from: this.box(from), to: this.box(to) });

  device(id: string): string {
    const device = this.job.devices.find((one) => one.id === id);
    if (!device) return 'device';
    return say('names.at', {
      wishKind: this.kinds.get(id) ?? wishKind(device.kind).name,
      box: this.box(device.box),
    });
  }
}
