import { situationOf, type Situation } from '../handover/drills/situation';
import { planJob } from '../wiring/plan';
import { duplexIn, lightIn, sketch, switchIn, type Sketch } from './jobs';

const box = (name: string, words: Sketch, at = 'here'): Situation => {
  const outcome = planJob(sketch(words));
  if (!outcome.ok) throw new Error(`${name}: ${outcome.refusals[0]?.message ?? ''}`);
  const situation = situationOf(outcome.plan, at, { name });
  if (!situation) throw new Error(`${name}: Find does not take it in`);
  return situation;
};

/** The opened boxes that are met most, sound, with power to be tapped (common practice). */
export const commonBoxes = (): readonly Situation[] => [
  box('a switch, its feed and its light', {
    breakerA: 15,
    boxes: ['here', 'lamp'],
    runs: ['panel-here:45', 'here-lamp:25'],
    groups: ['g'],
    devices: [switchIn('here', 'g'), lightIn('lamp', 'g')],
  }),
  box('an outlet in the middle of a run', {
    breakerA: 15,
    boxes: ['here', 'beyond'],
    runs: ['panel-here:45', 'here-beyond:15'],
    devices: [duplexIn('here', null, null), duplexIn('beyond', null, null)],
  }),
  box('the outlet at the end of a run', {
    breakerA: 20,
    boxes: ['ahead', 'here'],
    runs: ['panel-ahead:40', 'ahead-here:20'],
    devices: [duplexIn('ahead', null, null), duplexIn('here', null, null)],
  }),
  box('a switch, its light, and an outlet beyond', {
    breakerA: 15,
    boxes: ['here', 'lamp', 'beyond'],
    runs: ['panel-here:40', 'here-lamp:20', 'here-beyond:15'],
    groups: ['g'],
    devices: [switchIn('here', 'g'), lightIn('lamp', 'g'), duplexIn('beyond', null, null)],
  }),
  box('a 3-wire loop from the light', {
    breakerA: 15,
    boxes: ['lamp', 'here'],
    runs: ['panel-lamp:40', 'lamp-here:20=14-3'],
    groups: ['g'],
    devices: [lightIn('lamp', 'g'), switchIn('here', 'g')],
  }),
  box('two switches and their lights', {
    breakerA: 15,
    boxes: ['here', 'lamp', 'porch'],
    runs: ['panel-here:40', 'here-lamp:20', 'here-porch:25'],
    groups: ['g', 'h'],
    devices: [switchIn('here', 'g'), switchIn('here', 'h', 1), lightIn('lamp', 'g'), lightIn('porch', 'h')],
  }),
  box('a half-switched outlet', {
    breakerA: 15,
    boxes: ['door', 'here'],
    runs: ['panel-door:40', 'door-here:20=14-3'],
    groups: ['g'],
    devices: [switchIn('door', 'g'), duplexIn('here', null, 'g')],
  }),
];
