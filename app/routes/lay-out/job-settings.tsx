import { TextField } from '~/ui/text-field';
import { useJob } from '../job/context';
import { Circuits } from './circuits';
import { say } from '~/words/lay-out';

/** The circuits, what the panel may hold, the groups by name, and the name and place of the job. */
export default function JobSettings() {
  const { job, run } = useJob();
  return (
    <div className="grid gap-5 pt-1">
      <Circuits />
      <button
        type="button"
        className="chip justify-self-start"
        aria-pressed={job.panelSplices}
        onClick={() => run({ do: 'allow panel splices', allowed: !job.panelSplices })}
      >
        {say('jobSettings.panelSplices')}
      </button>
      {job.groups.map(({ id, name }) => (
        <TextField
          key={id}
          label={say('jobSettings.whatSwitchCalled')}
          value={name}
          onCommit={(next) => run({ do: 'rename group', group: id, name: next })}
        />
      ))}
      <TextField
        label={say('jobSettings.job')}
        value={job.name}
        onCommit={(name) => run({ do: 'rename job', name })}
      />
      <TextField
        label={say('jobSettings.where')}
        clearable
        value={job.site}
        onCommit={(site) => run({ do: 'set site', site })}
      />
    </div>
  );
}
