import { Trash2, UserPlus } from 'lucide-react';
import { MOST_CREW, type Day } from '@core/job/model/day';
import type { Person } from '@core/job/model/house';
import { memberName, memberWords } from '@core/handover/day/words';
import { Choice } from '~/ui/choice';
import { Fold } from '~/ui/fold';
import { NumberField } from '~/ui/number-field';
import { Select } from '~/ui/select';
import { TextField } from '~/ui/text-field';
import { WeightSliders } from '~/ui/weight-sliders';
import { say } from '~/words/day';

interface Props {
  readonly day: Day;
  readonly people: readonly Person[];
  readonly onChange: (change: Partial<Day>) => void;
  /** Walls are asked of a job, not of a house. */
  readonly asksWalls: boolean;
}

const HOURS = Array.from({ length: 96 }, (_, quarter) => {
  const text = `${String(Math.floor(quarter / 4)).padStart(2, '0')}:${String((quarter % 4) * 15).padStart(2, '0')}`;
  return { value: text, label: text };
});

/** Who works, from when, and what is to be short. */
export function DaySettings({ day, people, onChange, asksWalls }: Props) {
  const from = HOURS.some(({ value }) => value === day.from)
    ? HOURS
    : [...HOURS, { value: day.from, label: day.from }];
  return (
    <section className="grid gap-4 print:hidden" aria-label={say('settings.title')}>
      <Crew day={day} people={people} onChange={onChange} />
      <div className="grid grid-cols-2 gap-2">
        <label className="grid gap-1">
          <span className="eyebrow">{say('settings.date')}</span>
          <input
            type="date"
            className="field"
            value={day.date ?? ''}
            onChange={(event) => {
              const { value } = event.currentTarget;
              if (value === '' || /^\d{4}-\d\d-\d\d$/.test(value))
                onChange({ date: value === '' ? null : value });
            }}
          />
        </label>
        <Select
          label={say('settings.from')}
          options={from}
          value={day.from}
          onChange={(value) => onChange({ from: value })}
        />
        <NumberField
          label={say('settings.hours')}
          unit="h"
          value={day.hours}
          min={0.5}
          max={24}
          onCommit={(hours) => onChange({ hours })}
        />
      </div>
      {asksWalls ? (
        <Choice
          label={say('settings.walls')}
          options={[
            { value: 'as planned', label: say('settings.asPlanned') },
            { value: 'open', label: say('settings.open') },
            { value: 'finished', label: say('settings.finished') },
          ]}
          value={day.walls}
          onChange={(walls) => onChange({ walls: walls as Day['walls'] })}
        />
      ) : null}
      <Fold title={say('settings.more')}>
        {() => (
          <div className="grid gap-4">
            <WeightSliders
              title={say('settings.matters')}
              names={WEIGHTS}
              weights={day.weights}
              onChange={(key, value) => onChange({ weights: { ...day.weights, [key]: value } })}
            />
            <div className="grid grid-cols-2 gap-2">
              <NumberField
                label={say('settings.inspection')}
                unit={say('settings.days')}
                value={day.inspectionDays}
                min={0}
                max={120}
                onCommit={(days) => onChange({ inspectionDays: Math.round(days) })}
              />
              <NumberField
                label={say('settings.closing')}
                unit={say('settings.days')}
                value={day.closingDays}
                min={0}
                max={120}
                onCommit={(days) => onChange({ closingDays: Math.round(days) })}
              />
            </div>
          </div>
        )}
      </Fold>
    </section>
  );
}

const WEIGHTS = [
  ['time', say('settings.time')],
  ['off', say('settings.off')],
  ['trips', say('settings.trips')],
] as const;

/** One to three people, each with what they may do. */
function Crew({ day, people, onChange }: Pick<Props, 'day' | 'people' | 'onChange'>) {
  const { crew } = day;
  const set = (person: number, change: Partial<Day['crew'][number]>) =>
    onChange({ crew: crew.map((one, index) => (index === person ? { ...one, ...change } : one)) });
  const known = people.filter(({ name }) => crew.every((one) => one.name !== name));
  return (
    <div className="grid gap-2">
      <span className="eyebrow">{say('settings.crew')}</span>
      <ul className="grid gap-2">
        {crew.map((member, person) => {
          const name = memberName(day, person);
          return (
            <li key={person} className="grid gap-1 rounded-xl border-2 border-line bg-paper p-2">
              <div className="flex items-end gap-2">
                <div className="min-w-0 flex-1">
                  <TextField
                    label={say('settings.name', { number: person + 1 })}
                    clearable
                    value={member.name}
                    onCommit={(text) => set(person, { name: text.slice(0, 80) })}
                  />
                </div>
                {crew.length > 1 ? (
                  <button
                    type="button"
                    className="button button-quiet px-3"
                    aria-label={say('settings.remove', { name })}
                    onClick={() => onChange({ crew: crew.filter((_, index) => index !== person) })}
                  >
                    <Trash2 aria-hidden size={18} />
                  </button>
                ) : null}
              </div>
              <button
                type="button"
                className="chip justify-self-start"
                aria-pressed={member.qualified}
                onClick={() => set(person, { qualified: !member.qualified })}
              >
                {memberWords(member)}
              </button>
            </li>
          );
        })}
      </ul>
      {crew.length < MOST_CREW ? (
        <div className="flex flex-wrap gap-2">
          {known.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              className="chip flex items-center gap-1"
              onClick={() =>
                // Whoever is the first to be named takes the place of nobody.
                onChange({
                  crew:
                    crew.length === 1 && crew[0]?.name === ''
                      ? [{ ...crew[0], name }]
                      : [...crew, { name, qualified: false }],
                })
              }
            >
              <UserPlus aria-hidden size={18} /> {name}
            </button>
          ))}
          <button
            type="button"
            className="chip flex items-center gap-1"
            onClick={() => onChange({ crew: [...crew, { name: '', qualified: false }] })}
          >
            <UserPlus aria-hidden size={18} /> {say('settings.another')}
          </button>
        </div>
      ) : null}
    </div>
  );
}
