import { RadioGroup } from 'radix-ui';

export interface Option {
  readonly value: string;
  readonly label: string;
}

/** A few large buttons of which one is chosen. In a form it has a name; elsewhere a value and a handler. */
export function Choice({
  label,
  options,
  name,
  initial,
  value,
  onChange,
}: {
  label: string;
  options: readonly Option[];
  name?: string;
  initial?: string;
  value?: string;
  onChange?: (value: string) => void;
}) {
  return (
    <div className="grid gap-1">
      <span className="eyebrow" aria-hidden>
        {label}
      </span>
      <RadioGroup.Root
        aria-label={label}
        className="flex overflow-hidden rounded-[10px] border-2 border-ink"
        {...(name === undefined ? {} : { name })}
        {...(initial === undefined ? {} : { defaultValue: initial })}
        {...(value === undefined ? {} : { value })}
        {...(onChange === undefined ? {} : { onValueChange: onChange })}
      >
        {options.map((option) => (
          <RadioGroup.Item
            key={option.value}
            value={option.value}
            className="min-h-11 flex-1 border-l-2 border-ink bg-paper px-3 leading-tight font-semibold first:border-l-0 data-[state=checked]:bg-ink data-[state=checked]:text-sand"
          >
            {option.label}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </div>
  );
}
