/** Everything that can be set without touching the wiring. */
export interface State {
  /** Circuits whose breaker is off. */
  readonly openBreakers: ReadonlySet<string>;
  /** Handle position by device; 0 where none is given. */
  readonly positions: ReadonlyMap<string, number>;
  /** Watts at 120 V in use, by part key. */
  readonly loads: ReadonlyMap<string, number>;
  /** Parts that hold a plug-in receptacle tester. */
  readonly testers: ReadonlySet<string>;
  readonly meter: Meter | null;
  /** Protecting devices whose contacts are open: tripped, or tested. */
  readonly tripped: ReadonlySet<string>;
  /** Two points that a person has a hand on. */
  readonly person?: { readonly from: string; readonly to: string };
  /** Circuits and devices whose AFCI has a ground-fault element; none where it is not given. */
  readonly groundFaultShare?: ReadonlySet<string>;
}

export interface Meter {
  /**
   * `high`: 10 MΩ. `low`: 3 kΩ, which loads a floating conductor down to what it really is. `lamp`: a 60 W test lamp.
   */
  readonly impedance: 'high' | 'low' | 'lamp';
  readonly from: string;
  readonly to: string;
}

export const REST: State = {
  openBreakers: new Set(),
  positions: new Map(),
  loads: new Map(),
  testers: new Set(),
  meter: null,
  tripped: new Set(),
};

/** Input resistance of the instruments, Ω. Common practice. */
export const METER_OHMS = { high: 10e6, low: 3e3, lamp: 120 ** 2 / 60 } as const;
export const TESTER_LIGHT_OHMS = 100e3;
/** A person from hand to hand, Ω: the body of UL 943's reasoning at 120 V, skin wet (common practice). */
export const PERSON_OHMS = 1e3;
/** Voltage from which a tester light is seen, V. Common practice. */
export const TESTER_LIGHT_V = 80;
