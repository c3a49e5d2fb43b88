import { PANEL, type Circuit } from '@core/model/design';
import { useJob } from '../job/context';
import { Choice } from '~/ui/choice';
import { Select } from '~/ui/select';

/** Buttons up to this many boxes, a list beyond. */
const BUTTONS = 3;

/** Where a circuit's cable from the panel comes in. */
export function FeedChoice({ circuit }: { circuit: Circuit }) {
  const { job, run } = useJob();
  const feed = job.runs.find(
    (one) => (one.from === PANEL || one.to === PANEL) && one.circuits?.includes(circuit.id),
  );
  const [first] = job.boxes;
  if (!feed && first) {
    return (
      <Select
        label={`Circuit ${circuit.number} has no cable from the panel: pull one to`}
        value=""
        options={[
          { value: '', label: 'Choose a box' },
          ...job.boxes.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(to) => {
          if (to !== '') run({ do: 'add run', from: PANEL, to, lengthFt: 30, circuits: [circuit.id] });
        }}
      />
    );
  }
  if (!feed || job.boxes.length < 2) return null;
  const label = `Circuit ${circuit.number} arrives at`;
  const options = job.boxes.map(({ id, name }) => ({ value: id, label: name }));
  const field = {
    label,
    options,
    value: feed.from === PANEL ? feed.to : feed.from,
    onChange: (box: string) => run({ do: 'move feed', run: feed.id, box }),
  };
  return options.length <= BUTTONS ? <Choice {...field} /> : <Select {...field} />;
}
