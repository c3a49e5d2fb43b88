import type { Probe, Reading, SeenBox, Setup, Spot, Survey } from '../../job/model/survey';
import { touched } from './evidence-key';
import type { Pair } from './facts';
import { HOT, NO, OPEN, SEPARATE, valueMask, YES, ZERO } from '../../job/seen/outcomes';
import { say } from '../../base/words/survey';

/**
 * What must have been read before it is said that an outlet may be tapped: striking out every other answer is not
 * proof, since a wall can hold what nobody thought of.
 */
export type ProofName = 'pair' | 'breaker' | 'neutral' | 'ground' | 'nothing else';

export interface Proof {
  readonly of: ProofName;
  /** In words, what it is or would be that is proven. */
  readonly says: string;
  /** The reading that gave it; null while nothing did. */
  readonly reading: Reading | null;
}

const PROOFS: readonly ProofName[] = ['nothing else', 'breaker', 'pair', 'neutral', 'ground'];

/** Every proof of a pair, with the reading that gives it. */
export function proofsOf(survey: Survey, pair: Pair): Proof[] {
  return PROOFS.map((of) => ({
    of,
    says: says(survey, of),
    reading: survey.readings.find((reading) => gives(survey, pair, of, reading)) ?? null,
  }));
}

const says = ({ breaker }: Survey, of: ProofName): string => {
  switch (of) {
    case 'pair':
      return say('proofs.liveUnderLoad');
    case 'breaker':
      return say('proofs.breakerKills', { breaker });
    case 'neutral':
      return say('proofs.neutralCircuitSOwn');
    case 'ground':
      return say('proofs.groundSeparatePathPanel');
    case 'nothing else':
      return say('proofs.nothingElseLive', { breaker });
  }
};

/** What is said of a proof that is missing. */
export const NOT_PROVEN: Record<ProofName, string> = {
  pair: say('proofs.notUnderLoad'),
  breaker: say('proofs.notProvenBreakerKills'),
  neutral: say('proofs.notProvenNeutralCircuit'),
  ground: say('proofs.groundPathOpen'),
  'nothing else': say('proofs.secondCircuitPossible'),
};

function gives(survey: Survey, pair: Pair, of: ProofName, { setup, probe, value }: Reading): boolean {
  const mask = valueMask(probe, value);
  const at = (spot: Spot) => touched(survey, spot, setup.apart);
  const [hot, neutral] = spotsOfPair(pair).map(at);
  const onPair = (a: Spot, b: Spot) =>
    (at(a) === hot && at(b) === neutral) || (at(a) === neutral && at(b) === hot);
  const loaded = probe.with === 'lamp' || (probe.with === 'meter' && probe.impedance === 'low');
  switch (of) {
    case 'pair':
      return (
        loaded &&
        setup.breakers === 'on' &&
        setup.switches === 'worked' &&
        onPair(probe.from, probe.to) &&
        mask === (probe.with === 'lamp' ? YES : HOT)
      );
    case 'breaker':
      if (setup.breakers !== 'off') return false;
      if (loaded) return onPair(probe.from, probe.to) && mask === (probe.with === 'lamp' ? NO : ZERO);
      return (
        (probe.with === 'sweep' || (probe.with === 'non-contact' && at(probe.at) === hot)) && mask === NO
      );
    case 'neutral':
      if (probe.with === 'residual') return at(probe.neutral) === neutral && mask === NO;
      if (probe.with === 'lifted neutral') return at(probe.neutral) === neutral && mask === OPEN;
      return probe.with === 'panel clamp' && onPair(probe.hot, probe.neutral) && mask === NO;
    case 'ground':
      if (probe.with === 'lifted neutral') return at(probe.neutral) === neutral && mask === OPEN;
      return probe.with === 'drop' && onPair(probe.hot, probe.neutral) && mask === SEPARATE;
    case 'nothing else':
      return probe.with === 'sweep' && setup.breakers === 'off' && mask === NO;
  }
}

const spotsOfPair = ({ cable, hot, neutral }: Pair): readonly [Spot, Spot] => [
  { on: 'conductor', cable, insulation: hot },
  { on: 'conductor', cable, insulation: neutral },
];

const LIVE: Setup = { breakers: 'on', apart: 'as found', switches: 'worked', loadsOut: false };
const OFF: Setup = { ...LIVE, breakers: 'off' };

/** The tests that would give the proofs of a pair, the ones that tell more than the network does among them. */
export function proofTests(
  box: SeenBox,
  pair: Pair,
): { setup: Setup; probe: Probe; of: readonly ProofName[] }[] {
  const [hot, neutral] = spotsOfPair(pair);
  const ground: Spot = { on: 'ground', box: box.id };
  const dead: Setup = { ...OFF, breakers: 'all off', switches: 'as they are' };
  const still = { ...LIVE, switches: 'as they are' } as const;
  return [
    { of: ['nothing else'], setup: OFF, probe: { with: 'sweep', box: box.id } },
    { of: ['breaker'], setup: { ...OFF, switches: 'as they are' }, probe: { with: 'non-contact', at: hot } },
    { of: ['pair'], setup: LIVE, probe: { with: 'meter', impedance: 'low', from: hot, to: neutral } },
    {
      of: ['neutral'],
      setup: { ...OFF, switches: 'as they are' },
      probe: { with: 'residual', neutral, ground },
    },
    { of: ['neutral'], setup: still, probe: { with: 'panel clamp', hot, neutral } },
    { of: ['ground'], setup: still, probe: { with: 'drop', hot, neutral, ground, loadA: 8 } },
    { of: ['ground'], setup: still, probe: { with: 'drop', hot, neutral, ground, loadA: 12 } },
    { of: ['ground', 'neutral'], setup: dead, probe: { with: 'lifted neutral', neutral, ground } },
  ];
}
