import { sure } from '../../base/sure';
import { GLOW_V } from '../../power/energize/instruments';
import { solve, type OperatingPoint } from '../../power/energize/solve';
import { ohmsView, view } from '../../power/energize/view';
import { METER_OHMS, REST, TESTER_LIGHT_V, type State } from '../../power/energize/state';
import { testKey, type Probe, type Setup, type Spot } from '../../job/model/survey';
import { buildNetwork, landings } from '../../power/network/network';
import { withoutWireOhms } from '../../power/network/without-ohms';
import { partKey } from '../../job/model/wiring';
import {
  ANY_VOLTS,
  CHANGES,
  filled,
  JOINED,
  NO,
  ohmsMask,
  OPEN,
  pastMask,
  THROUGH,
  TRIPS,
  voltsMask,
  YES,
  ZERO,
} from '../../job/seen/outcomes';
import { lightSets, positionsOf, Steady } from './steady';
import { conductorOfSpot, sceneWiring, type Guess } from './scene';
import { OWN } from './far-side-wiring';
import { isPlugged, keyOf, mayTrip, statesOf, type SeenWhole, type Stage } from './guess-setup';

/** Nothing is ruled out. */
const ANY = 255;

/** What a setup allows between every two points, as bits, row by row. */
interface Allowed {
  readonly high: Uint8Array;
  readonly low: Uint8Array;
}

/** A guess made into networks, one a setup, with what they allow kept. Answers what each instrument may show. */
export class GuessModel {
  private readonly stages = new Map<string, Stage>();
  private readonly live = new Map<string, Allowed>();
  private readonly glows = new Map<string, Uint8Array>();
  private readonly dead = new Map<string, Uint8Array>();
  private readonly rare = new Map<string, number>();

  constructor(
    private readonly seen: SeenWhole,
    readonly guess: Guess,
  ) {}

  stage(apart: Setup['apart']): Stage {
    const known = this.stages.get(apart);
    if (known) return known;
    const { survey, circuits, ends } = this.seen;
    const wiring = sceneWiring(survey, this.guess, apart);
    const wired = buildNetwork(wiring, circuits);
    const network = withoutWireOhms(wired);
    const landing = landings(wiring);
    const handles = network.devices
      .filter(({ kind }) => kind.positions.length > 1)
      .map((one) => one.wired.id);
    const indexOf = new Map<string, number>();
    const points: number[] = [];
    for (const end of ends) {
      const point = network.point(landing.get(end) ?? end);
      if (point === undefined) continue;
      if (!points.includes(point)) points.push(point);
      indexOf.set(end, points.indexOf(point));
    }
    const plugged = network.parts.some(({ key }) => isPlugged(key));
    const stage = { wired, network, positions: positionsOf(handles), indexOf, points, plugged };
    this.stages.set(apart, stage);
    return stage;
  }

  private indexOf(stage: Stage, spot: Spot): number | undefined {
    const end = this.seen.endOf(spot);
    return end === null ? undefined : stage.indexOf.get(end);
  }

  /** The outcomes that this guess allows, as bits of the instrument. */
  allows(setup: Setup, probe: Probe): number {
    const stage = this.stage(setup.apart);
    const size = stage.points.length;
    switch (probe.with) {
      case 'non-contact': {
        const at = this.indexOf(stage, probe.at);
        return at === undefined ? YES | NO : sure(this.glow(stage, setup)[at], 'such point');
      }
      case 'meter': {
        const [from, to] = [this.indexOf(stage, probe.from), this.indexOf(stage, probe.to)];
        if (from === undefined || to === undefined) return ANY_VOLTS;
        if (from === to) return ZERO;
        const table = this.alive(stage, setup)[probe.impedance];
        const mask = sure(table[Math.min(from, to) * size + Math.max(from, to)], 'such pair of points');
        const trips = probe.impedance === 'low' && mask !== ZERO && mayTrip(probe.from, probe.to);
        return trips ? mask | TRIPS : mask;
      }
      case 'continuity': {
        const [from, to] = [this.indexOf(stage, probe.from), this.indexOf(stage, probe.to)];
        if (from === undefined || to === undefined) return JOINED | THROUGH | OPEN;
        return sure(this.ohms(stage, setup)[from * size + to], 'such pair of points');
      }
      case 'sweep':
        return this.sweep(stage, setup);
      // What tells a separate path, and whose neutral it is, hangs on more than the network: see `guesses`.
      case 'drop':
      case 'residual':
      case 'panel clamp':
      case 'feed clamp':
      case 'lifted neutral':
        return ANY;
      case 'lamp':
      case 'clamp':
      case 'tester': {
        const key = testKey({ setup, probe });
        const known = this.rare.get(key) ?? this.onceAsked(stage, setup, probe);
        this.rare.set(key, known);
        return known;
      }
    }
  }

  private alive(stage: Stage, setup: Setup): Allowed {
    const key = keyOf(stage, setup);
    const known = this.live.get(key);
    if (known) return known;
    const size = stage.points.length;
    const worked = setup.switches === 'worked';
    const [high, low] = [new Steady(size * size), new Steady(size * size)];
    for (const states of statesOf(this.seen, stage, setup, false)) {
      for (const state of states) {
        const seen = view(stage.network, state, stage.points);
        for (let from = 0; from < size; from++) {
          for (let to = from + 1; to < size; to++) {
            const at = from * size + to;
            const same = seen.same(from, to);
            const open = same ? 0 : Math.abs(seen.volts(from) - seen.volts(to));
            high.add(at, Number.isNaN(open) ? ANY_VOLTS : voltsMask(open));
            low.add(at, voltsMask(same ? 0 : seen.across(from, to, METER_OHMS.low)));
          }
        }
      }
      high.next(filled);
      low.next(filled);
    }
    const allowed = { high: high.allowed(worked), low: low.allowed(worked) };
    this.live.set(key, allowed);
    return allowed;
  }

  /** What a non-contact tester may show at each point. */
  private glow(stage: Stage, setup: Setup): Uint8Array {
    const key = keyOf(stage, setup);
    const known = this.glows.get(key);
    if (known) return known;
    const glow = new Uint8Array(stage.points.length);
    for (const state of statesOf(this.seen, stage, setup, false).flat()) {
      const { volts } = solve(stage.network, state);
      stage.points.forEach((point, at) => {
        const toGround = Math.abs(volts(point));
        glow[at] = (glow[at] ?? 0) | (Number.isNaN(toGround) ? YES | NO : pastMask(toGround, GLOW_V, 15));
      });
    }
    this.glows.set(key, glow);
    return glow;
  }

  /** Whether anything in the box is live, as a low-impedance meter would decide it. */
  private sweep(stage: Stage, setup: Setup): number {
    const key = `sweep ${keyOf(stage, setup)}`;
    const known = this.rare.get(key);
    if (known !== undefined) return known;
    const worked = setup.switches === 'worked';
    const live = (state: State): boolean => {
      const { volts } = solve(stage.network, state);
      return [...stage.indexOf.values()].some(
        (at) => Math.abs(volts(sure(stage.points[at], 'such point'))) >= GLOW_V,
      );
    };
    const found = statesOf(this.seen, stage, setup, false).map((states) => states.map(live));
    const all = found.flat();
    // Worked, it shows in whichever position it is live in; else only the position as it is.
    const mask = worked
      ? (all.some(Boolean) ? YES : 0) | (found.every((states) => states.some((one) => !one)) ? NO : 0)
      : (all.some(Boolean) ? YES : 0) | (all.some((one) => !one) ? NO : 0);
    this.rare.set(key, mask);
    return mask;
  }

  private ohms(stage: Stage, setup: Setup): Uint8Array {
    const key = keyOf(stage, { ...setup, breakers: 'all off' });
    const known = this.dead.get(key);
    if (known) return known;
    const size = stage.points.length;
    const allowed = new Uint8Array(size * size);
    for (const state of statesOf(this.seen, stage, setup, true).flat()) {
      const ohms = ohmsView(stage.network, state, stage.points);
      for (let from = 0; from < size; from++) {
        for (let to = from; to < size; to++) {
          const mask = ohmsMask(ohms(from, to));
          allowed[from * size + to] = (allowed[from * size + to] ?? 0) | mask;
          allowed[to * size + from] = (allowed[to * size + from] ?? 0) | mask;
        }
      }
    }
    this.dead.set(key, allowed);
    return allowed;
  }

  /** Instruments that are asked for one at a time. */
  private onceAsked(
    stage: Stage,
    setup: Setup,
    probe: Extract<Probe, { with: 'clamp' | 'tester' | 'lamp' }>,
  ): number {
    let mask = 0;
    for (const state of statesOf(this.seen, stage, setup, false).flat()) {
      if (probe.with === 'lamp') {
        const [from, to] = [this.indexOf(stage, probe.from), this.indexOf(stage, probe.to)];
        if (from === undefined || to === undefined) return YES | NO | CHANGES;
        const seen = view(stage.network, state, stage.points);
        const volts = seen.same(from, to) ? 0 : seen.across(from, to, METER_OHMS.lamp);
        mask |= pastMask(volts, TESTER_LIGHT_V, 25);
        continue;
      }
      if (probe.with === 'clamp') {
        const end = this.seen.endOf(probe.at);
        if (end === null) return YES | NO;
        const amps = Math.abs(
          solve(stage.wired, state).wireCurrent(
            sure(conductorOfSpot(this.seen.survey, probe.at), 'conductor there'),
          ),
        );
        mask |= amps > 0.02 ? YES : NO;
        continue;
      }
      const key = partKey(probe.device, probe.part);
      const part = stage.network.parts.find((one) => one.key === key);
      if (!part) return 255;
      const at = solve(stage.network, { ...state, testers: new Set([key]) });
      const [hot, neutral, ground] = [at.volts(part.hot), at.volts(part.neutral), at.volts(part.ground)];
      const options = [
        [hot, neutral],
        [hot, ground],
        [neutral, ground],
      ].map(([a = 0, b = 0]) => pastMask(Number.isNaN(a - b) ? 0 : Math.abs(a - b), TESTER_LIGHT_V, 8));
      mask |= lightSets(options);
    }
    if (probe.with !== 'lamp') return mask;
    const lit = (mask & YES) !== 0;
    return (
      mask |
      (lit && setup.switches === 'worked' ? CHANGES : 0) |
      (lit && mayTrip(probe.from, probe.to) ? TRIPS : 0)
    );
  }

  /** The scene as found with nothing in use, in every position of every switch; with the named breaker on or off. */
  asFound(breaker: 'on' | 'off' = 'on'): readonly OperatingPoint[] {
    const { network, positions } = this.stage('as found');
    const openBreakers = new Set(breaker === 'off' ? [OWN] : []);
    return positions.map((at) => solve(network, { ...REST, positions: at, openBreakers }));
  }

  /** The point of a spot as found. */
  pointOf(spot: Spot): number | undefined {
    const stage = this.stage('as found');
    const index = this.indexOf(stage, spot);
    return index === undefined ? undefined : stage.points[index];
  }
}
