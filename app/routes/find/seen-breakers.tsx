import type { Survey } from '@core/job/model/survey';
import type { SeenChange } from '@core/job/seen/seen-box';
import { TextField } from '~/ui/text-field';
import { say } from '~/words/find';

export type Note = (change: SeenChange) => void;

/** As many letters as a breaker's number may have, and as many other breakers as Find takes in. */
const NUMBER_MOST = 12;
const OTHERS_MOST = 4;

export function Breakers({ survey, note }: { survey: Survey; note: Note }) {
  return (
    <>
      <TextField
        label={say('seenPanel.breaker')}
        value={survey.breaker}
        onCommit={(breaker) => note({ what: 'breaker', breaker: breaker.slice(0, NUMBER_MOST) })}
      />
      <TextField
        label={say('seenPanel.directoryGivesAnotherOne')}
        clearable
        value={survey.listed ?? ''}
        onCommit={(listed) =>
          note({ what: 'directory', listed: listed.trim().slice(0, NUMBER_MOST) || null })
        }
      />
      <TextField
        label={say('seenPanel.otherBreakers')}
        clearable
        value={survey.others.join(', ')}
        onCommit={(words) =>
          note({
            what: 'other breakers',
            others: words
              .split(',')
              .map((one) => one.trim().slice(0, NUMBER_MOST))
              .filter((one) => one !== '' && one !== survey.breaker)
              .slice(0, OTHERS_MOST),
          })
        }
      />
    </>
  );
}
