import type { Circuit, Design } from '../../job/model/design';
import type { Wiring } from '../../job/model/wiring';
import { buildNetwork, type Network } from '../network/network';
import type { Disturbance } from '../network/disturbance';
import type { State } from '../energize/state';

/** What a plan comes to: enough to put faults into. */
export interface Wired {
  readonly job: Design;
  readonly wiring: Wiring;
}

/** A house as it was really wired: the plan, with whatever is wrong with it. */
export interface House {
  readonly wiring: Wiring;
  readonly circuits: readonly Circuit[];
  readonly disturbances: readonly Disturbance[];
  /** What a fault has left open or tripped, whatever is switched since. */
  readonly openBreakers: readonly string[];
  readonly tripped: readonly string[];
}

export const soundHouse = ({ job, wiring }: Wired): House => ({
  wiring,
  circuits: job.circuits,
  disturbances: [],
  openBreakers: [],
  tripped: [],
});

export const networkOf = ({ wiring, circuits, disturbances }: House): Network =>
  buildNetwork(wiring, circuits, disturbances);

/** A state of switches, plugs and breakers in a house where some are open whatever is done. */
export const stateIn = (house: House, state: State): State =>
  house.openBreakers.length === 0 && house.tripped.length === 0
    ? state
    : {
        ...state,
        openBreakers: new Set([...state.openBreakers, ...house.openBreakers]),
        tripped: new Set([...state.tripped, ...house.tripped]),
      };

/** The mistakes of the trade, by number. */
export const FAULT_IDS = [
  'F01', 'F02', 'F03', 'F04', 'F05', 'F06', 'F07', 'F08', 'F09', 'F10', 'F11', 'F12', 'F13', 'F14', 'F15', 'F16', 'F17',
  'F18', 'F19', 'F20', 'F21', 'F22', 'F23', 'F24', 'F25', 'F26', 'F27', 'F28', 'F29', 'F30', 'F31', 'F32', 'F33', 'F34',
  'F35', 'F36',
] as const; // prettier-ignore
export type FaultId = (typeof FAULT_IDS)[number];

/** A place where a fault can be, and the house with it there. */
export interface Placed {
  /** Told apart from every other place of the same fault. */
  readonly key: string;
  readonly box: string;
  /** Ends, terminals, splices, tabs and conductors that it lights in the drawing. */
  readonly points: readonly string[];
  /** The place, as its user named it: "the duplex receptacle at Plant shelf". */
  readonly place: string;
  readonly put: (house: House) => House;
}

/** One row of the catalog. */
export interface FaultRow {
  readonly id: FaultId;
  readonly name: string;
  /** What it shows. */
  readonly shows: string;
  /** What cannot show it; "" where every instrument that reaches it does. */
  readonly hides: string;
  /** How it is put right. */
  readonly fix: string;
  /** True where nothing but a look tells. */
  readonly look?: true;
  /** What tells one of its places from another where no reading does; a look where nothing is said. */
  readonly byHand?: string;
  /** True where a look and a pull at each conductor tells what no reading does. */
  readonly byTug?: true;
  /** How common it is beside the others; plausible figures. */
  readonly weight: number;
  readonly where: (wired: Wired) => readonly Placed[];
}

/** A fault in one place of one job. */
export interface Fault extends Placed {
  readonly row: FaultRow;
  /** `F06 one-two:white@one` */
  readonly id: string;
}

export const disturbed =
  (...added: readonly Disturbance[]): Placed['put'] =>
  (house) => ({
    ...house,
    disturbances: [...house.disturbances, ...added],
  });

export const rewired =
  (change: (wiring: Wiring) => Wiring): Placed['put'] =>
  (house) => ({
    ...house,
    wiring: change(house.wiring),
  });

/** One change after the other. */
export const both =
  (...puts: readonly Placed['put'][]): Placed['put'] =>
  (house) =>
    puts.reduce((so, put) => put(so), house);

/** The house as planned, with these faults in it. */
export const housed = (wired: Wired, faults: readonly Fault[]): House =>
  faults.reduce((so, { put }) => put(so), soundHouse(wired));
