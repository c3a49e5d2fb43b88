import type { Insulation } from '../../trade/standards/cables';
import type { Port } from './far-sides';
import { OWN } from './far-side-wiring';

export const CIRCUIT_OF: Partial<Record<Port, string>> = {
  hot: OWN,
  'hot-second': 'second',
  'hot-other-leg': 'other',
};

/** What stands past a cable, by the ports of its far end. */
const has = (...ports: readonly Port[]): ReadonlySet<Port> => new Set(ports);

export const SOURCE = has('hot', 'hot-second', 'hot-other-leg', 'neutral');

export const LAMP = has('lamp', 'lamp-2', 'lamp-second');

export const LOAD = has('load', 'load-2');

/** A light behind travelers, and its 3-way. */
export const LIT = has('lit-1', 'lit-2', 'lit-return');

export const WAY = has('way-common', 'way-1', 'way-2');

export const FED = has('fed-1', 'fed-2', 'fed-second-1', 'fed-second-2', 'fed-other-1', 'fed-other-2');

export const SWITCHED = has(
  'switched',
  'switched-2',
  'switched-second',
  'switched-other',
  'neutral-switched',
);

export const LEG = has('leg', 'leg-2', 'switch-common');

export interface PortOf {
  readonly insulation: Insulation;
  readonly port: Port;
}

/** True where a port is of one of these kinds. */
export const any = (ports: readonly PortOf[], ...kinds: readonly ReadonlySet<Port>[]): boolean =>
  ports.some(({ port }) => kinds.some((kind) => kind.has(port)));
