import type { Circuit, RoomKind } from '../../job/model/design';

const OWN: Partial<Record<RoomKind, Circuit['serves']>> = {
  kitchen: 'small appliance',
  pantry: 'small appliance',
  dining: 'small appliance',
  laundry: 'laundry',
  bathroom: 'bathroom',
  garage: 'garage',
};

/** The kind of 20 A circuit that the receptacles of a room belong on, NEC 210.11(C) (from memory); null for any. */
export const ownCircuit = (kind: RoomKind): Circuit['serves'] | null => OWN[kind] ?? null;
