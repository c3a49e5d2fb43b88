import { still, type DeviceKind } from './kind';
import { say } from '../../base/words/devices';

/** Radio switch on the wall: no terminals, so no conductors. */
export const radioSwitch: DeviceKind = {
  ...still,
  id: 'radio-switch',
  name: say('radioSwitch.radioSwitch'),
  radio: 'switch',
  serves: 'switch',
  receptacle: false,
  yoke: true,
  wireless: true,
  terminals: [],
  parts: [{ does: 'control', id: 'handle', name: say('switchParts.handle'), feedSide: [], loadSide: [] }],
};
