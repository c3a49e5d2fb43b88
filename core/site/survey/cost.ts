import type { Probe, Setup } from '../../job/model/survey';

/**
 * What a reading costs in work and risk, in units of one reading on a dead circuit, and whether it is taken live. Dead
 * before live, nothing touched before conductors lifted, hands away from metal before probes on it (common practice).
 */
export function costOf(setup: Setup, probe: Probe): { effort: number; live: boolean } {
  // The lugs of the service stay live in an open panel, whatever is switched off.
  const live = setup.breakers === 'on' || ['clamp', 'residual', 'lifted neutral'].includes(probe.with);
  const work = { 'as found': 0, hots: 2.5, all: 3.5 }[setup.apart];
  // A heater carried to the box, a walk to the panel with the cover off: more than a reading.
  const errand = {
    drop: 2,
    'panel clamp': 4,
    'feed clamp': 2,
    residual: 2.5,
    'lifted neutral': 4.5,
    sweep: 0.8,
  };
  const extra = probe.with in errand ? errand[probe.with as keyof typeof errand] : 0;
  const place =
    probe.with === 'non-contact' || probe.with === 'sweep' ? 0.6 : probe.with === 'tester' ? 0.8 : 1;
  const watch = setup.switches === 'worked' ? 0.4 : 0;
  const unplug = setup.loadsOut ? 1 : 0;
  return { effort: (live ? 3 : 1) * place + work + watch + unplug + extra, live };
}
