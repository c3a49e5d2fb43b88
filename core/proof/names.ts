import { deviceKind, wishKind, type WiredKind } from '../devices';
import { placeName } from '../layout/names';
import type { Design } from '../model/design';
import { partKey, type PartKey, type WiredCable, type Wiring } from '../model/wiring';
import type { FindingAt } from './proof';
import { say } from '../words/proof';

/** What things of a job are called in a finding: as their user named them, never by id. */
export class Names {
  private readonly parts = new Map<PartKey, { readonly at: FindingAt; readonly says: string }>();
  /** A switch is what its place among the others makes it. */
  private readonly wired: ReadonlyMap<string, WiredKind>;

  constructor(
    private readonly job: Design,
    wiring: Wiring,
  ) {
    const wired = new Map(wiring.devices.map(({ id, kind }) => [id, kind]));
    this.wired = wired;
    const crowded = new Map<string, number>();
    for (const { box } of job.devices) crowded.set(box, (crowded.get(box) ?? 0) + 1);
    for (const { id, box, kind, wants } of job.devices) {
      const own = wired.get(id);
      const named = own === undefined ? wishKind(kind) : deviceKind(own);
      for (const part of Object.keys(wants)) {
        const name = named.parts.find((one) => one.id === part)?.name ?? part;
        const of =
          (crowded.get(box) ?? 0) > 1 && name !== named.name ? say('names.ofThe', { named: named.name }) : '';
        this.parts.set(partKey(id, part), {
          at: { kind: 'part', device: id, part },
          says: `${placeName(job, box)}, ${name}${of}`,
        });
      }
    }
  }

  part = (key: PartKey): string => this.parts.get(key)?.says ?? say('names.partJobDoesNotKnow');
  partAt = (key: PartKey): FindingAt => this.parts.get(key)?.at ?? { kind: 'device', device: key };
  box = (id: string): string => placeName(this.job, id);
  circuit = (id: string): string =>
    this.job.circuits.find((one) => one.id === id)?.number ?? say('names.notKnown');
  cable = ({ type, from, to }: Pick<WiredCable, 'type' | 'from' | 'to'>): string =>
    say('names.from', { type, box: this.box(from), box2: this.box(to) });

  device(id: string): string {
    const device = this.job.devices.find((one) => one.id === id);
    if (!device) return 'device';
    const own = this.wired.get(id);
    const named = own === undefined ? wishKind(device.kind) : deviceKind(own);
    return say('names.at', { wishKind: named.name, box: this.box(device.box) });
  }
}
