import { EMPTY_RECORD, type JobRecord } from '../../job/model/record';
import { deviceKind, powerParts, wishKind, type DeviceKind } from '../../trade/devices';
import { circuitLoad, type CircuitLoad } from '../../power/load/load';
import { inSpineOrder } from '../../wiring/layout/canonical';
import { consumers } from '../../wiring/layout/nets';
import { inBox } from '../../job/model/in-box';
import { byId } from '../../base/by-id';
import { groupBy } from '../../base/group-by';
import { roomOf } from '../../job/model/room-of';
import type { Box, Circuit, Device, Design, PowerWant, Room, RoomKind } from '../../job/model/design';
import type { Wiring } from '../../job/model/wiring';
import type { Disturbance } from '../../power/network/disturbance';
import { partKey, type PartKey } from '../../job/model/wiring';
import type { Finding, Proof } from '../../power/proof/proof';
import { prove } from '../../power/proof/prove';
import type { At } from './at';

/** One outlet half, light or other user of power, with its device. */
export interface User {
  readonly key: PartKey;
  readonly device: Device;
  readonly part: string;
  readonly want: PowerWant;
  readonly plug: boolean;
}

/** A job with its wiring, as rules look at it; what is costly is worked out when first asked for. */
export class Site {
  readonly users: readonly User[];
  private known: Proof | null = null;
  private readonly loads = new Map<string, CircuitLoad>();
  private readonly index: Index;

  /** The job in the order of the spine, so that what is called first does not hang on ids or on the file. */
  readonly job: Design;
  /** What was asked and found, for the few rules that look at it. */
  readonly record: JobRecord = EMPTY_RECORD;

  constructor(
    job: Design,
    readonly wiring: Wiring,
    private readonly disturbances: readonly Disturbance[] = [],
    proof: Proof | null = null,
  ) {
    this.known = proof;
    this.job = inSpineOrder(job);
    this.users = consumers(job).map(({ device, part, want }) => ({
      key: partKey(device.id, part),
      device,
      part,
      want,
      plug: powerParts(wishKind(device.kind)).some(({ id, plug }) => id === part && plug),
    }));
    this.index = indexOf(this.job, wiring, this.users);
  }

  /** The same site beside what was asked and found. */
  withRecord(record: JobRecord): Site {
    return Object.assign(Object.create(Site.prototype) as Site, this, { record });
  }

  get edition() {
    return this.job.edition;
  }

  get proof(): Proof {
    this.known ??= prove(this.job, this.wiring, this.disturbances);
    return this.known;
  }

  findings(...kinds: readonly Finding['kind'][]): Finding[] {
    return this.proof.findings.filter(({ kind }) => kinds.includes(kind));
  }

  box(id: string): Box | undefined {
    return this.index.boxes.get(id);
  }

  device(id: string): Device | undefined {
    return this.index.devices.get(id);
  }

  /** True for a device that was there before the job and is not replaced, and for a box that holds nothing else. */
  stands({ kind, id }: At): boolean {
    const old = ({ was, replaces }: Device) => was && !replaces;
    if (kind === 'device') {
      const device = this.device(id);
      return device !== undefined && old(device);
    }
    if (kind !== 'box' || !this.box(id)?.existing) return false;
    const held = this.index.devicesIn.get(id) ?? [];
    return held.length > 0 && held.every(old);
  }

  /** True for the second of two circuits that share a neutral: what is said of both is said at the first. */
  isSecond({ id, multiwireWith }: Circuit): boolean {
    const order = (one: string) => this.index.orderOfCircuit.get(one) ?? -1;
    return multiwireWith !== null && order(multiwireWith) < order(id);
  }

  circuit(id: string): Circuit | undefined {
    return this.index.circuits.get(id);
  }

  room(box: Box | undefined): Room | undefined {
    const id = roomOf(box);
    return id === null ? undefined : this.index.rooms.get(id);
  }

  roomKind(box: Box | undefined): RoomKind {
    return this.room(box)?.kind ?? 'other';
  }

  /** Receptacles: devices that take a plug. */
  get receptacles(): Device[] {
    return this.job.devices.filter(({ kind }) => wishKind(kind).receptacle);
  }

  usersIn(room: string): readonly User[] {
    return this.index.usersIn.get(room) ?? [];
  }

  /** True where a receptacle in the room is on whatever the switches do. */
  alwaysOnIn(room: string): boolean {
    return this.usersIn(room).some(
      ({ device, want }) => wishKind(device.kind).receptacle && want.control === null,
    );
  }

  /** A room of new boxes on new circuits; where any of it was there, what stands beside it may not be in the job. */
  isNew(room: string): boolean {
    const own = this.usersIn(room);
    return (
      own.length > 0 &&
      own.every(
        ({ device, want }) => !this.box(device.box)?.existing && this.circuit(want.circuit)?.fresh === true,
      )
    );
  }

  usersOf(device: string): readonly User[] {
    return this.index.usersOf.get(device) ?? [];
  }

  /** Parts that a circuit feeds. */
  usersOn(circuit: string): readonly User[] {
    return this.index.usersOn.get(circuit) ?? [];
  }

  load(circuit: Circuit): CircuitLoad {
    const known = this.loads.get(circuit.id) ?? circuitLoad(this.job, circuit);
    this.loads.set(circuit.id, known);
    return known;
  }

  contents(box: string) {
    return inBox(this.wiring, box);
  }

  wiredKind(device: string): DeviceKind | undefined {
    const wired = this.index.wired.get(device);
    return wired && deviceKind(wired.kind);
  }

  /** Parts that die when some GFCI, or some AFCI, opens: by device, or by the breaker. */
  protectedBy(kinds: readonly ('gfci' | 'afci' | 'dual')[]): Set<PartKey> {
    const covered = new Set<PartKey>();
    for (const [device, parts] of this.proof.coverage) {
      const kind = this.device(device)?.kind;
      const protects = kind && wishKind(kind).protection?.kind;
      if (protects && kinds.includes(protects)) parts.forEach((part) => covered.add(part));
    }
    for (const { key, want, device } of this.users) {
      const breaker = this.circuit(want.circuit)?.protection ?? 'none';
      if (breaker !== 'none' && kinds.includes(breaker)) covered.add(key);
      // Its own face is behind its contacts, whether a switch feeds it or not.
      const own = wishKind(device.kind).protection?.kind;
      if (own && kinds.includes(own) && wishKind(device.kind).receptacle) covered.add(key);
    }
    return covered;
  }

  /** The group's handles and what they control. */
  controlled(group: string): readonly User[] {
    return this.index.controlled.get(group) ?? [];
  }

  /** The devices that control a group. */
  handlesOf(group: string): readonly Device[] {
    return this.index.handlesOf.get(group) ?? [];
  }

  /** Every part that is the handle of a group. */
  handles(): readonly { readonly device: Device; readonly group: string }[] {
    return this.index.handles;
  }
}

/** What rules look up, so that a rule takes as long as what it looks at, and no longer. */
type Index = ReturnType<typeof indexOf>;

function indexOf(job: Design, wiring: Wiring, users: readonly User[]) {
  const some = (id: string | null) => (id === null ? [] : [id]);
  const boxes = byId(job.boxes);
  const handles = job.devices.flatMap((device) =>
    Object.values(device.wants).flatMap((want) =>
      want.does === 'control' ? [{ device, group: want.group }] : [],
    ),
  );
  return {
    boxes,
    devices: byId(job.devices),
    circuits: byId(job.circuits),
    rooms: byId(job.rooms),
    wired: byId(wiring.devices),
    orderOfCircuit: new Map(job.circuits.map(({ id }, at) => [id, at])),
    devicesIn: groupBy(job.devices, ({ box }) => [box]),
    usersOf: groupBy(users, ({ device }) => [device.id]),
    usersOn: groupBy(users, ({ want }) => [want.circuit]),
    usersIn: groupBy(users, ({ device }) => some(roomOf(boxes.get(device.box)))),
    controlled: groupBy(users, ({ want }) => some(want.control)),
    handles,
    handlesOf: new Map(
      [...groupBy(handles, ({ group }) => [group])].map(([group, own]) => [
        group,
        own.map(({ device }) => device),
      ]),
    ),
  };
}

/** A site for a compiled plan. */
export const siteOf = (
  plan: { readonly job: Design; readonly wiring: Wiring },
  proof: Proof | null = null,
): Site => new Site(plan.job, plan.wiring, [], proof);
