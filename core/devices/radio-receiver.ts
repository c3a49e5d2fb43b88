import { green, still, terminal, type DeviceKind } from './kind';

/** Radio receiver in the box of what it controls: needs the constant hot and the neutral there. */
export const radioReceiver: DeviceKind = {
  ...still,
  id: 'radio-receiver',
  name: 'radio receiver',
  receptacle: false,
  yoke: false,
  terminals: [
    terminal('line', 'black lead', 'lead', 'right', 0.3),
    terminal('load', 'red lead', 'lead', 'right', 0.6),
    terminal('neutral', 'white lead', 'lead', 'left', 0.3),
    { ...green, height: 0.85 },
  ],
  parts: [
    {
      does: 'control',
      id: 'handle',
      name: 'receiver',
      feedSide: ['line'],
      loadSide: ['load'],
      neutral: 'neutral',
    },
  ],
  positions: ['off', 'on'],
  inner: (position) => (position === 1 ? [['line', 'load']] : []),
};
