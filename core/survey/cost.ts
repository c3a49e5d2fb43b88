import type { Probe, Setup } from '../model/survey';

/**
 * What a reading costs in work and risk, in units of one reading on a dead circuit, and whether it is taken live. Dead
 * before live, nothing touched before conductors lifted, hands away from metal before probes on it (common practice).
 */
export function costOf(setup: Setup, probe: Probe): { effort: number; live: boolean } {
  const live = setup.breakers === 'on' || probe.with === 'clamp';
  const work = { 'as found': 0, hots: 2.5, all: 3.5 }[setup.apart];
  const place = probe.with === 'non-contact' ? 0.6 : probe.with === 'tester' ? 0.8 : 1;
  const watch = setup.switches === 'worked' ? 0.4 : 0;
  const unplug = setup.loadsOut ? 1 : 0;
  return { effort: (live ? 3 : 1) * place + work + watch + unplug, live };
}
