import { applyCommands, type DesignCommand } from '@core/job/commands/command';
import type { Sheet } from '@core/job/model/sheet';
import { trace, type Tap } from '@core/job/sheet/trace';
import { useNotify } from '~/ui/notices';
import { useJob } from '../job/context';
import { say } from '~/words/sheet';

/** From taps on a sheet to what comes of them in the job, with what has to be there before in the same step. */
export function useTrace(sheet: Sheet): (tap: Tap, before?: readonly DesignCommand[]) => void {
  const { job, run } = useJob();
  const notify = useNotify();
  return (tap, before = []) => {
    const first = applyCommands(job, before);
    const done = first.ok ? trace(first.value.job, sheet.id, tap) : first;
    if (done.ok) run(...before, done.value);
    else notify(say('trace.notTraced'), done.problems);
  };
}
