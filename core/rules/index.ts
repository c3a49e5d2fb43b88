import { w01 } from './wiring/w01';
import { w02 } from './wiring/w02';
import { w03 } from './wiring/w03';
import { w04 } from './wiring/w04';
import { w05 } from './wiring/w05';
import { w06 } from './wiring/w06';
import { w07 } from './wiring/w07';
import { w08 } from './wiring/w08';
import { w09 } from './wiring/w09';
import { w10 } from './wiring/w10';
import { w11 } from './wiring/w11';
import { w12 } from './wiring/w12';
import { w13 } from './wiring/w13';
import { w14 } from './wiring/w14';
import { w15 } from './wiring/w15';
import { w16 } from './wiring/w16';
import { w17 } from './wiring/w17';
import { w18 } from './wiring/w18';
import { w19 } from './wiring/w19';
import { w20 } from './wiring/w20';
import { w21 } from './wiring/w21';
import { w22 } from './wiring/w22';
import { w23 } from './wiring/w23';
import { w24 } from './wiring/w24';
import { w25 } from './wiring/w25';
import { x01 } from './wiring/x01';
import { s01 } from './conductors/s01';
import { s02 } from './conductors/s02';
import { s03 } from './conductors/s03';
import { s04 } from './conductors/s04';
import { s05 } from './conductors/s05';
import { s06 } from './conductors/s06';
import { b01 } from './boxes/b01';
import { b02 } from './boxes/b02';
import { b03 } from './boxes/b03';
import { b04 } from './boxes/b04';
import { b05 } from './boxes/b05';
import { b06 } from './boxes/b06';
import { b07 } from './boxes/b07';
import { b08 } from './boxes/b08';
import { b09 } from './boxes/b09';
import { b10 } from './boxes/b10';
import { b11 } from './boxes/b11';
import { b12 } from './boxes/b12';
import { b13 } from './boxes/b13';
import { l01 } from './load/l01';
import { l02 } from './load/l02';
import { l03 } from './load/l03';
import { l04 } from './load/l04';
import { l05 } from './load/l05';
import { l06 } from './load/l06';
import { l07 } from './load/l07';
import { l08 } from './load/l08';
import { l09 } from './load/l09';
import { l10 } from './load/l10';
import { l11 } from './load/l11';
import { p01 } from './protection/p01';
import { p02 } from './protection/p02';
import { p03 } from './protection/p03';
import { p04 } from './protection/p04';
import { p05 } from './protection/p05';
import { p06 } from './protection/p06';
import { p07 } from './protection/p07';
import { p08 } from './protection/p08';
import { p09 } from './protection/p09';
import { p10 } from './protection/p10';
import { p11 } from './protection/p11';
import { p12 } from './protection/p12';
import { p13 } from './protection/p13';
import { p14 } from './protection/p14';
import { r01 } from './placement/r01';
import { r02 } from './placement/r02';
import { r03 } from './placement/r03';
import { r04 } from './placement/r04';
import { r05 } from './placement/r05';
import { r06 } from './placement/r06';
import { r07 } from './placement/r07';
import { r08 } from './placement/r08';
import { r09 } from './placement/r09';
import { r10 } from './placement/r10';
import { r11 } from './placement/r11';
import { r12 } from './placement/r12';
import { r13 } from './placement/r13';
import { r14 } from './placement/r14';
import type { Rule } from './rule';

/** Every rule, one module each. A new one is a file and a line here. */
export const RULES: readonly Rule[] = [
  w01,
  w02,
  w03,
  w04,
  w05,
  w06,
  w07,
  w08,
  w09,
  w10,
  w11,
  w12,
  w13,
  w14,
  w15,
  w16,
  w17,
  w18,
  w19,
  w20,
  w21,
  w22,
  w23,
  w24,
  w25,
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
  l01,
  l02,
  l03,
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
  p09,
  p10,
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
];
