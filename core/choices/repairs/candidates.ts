import { circuitName, placeName } from '../../job/model/called';
import type { Refusal } from '../../wiring/layout/refusal';
import { type Design } from '../../job/model/design';
import { say } from '../../base/words/repairs';
import { keeps, type Candidate } from './candidate';
import {
  replaceRun,
  corrected,
  moreRuns,
  openBoxes,
  moves,
  smallerBreakers,
  newRuns,
  runsBetweenBoxes,
} from './runs';
import {
  radios,
  fewerNeutrals,
  alwaysOn,
  newSwitches,
  ownSwitches,
  oneFeed,
  oneFeedInBox,
  otherSwitches,
} from './switching';

/** What is worth trying against one refusal. */
export function candidatesFor(job: Design, refusal: Refusal): Candidate[] {
  const named = (kind: Refusal['at'][number]['kind']) => refusal.at.filter((place) => place.kind === kind);
  const [run] = named('run').map(({ id }) => job.runs.find((one) => one.id === id));
  const [box] = named('box').map(({ id }) => id);
  const [circuit] = named('circuit').map(({ id }) => id);
  const [group] = named('group').map(({ id }) => id);
  switch (refusal.code) {
    case 'too few conductors':
    case 'too many conductors':
    case 'search limit':
      return [
        ...(run
          ? [...replaceRun(job, run), ...moreRuns(job, run), ...openBoxes(job, [run.from, run.to])]
          : []),
        ...radios(job),
        ...fewerNeutrals(job),
        ...moves(job, run),
      ];
    case 'conductor too small':
      return run ? [...replaceRun(job, run), ...smallerBreakers(job, run)] : [];
    case 'no power':
      return box && circuit ? newRuns(job, box, circuit) : [];
    case 'no switch':
      return group ? [...newSwitches(job, group), ...alwaysOn(job, group)] : [];
    case 'two circuits':
      return group ? [...ownSwitches(job, group), ...oneFeed(job, group)] : box ? oneFeedInBox(job, box) : [];
    case 'wrong switch':
      return box && group ? otherSwitches(job, group, box) : [];
    case 'panel splice':
      return [
        ...runsBetweenBoxes(
          job,
          named('box').map(({ id }) => id),
        ),
        ...openBoxes(
          job,
          named('box').map(({ id }) => id),
        ),
        keeps(say('candidates.spliceInPanel'), [{ do: 'allow panel splices', allowed: true }], 60),
      ];
    case 'no ground':
      return run ? [...replaceRun(job, run), ...moves(job, run)] : [];
    case 'reversed pair':
      return run ? [...corrected(job, run), ...replaceRun(job, run)] : [];
    case 'bootleg':
      return named('device').map(({ id }) =>
        keeps(
          say('candidates.removeTie', {
            box: box ? placeName(job, box) : say('candidates.outlet'),
          }),
          [{ do: 'set device', device: id, change: { bootleg: false } }],
          6,
        ),
      );
    case 'closed box':
      return [
        ...openBoxes(
          job,
          named('box').map(({ id }) => id),
        ),
        ...radios(job),
      ];
    case 'same leg':
      return circuit
        ? [
            keeps(
              say('candidates.moveBreakerOtherLeg', { circuitName: circuitName(job, circuit) }),
              [
                {
                  do: 'set circuit',
                  circuit,
                  change: { leg: job.circuits.find(({ id }) => id === circuit)?.leg === 'A' ? 'B' : 'A' },
                },
              ],
              5,
            ),
          ]
        : [];
  }
}
