import { EMPTY_RECORD, type JobRecord } from '../model/record';
import { deviceKind, powerParts, wishKind, type DeviceKind } from '../devices';
import { circuitLoad, type CircuitLoad } from '../load/load';
import { inSpineOrder } from '../layout/canonical';
import { consumers } from '../layout/nets';
import { inBox } from '../model/in-box';
import type { Box, Circuit, Device, Design, PowerWant, Room, RoomKind } from '../model/design';
import type { Wiring } from '../model/wiring';
import type { Disturbance } from '../network/disturbance';
import { partKey, type PartKey } from '../model/wiring';
import type { Finding, Proof } from '../proof/proof';
import { prove } from '../proof/prove';
import type { At } from './rule';

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
  private readonly boxes: ReadonlyMap<string, Box>;
  private readonly devicesById: ReadonlyMap<string, Device>;

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
    this.boxes = new Map(job.boxes.map((box) => [box.id, box]));
    this.devicesById = new Map(job.devices.map((device) => [device.id, device]));
    this.users = consumers(job).map(({ device, part, want }) => ({
      key: partKey(device.id, part),
      device,
      part,
      want,
      plug: powerParts(wishKind(device.kind)).some(({ id, plug }) => id === part && plug),
    }));
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
    return this.boxes.get(id);
  }

  device(id: string): Device | undefined {
    return this.devicesById.get(id);
  }

  /** True for a device that was there before the job and is not replaced, and for a box that holds nothing else. */
  stands({ kind, id }: At): boolean {
    const old = ({ was, replaces }: Device) => was && !replaces;
    if (kind === 'device') {
      const device = this.device(id);
      return device !== undefined && old(device);
    }
    if (kind !== 'box' || !this.box(id)?.existing) return false;
    const held = this.job.devices.filter(({ box }) => box === id);
    return held.length > 0 && held.every(old);
  }

  /** True for the second of two circuits that share a neutral: what is said of both is said at the first. */
  isSecond({ id, multiwireWith }: Circuit): boolean {
    const order = this.job.circuits.map((one) => one.id);
    return multiwireWith !== null && order.indexOf(multiwireWith) < order.indexOf(id);
  }

  circuit(id: string): Circuit | undefined {
    return this.job.circuits.find((one) => one.id === id);
  }

  room(box: Box | undefined): Room | undefined {
    const id = box?.spot?.room ?? box?.room;
    return this.job.rooms.find((room) => room.id === id);
  }

  roomKind(box: Box | undefined): RoomKind {
    return this.room(box)?.kind ?? 'other';
  }

  /** Receptacles: devices that take a plug. */
  get receptacles(): Device[] {
    return this.job.devices.filter(({ kind }) => wishKind(kind).receptacle);
  }

  usersIn(room: string): User[] {
    return this.users.filter(({ device }) => this.room(this.box(device.box))?.id === room);
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

  usersOf(device: string): User[] {
    return this.users.filter((user) => user.device.id === device);
  }

  load(circuit: Circuit): CircuitLoad {
    return circuitLoad(this.job, circuit);
  }

  contents(box: string) {
    return inBox(this.wiring, box);
  }

  wiredKind(device: string): DeviceKind | undefined {
    const wired = this.wiring.devices.find(({ id }) => id === device);
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
  controlled(group: string): User[] {
    return this.users.filter(({ want }) => want.control === group);
  }

  handles(): { device: Device; group: string }[] {
    return this.job.devices.flatMap((device) =>
      Object.values(device.wants).flatMap((want) =>
        want.does === 'control' ? [{ device, group: want.group }] : [],
      ),
    );
  }
}

/** A site for a compiled plan. */
export const siteOf = (
  plan: { readonly job: Design; readonly wiring: Wiring },
  proof: Proof | null = null,
): Site => new Site(plan.job, plan.wiring, [], proof);
