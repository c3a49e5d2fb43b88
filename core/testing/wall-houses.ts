import { type Sketch, duplexIn, switchIn, lightIn } from './jobs';

/*
 * Opened boxes whose far side is not as it should be: what a service call meets. Each is a plain house, wired by the
 * compiler and then spoiled out of sight; the truth is known from what was done to it.
 */
/** Panel, a box ahead, the box that is opened, what hangs beyond it. */
export const HOUSES: readonly (readonly [name: string, words: Sketch, box: string])[] = [
  [
    'an outlet in the middle of a run',
    {
      breakerA: 15,
      boxes: ['ahead', 'here', 'beyond'],
      runs: ['panel-ahead:45', 'ahead-here:30', 'here-beyond:15'],
      devices: ['ahead', 'here', 'beyond'].map((box) => duplexIn(box, null, null)),
    },
    'here',
  ],
  [
    'the outlet at the end of a run',
    {
      breakerA: 15,
      boxes: ['ahead', 'here'],
      runs: ['panel-ahead:45', 'ahead-here:35'],
      devices: ['ahead', 'here'].map((box) => duplexIn(box, null, null)),
    },
    'here',
  ],
  [
    'a switch with its light, fed from an outlet',
    {
      breakerA: 15,
      boxes: ['ahead', 'here', 'lamp'],
      runs: ['panel-ahead:45', 'ahead-here:30', 'here-lamp:20'],
      groups: ['g'],
      devices: [duplexIn('ahead', null, null), switchIn('here', 'g'), lightIn('lamp', 'g')],
    },
    'here',
  ],
  [
    'a switch, its light and an outlet beyond',
    {
      breakerA: 20,
      boxes: ['ahead', 'here', 'lamp', 'beyond'],
      runs: ['panel-ahead:40', 'ahead-here:35', 'here-lamp:20', 'here-beyond:15'],
      groups: ['g'],
      devices: [
        duplexIn('ahead', null, null),
        switchIn('here', 'g'),
        lightIn('lamp', 'g'),
        duplexIn('beyond', null, null),
      ],
    },
    'here',
  ],
];
