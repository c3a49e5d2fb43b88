import type { Habits } from '@core/model/design';
import { EDITIONS } from '@core/standards/source';
import { Choice } from '~/ui/choice';
import { useJob } from '../job/context';

/** The schools among which good electricians differ: the default first. */
const HABITS = [
  {
    key: 'midRun',
    label: 'Mid-run receptacle',
    options: [
      ['pigtail', 'Pigtails'],
      ['feed-through', 'Through its screws'],
    ],
  },
  {
    key: 'grounds',
    label: 'Grounds',
    options: [
      ['tails', 'A pigtail for each'],
      ['folded', 'One ground left long'],
    ],
  },
  {
    key: 'connectors',
    label: 'Connectors',
    options: [
      ['lever', 'Lever'],
      ['twist-on', 'Twist-on'],
    ],
  },
  {
    key: 'switchedHalf',
    label: 'Switched half',
    options: [
      ['bottom', 'Bottom'],
      ['top', 'Top'],
    ],
  },
  {
    key: 'groundPin',
    label: 'Ground pin',
    options: [
      ['down', 'Down'],
      ['up', 'Up'],
    ],
  },
  {
    key: 'neutralAtSwitches',
    label: 'Neutral at a switch box',
    options: [
      ['always', 'Always'],
      ['where asked', 'Where the code asks'],
    ],
  },
  {
    key: 'runColors',
    label: 'On a 3-wire run to a switch',
    options: [
      ['red switched', 'Red comes back switched'],
      ['red constant', 'Red goes down constant'],
    ],
  },
  {
    key: 'lineScrew',
    label: "Line on a switch's",
    options: [
      ['lower', 'Lower screw'],
      ['upper', 'Upper screw'],
    ],
  },
] as const satisfies readonly {
  key: keyof Habits;
  label: string;
  options: readonly (readonly [string, string])[];
}[];

/** The code edition and the habits of the house; each really changes the wiring, the drawing or the steps. */
export function HabitFields() {
  const { job, run } = useJob();
  return (
    <>
      <Choice
        label="Code edition"
        value={job.edition}
        options={EDITIONS.map((edition) => ({ value: edition, label: edition }))}
        onChange={(value) => {
          const edition = EDITIONS.find((one) => one === value);
          if (edition) run({ do: 'set edition', edition });
        }}
      />
      {HABITS.map(({ key, label, options }) => (
        <Choice
          key={key}
          label={label}
          value={job.habits[key]}
          options={options.map(([value, text]) => ({ value, label: text }))}
          onChange={(value) => {
            const chosen = options.find(([one]) => one === value)?.[0];
            if (chosen) run({ do: 'set habits', habits: { [key]: chosen } });
          }}
        />
      ))}
    </>
  );
}
