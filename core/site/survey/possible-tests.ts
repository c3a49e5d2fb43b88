import type { Setup, Probe, Survey, Spot, SeenBox } from '../../job/model/survey';
import { deviceKind } from '../../trade/devices';
import { cableRow, isWhite, isGround } from '../../trade/standards/cables';
import type { Costed } from '../diagnose/narrowing';
import { costOf } from './cost';
import type { Standing } from './evidence';
import { proofTests } from './proofs';
import { groundEnd } from './scene';
import { isPossible, pairOf } from './verdict';

export interface Test extends Costed {
  readonly setup: Setup;
  readonly probe: Probe;
}
const AS_FOUND: Setup = { breakers: 'on', apart: 'as found', switches: 'worked', loadsOut: false };

export const costed = ({ setup, probe }: Pick<Test, 'setup' | 'probe'>): Test => ({
  setup,
  probe,
  ...costOf(setup, probe),
});

/** Every test worth thinking of here. Those that open a spliced neutral wait until no second circuit is possible. */
export function testsOf(survey: Survey, standings: readonly Standing[]): Test[] {
  const box = survey.boxes.find(({ id }) => id === survey.target);
  if (!box) return [];
  const possible = standings.filter(isPossible);
  // Of a cable with four insulated conductors too little is known to rule a second circuit out.
  const wide = box.cables.some(({ type }) => cableRow(type).insulated.length > 3);
  const shared = wide || possible.some(({ weighed }) => weighed.facts.shared);
  const agreeing = standings.filter(({ against }) => against.length === 0);
  // Continuous is enough for what a low-impedance meter could do: only on an open ground does it lift metal parts.
  const groundProven =
    agreeing.length > 0 &&
    agreeing.every(({ weighed }) => weighed.facts.ground || weighed.grounding === 'over a neutral');
  const tests: Test[] = [];
  const add = (setup: Setup, probe: Probe) => tests.push(costed({ setup, probe }));
  // The ordinary dead check tells of a second breaker, and of a wrong one.
  add({ ...AS_FOUND, breakers: 'off' }, { with: 'sweep', box: box.id });
  const spliced = box.ends.some(({ insulation, sits }) => isWhite(insulation) && sits.at === 'splice');
  const modes: Setup['apart'][] = ['as found', 'hots', ...(spliced && !shared ? (['all'] as const) : [])];
  const ground: Spot | null = groundEnd(survey, box) === null ? null : { on: 'ground', box: box.id };
  // Seen alive with its breaker off: whether it is, or only looks so, a pair of conductors tells.
  const alive = survey.readings.some(
    ({ setup, value }) => setup.breakers === 'off' && value.is === 'glow' && value.glows,
  );

  for (const apart of modes) {
    const spots = spotsOf(box, apart);
    const dead: Setup = { breakers: 'all off', apart, switches: 'as they are', loadsOut: false };
    const off: Setup = { ...dead, breakers: 'off' };
    const live: Setup = { ...AS_FOUND, apart };
    for (const at of spots) {
      add(off, { with: 'non-contact', at });
      if (ground) {
        add(dead, { with: 'continuity', from: at, to: ground });
        add(live, { with: 'meter', impedance: 'high', from: at, to: ground });
        if (groundProven) add(live, { with: 'meter', impedance: 'low', from: at, to: ground });
      }
      if (apart === 'as found') {
        add({ ...live, switches: 'off here' }, { with: 'non-contact', at });
        if (shared && at.on === 'conductor' && isWhite(at.insulation)) add(off, { with: 'clamp', at });
      }
    }
    spots.forEach((from, index) => {
      for (const to of spots.slice(index + 1)) {
        add(dead, { with: 'continuity', from, to });
        if (alive && apart === 'as found') add(off, { with: 'meter', impedance: 'low', from, to });
        for (const loadsOut of [false, true]) {
          add({ ...live, loadsOut }, { with: 'meter', impedance: 'low', from, to });
        }
      }
    });
  }
  const [likeliest] = agreeing.filter((one) => pairOf(one) !== null);
  const pair = likeliest && pairOf(likeliest);
  if (pair && groundEnd(survey, box) !== null) {
    for (const { setup, probe } of proofTests(box, pair)) add(setup, probe);
  }
  for (const device of box.devices) {
    const kind = deviceKind(device.kind);
    for (const part of kind.parts) {
      if (part.does === 'power' && part.plug) {
        add({ ...AS_FOUND, switches: 'as they are' }, { with: 'tester', device: device.id, part: part.id });
      }
    }
  }
  return tests;
}

/** One conductor for each thing that can be touched: a splice, a screw, or an end on its own. */
function spotsOf(box: SeenBox, apart: Setup['apart']): Spot[] {
  const seen = new Set<string>();
  return box.ends.flatMap(({ cable, insulation, sits }): Spot[] => {
    if (isGround(insulation)) return [];
    const own = `${cable}:${insulation}`;
    const keeps = apart === 'as found' || (apart === 'hots' && isWhite(insulation) && sits.at === 'splice');
    const node = !keeps
      ? own
      : sits.at === 'splice'
        ? `splice ${sits.splice}`
        : sits.at === 'terminal'
          ? `${sits.device}:${sits.terminal}`
          : own;
    if (seen.has(node)) return [];
    seen.add(node);
    return [{ on: 'conductor', cable, insulation }];
  });
}
