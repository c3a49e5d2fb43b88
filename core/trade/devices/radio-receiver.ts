import { green, lead, still, type DeviceKind } from './kind';
import { say } from '../../base/words/devices';

/** Radio receiver in the box of what it controls: needs the constant hot and the neutral there. */
export const radioReceiver: DeviceKind = {
  ...still,
  id: 'radio-receiver',
  name: say('radioReceiver.radioReceiver'),
  radio: 'receiver',
  serves: 'receiver',
  receptacle: false,
  yoke: false,
  terminals: [
    lead('line', 'black', 'right', 0.3),
    lead('load', 'red', 'right', 0.6),
    lead('neutral', 'white', 'left', 0.3),
    { ...green, height: 0.85 },
  ],
  parts: [
    {
      does: 'control',
      id: 'handle',
      name: say('radioReceiver.receiver'),
      feedSide: ['line'],
      loadSide: ['load'],
      neutral: 'neutral',
    },
  ],
  positions: ['off', 'on'],
  inner: (position) => (position === 1 ? [['line', 'load']] : []),
};
