import { useId, useState } from 'react';
import { figureProblem, readFigure } from '~/ui/figure';

const [LEAST_FT, MOST_FT] = [0.25, 2000];

/** Lengths as they are said on site, taken together. What is none is answered and nothing is taken. */
export function FeetForm({
  fields,
  submit,
  onSet,
}: {
  fields: readonly { readonly name: string; readonly label: string }[];
  submit: string;
  onSet: (feet: readonly number[]) => void;
}) {
  const [text, setText] = useState<Readonly<Record<string, string>>>({});
  const [tried, setTried] = useState(false);
  const answer = useId();
  const problems = fields.map(({ name }) => figureProblem(text[name] ?? '', 'ft', LEAST_FT, MOST_FT));
  const wrong = tried ? problems.find((one) => one !== null) : undefined;
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (problems.some((one) => one !== null)) return;
        onSet(fields.map(({ name }) => readFigure(text[name] ?? '', 'ft')));
      }}
    >
      {fields.map(({ name, label }, index) => (
        <label key={name} className="grid min-w-32 flex-1 gap-1">
          <span className="eyebrow">{label}</span>
          <input
            className="field num"
            name={name}
            value={text[name] ?? ''}
            placeholder={`12'6"`}
            autoComplete="off"
            aria-invalid={tried && problems[index] !== null}
            aria-describedby={wrong ? answer : undefined}
            onChange={(event) => setText({ ...text, [name]: event.currentTarget.value })}
          />
        </label>
      ))}
      <button type="submit" className="button button-strong">
        {submit}
      </button>
      {wrong ? (
        <p id={answer} role="alert" className="w-full text-sm">
          ▲ {wrong}
        </p>
      ) : null}
    </form>
  );
}
