import type { Design, Habits } from '@core/job/model/design';
import { EDITIONS } from '@core/trade/standards/source';
import { Choice } from '~/ui/choice';
import { say } from '~/words/lay-out';

/** The schools among which good electricians differ: the default first. */
const HABITS = [
  {
    key: 'midRun',
    label: say('habitFields.midRunReceptacle'),
    options: [
      ['pigtail', say('habitFields.pigtails')],
      ['feed-through', say('habitFields.throughScrews')],
    ],
  },
  {
    key: 'quad',
    label: say('habitFields.quad'),
    options: [
      ['pigtails', say('habitFields.pigtailsEach')],
      ['jumpers', say('habitFields.jumpers')],
    ],
  },
  {
    key: 'grounds',
    label: say('habitFields.grounds'),
    options: [
      ['tails', say('habitFields.pigtailEach')],
      ['folded', say('habitFields.oneGroundLeftLong')],
    ],
  },
  {
    key: 'connectors',
    label: say('habitFields.connectors'),
    options: [
      ['lever', say('habitFields.lever')],
      ['twist-on', say('habitFields.twist')],
    ],
  },
  {
    key: 'switchedHalf',
    label: say('habitFields.switchedHalf'),
    options: [
      ['bottom', say('habitFields.bottom')],
      ['top', say('habitFields.top')],
    ],
  },
  {
    key: 'groundPin',
    label: say('habitFields.groundPin'),
    options: [
      ['down', say('habitFields.down')],
      ['up', say('habitFields.up')],
    ],
  },
  {
    key: 'neutralAtSwitches',
    label: say('habitFields.neutralSwitchBox'),
    options: [
      ['always', say('habitFields.always')],
      ['where asked', say('habitFields.whereCodeAsks')],
    ],
  },
  {
    key: 'runColors',
    label: say('habitFields.n3WireRunSwitch'),
    options: [
      ['red switched', say('habitFields.redComesBackSwitched')],
      ['red constant', say('habitFields.redGoesDownConstant')],
    ],
  },
  {
    key: 'lineScrew',
    label: say('habitFields.lineSwitchs'),
    options: [
      ['lower', say('habitFields.lowerScrew')],
      ['upper', say('habitFields.upperScrew')],
    ],
  },
] as const satisfies readonly {
  key: keyof Habits;
  label: string;
  options: readonly (readonly [string, string])[];
}[];

/** The code edition and the habits, of a job or of a house; each really changes the wiring, the drawing or the steps. */
export function HabitFields({
  edition: current,
  habits,
  onEdition,
  onHabit,
}: {
  edition: Design['edition'];
  habits: Habits;
  onEdition: (edition: Design['edition']) => void;
  onHabit: (change: Partial<Habits>) => void;
}) {
  return (
    <>
      <Choice
        label={say('habitFields.codeEdition')}
        value={current}
        options={EDITIONS.map((edition) => ({ value: edition, label: edition }))}
        onChange={(value) => {
          const edition = EDITIONS.find((one) => one === value);
          if (edition) onEdition(edition);
        }}
      />
      {HABITS.map(({ key, label, options }) => (
        <Choice
          key={key}
          label={label}
          value={habits[key]}
          options={options.map(([value, text]) => ({ value, label: text }))}
          onChange={(value) => {
            const chosen = options.find(([one]) => one === value)?.[0];
            if (chosen) onHabit({ [key]: chosen });
          }}
        />
      ))}
    </>
  );
}
