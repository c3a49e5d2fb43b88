import { still, type DeviceKind } from './kind';

/** Radio switch on the wall: no terminals, so no conductors. */
export const radioSwitch: DeviceKind = {
  ...still,
  id: 'radio-switch',
  name: 'radio switch',
  radio: 'switch',
  serves: 'switch',
  receptacle: false,
  yoke: true,
  wireless: true,
  terminals: [],
  parts: [{ does: 'control', id: 'handle', name: 'handle', feedSide: [], loadSide: [] }],
};
