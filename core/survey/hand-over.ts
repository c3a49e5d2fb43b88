import type { DesignCommand } from '../commands/command';
import type { Design } from '../model/design';
import { bad, good, type Checked } from '../model/problem';
import type { Survey } from '../model/survey';
import { weigh } from './evidence';
import { differences, layOutFound } from './lay-out-found';
import { verdictOf } from './verdict';
import { say } from '../words/survey';

/**
 * The command that makes what was found the layout: boxes and runs that are there and stay. `take`: which of the two,
 * where job and wall differ. Gives problems where it is not proven, or where they differ and none was chosen.
 */
export function handOver(design: Design, survey: Survey, take?: 'job' | 'wall'): Checked<DesignCommand> {
  const standings = weigh(survey);
  const { tap, groundUnproven } = verdictOf(survey, standings);
  const [best] = standings.filter(({ against }) => against.length === 0);
  if (!best || (tap !== 'yes' && !groundUnproven)) {
    return bad({
      path: 'survey',
      message: tap === 'no' ? say('handOver.verdictNoNothingCanTapped') : say('handOver.notKnownYetHowWired'),
      wayOut: tap === 'no' ? say('handOver.seeWaysOutVerdict') : say('handOver.takeReadingsStillMissing'),
    });
  }
  const [differs] = differences(design, survey).filter(({ decides }) => decides);
  if (differs && take === undefined)
    return bad({ path: 'take', message: differs.says, wayOut: say('handOver.chooseTwoRight') });
  const { circuits, groups, boxes, runs, devices, rooms } = layOutFound(design, survey, best, take);
  return good({ do: 'take layout', layout: { circuits, groups, boxes, runs, devices, rooms } });
}
