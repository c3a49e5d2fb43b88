import { w02 } from './wiring/w02-polarity';
import { w03 } from './wiring/w03-opens-neutral-only';
import { w05 } from './wiring/w05-neutral-of-two-circuits';
import { w08 } from './wiring/w08-grounds-not-joined';
import { w09 } from './wiring/w09-metal-box-not-bonded';
import { w10 } from './wiring/w10-no-ground';
import { w11 } from './wiring/w11-white-as-hot';
import { w12 } from './wiring/w12-white-as-return';
import { w13 } from './wiring/w13-multiwire-neutral-through-device';
import { w14 } from './wiring/w14-two-circuits-one-yoke';
import { w16 } from './wiring/w16-multiwire-same-leg';
import { w17 } from './wiring/w17-too-many-conductors';
import { w18 } from './wiring/w18-dimmer-on-receptacle';
import { w19 } from './wiring/w19-no-neutral-at-switch';
import { w20 } from './wiring/w20-multiwire-not-grouped';
import { w21 } from './wiring/w21-splice-outside-box';
import { w22 } from './wiring/w22-other-half-stays-live';
import { w23 } from './wiring/w23-electronic-without-neutral';
import { w25 } from './wiring/w25-splice-in-panel';
import { w26 } from './wiring/w26-cord-for-fixed-wiring';
import { x01 } from './wiring/x01-outside-what-is-planned';
import { s01 } from './conductors/s01-conductor-under-breaker';
import { s02 } from './conductors/s02-pigtail-under-breaker';
import { s03 } from './conductors/s03-receptacle-rating';
import { s04 } from './conductors/s04-single-receptacle-under-circuit';
import { s05 } from './conductors/s05-push-in-not-14-solid';
import { s06 } from './conductors/s06-cables-bundled';
import { b01 } from './boxes/b01-box-overfilled';
import { b02 } from './boxes/b02-conductor-too-short';
import { b03 } from './boxes/b03-sheath-too-short';
import { b04 } from './boxes/b04-cable-not-supported';
import { b05 } from './boxes/b05-hole-near-stud-edge';
import { b06 } from './boxes/b06-box-set-back';
import { b07 } from './boxes/b07-fan-on-unlisted-box';
import { b08 } from './boxes/b08-crowded-behind-protection';
import { b09 } from './boxes/b09-square-box-without-ring';
import { b10 } from './boxes/b10-nm-b-in-damp-place';
import { b11 } from './boxes/b11-cable-near-stud-edge';
import { b12 } from './boxes/b12-box-out-of-reach';
import { b13 } from './boxes/b13-ceiling-box-for-a-fan';
import { l04 } from './load/l04-fastened-over-half';
import { l05 } from './load/l05-voltage-drop';
import { l06 } from './load/l06-place-on-wrong-circuit';
import { l07 } from './load/l07-switch-overloaded';
import { l08 } from './load/l08-many-outlets';
import { l09 } from './load/l09-switch-rated-under-circuit';
import { l10 } from './load/l10-circuit-serves-others';
import { l11 } from './load/l11-disconnect-out-of-reach';
import { p01 } from './protection/p01-gfci-needed';
import { p02 } from './protection/p02-protection-out-of-reach';
import { p03 } from './protection/p03-afci-needed';
import { p04 } from './protection/p04-tamper-resistant';
import { p05 } from './protection/p05-weather-resistant';
import { p06 } from './protection/p06-line-load-swapped';
import { p07 } from './protection/p07-replacement-without-ground';
import { p08 } from './protection/p08-afci-not-first';
import { p11 } from './protection/p11-replacement-protection';
import { p12 } from './protection/p12-monthly-test';
import { p13 } from './protection/p13-appliance-gfci';
import { p14 } from './protection/p14-refrigerator-on-gfci';
import { r01 } from './placement/r01-wall-spacing';
import { r02 } from './placement/r02-receptacle-that-does-not-count';
import { r03 } from './placement/r03-switched-receptacle-as-light';
import { r04 } from './placement/r04-stair-switches';
import { r05 } from './placement/r05-face-up-receptacle';
import { r06 } from './placement/r06-differs-from-plan';
import { r07 } from './placement/r07-counter-spacing';
import { r08 } from './placement/r08-bathroom-basin';
import { r09 } from './placement/r09-outdoor-receptacle';
import { r10 } from './placement/r10-light-on-wall-switch';
import { r11 } from './placement/r11-switch-too-high';
import { r12 } from './placement/r12-switch-in-tub-or-shower';
import { r13 } from './placement/r13-closet-luminaire';
import { r14 } from './placement/r14-light-on-radio-battery';
import { r15 } from './placement/r15-switch-nearest-door';
import { CIRCUIT_LOAD_RULES } from './load/circuit-load';
import type { Rule } from './rule';
import { VERIFICATION_RULES } from './wiring/verification';

/** Families in the order in which they are listed: wiring, outside, conductors, boxes, load, protection, placement. */
const FAMILIES = 'WXSBLPR';

/** Every rule, one module each, or one row of a table. A new one is a file and a line here. */
export const RULES: readonly Rule[] = [
  ...VERIFICATION_RULES,
  ...CIRCUIT_LOAD_RULES,
  w02,
  w03,
  w05,
  w08,
  w09,
  w10,
  w11,
  w12,
  w13,
  w14,
  w16,
  w17,
  w18,
  w19,
  w20,
  w21,
  w22,
  w23,
  w25,
  w26,
  x01,
  s01,
  s02,
  s03,
  s04,
  s05,
  s06,
  b01,
  b02,
  b03,
  b04,
  b05,
  b06,
  b07,
  b08,
  b09,
  b10,
  b11,
  b12,
  b13,
  l04,
  l05,
  l06,
  l07,
  l08,
  l09,
  l10,
  l11,
  p01,
  p02,
  p03,
  p04,
  p05,
  p06,
  p07,
  p08,
  p11,
  p12,
  p13,
  p14,
  r01,
  r02,
  r03,
  r04,
  r05,
  r06,
  r07,
  r08,
  r09,
  r10,
  r11,
  r12,
  r13,
  r14,
  r15,
].sort(
  (a, b) => FAMILIES.indexOf(a.id.charAt(0)) - FAMILIES.indexOf(b.id.charAt(0)) || a.id.localeCompare(b.id),
);
