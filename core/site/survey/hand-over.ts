import type { DesignCommand, RecordCommand } from '../../job/commands/command';
import type { Design } from '../../job/model/design';
import { bad, good, type Checked } from '../../job/model/problem';
import type { Survey } from '../../job/model/survey';
import { weigh } from './evidence';
import { hazardsIn, mayBeLeft } from './first-grade';
import { differences } from './differences';
import { layOutFound } from './lay-out-found';
import { verdictOf } from './verdict';
import { say } from '../../base/words/survey';

/**
 * The commands that make what was found the layout, boxes and runs that are there and stay, and note what was left
 * open. `take`: which of the two, where job and wall differ. Gives problems where it is neither proven nor a yes on
 * readings, or where they differ and none was chosen.
 */
export function handOver(
  design: Design,
  survey: Survey,
  take?: 'job' | 'wall',
): Checked<readonly [DesignCommand, RecordCommand]> {
  const standings = weigh(survey);
  const { tap, groundUnproven, from, first } = verdictOf(survey, standings);
  const onReadings = tap !== 'yes' && first?.reached === true ? first : null;
  const pair = from ?? onReadings?.pair ?? null;
  const agreeing = standings.filter(({ against }) => against.length === 0);
  // On few readings a guess that has a hazard may be believed most: what is laid out is the sound one.
  const best = onReadings
    ? agreeing.find(({ weighed }) => hazardsIn(weighed, onReadings.pair).length === 0)
    : agreeing[0];
  if (!best || (pair === null && !groundUnproven)) {
    return bad({
      path: 'survey',
      message: tap === 'no' ? say('handOver.verdictNo') : say('handOver.notKnown'),
      wayOut: tap === 'no' ? say('handOver.seeWaysOutVerdict') : say('handOver.takeReadingsStillMissing'),
    });
  }
  const [differs] = differences(design, survey).filter(({ decides }) => decides);
  if (differs && take === undefined)
    return bad({ path: 'take', message: differs.says, wayOut: say('handOver.chooseTwoRight') });
  const { circuits, groups, boxes, runs, devices, rooms } = layOutFound(
    design,
    survey,
    best,
    take,
    onReadings !== null,
  );
  const left = onReadings?.left.filter(mayBeLeft) ?? [];
  return good([
    { do: 'take layout', layout: { circuits, groups, boxes, runs, devices, rooms } },
    { do: 'lay out survey', survey: survey.id, laidOut: pair && { pair, left } },
  ]);
}
