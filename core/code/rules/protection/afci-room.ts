import type { RoomKind } from '../../../job/model/design';

const AFCI_ROOMS = new Set<RoomKind>([
  'kitchen',
  'dining',
  'pantry',
  'living',
  'family',
  'den',
  'library',
  'bedroom',
  'sunroom',
  'recreation',
  'closet',
  'hallway',
  'laundry',
  'wet bar',
]);

/** Rooms whose 15 and 20 A, 120 V outlets need AFCI protection, NEC 210.12(A) in 2017, 2020 and 2023 (from memory). */
export const afciRoom = (kind: RoomKind): boolean => AFCI_ROOMS.has(kind);
