import { green, lead, still, type DeviceKind } from './kind';
import { contacts, lineAndLoad, protectedOutlet } from './protecting';
import { offOn } from './switch-parts';
import { say } from '../../base/words/devices';

/** Combination device with GFCI: its switch has two leads of its own and stays alive when the device trips. */
export const combinationGfci: DeviceKind = {
  ...still,
  id: 'combination-gfci',
  name: say('combinationGfci.combinationDeviceGfci'),
  serves: 'switch and outlet',
  receptacle: true,
  yoke: true,
  terminals: [
    ...lineAndLoad,
    lead('lead-1', 'black', 'right', 0.5, say('combinationGfci.switch')),
    lead('lead-2', 'red', 'right', 0.92, say('combinationGfci.switch')),
    green,
  ],
  parts: [
    protectedOutlet,
    {
      does: 'control',
      id: 'handle',
      name: say('switchParts.handle'),
      feedSide: ['lead-1'],
      loadSide: ['lead-2'],
    },
  ],
  positions: offOn,
  inner: (position) => (position === 1 ? [['lead-1', 'lead-2']] : []),
  protection: contacts('gfci'),
};
