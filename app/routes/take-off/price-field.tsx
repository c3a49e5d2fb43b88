import { Price } from '@core/choices/takeoff/shop';
import { Meanwhile } from '~/ui/meanwhile';
import { useDraft } from '~/ui/use-draft';
import { say } from '~/words/take-off';

/** A price or a percentage as it is written; taken when the field is left, refused beside it where it is none. */
export function PriceField({
  label,
  unit,
  value,
  onCommit,
}: {
  label: string;
  unit: string;
  value: string;
  onCommit: (price: string) => void;
}) {
  const { field, text, type, settle, meanwhile } = useDraft(`${label} ${unit}`, value);
  const fits = Price.safeParse(text.trim()).success;
  const commit = () => {
    if (!fits || text === value) return;
    settle(text.trim());
    if (text.trim() !== value) onCommit(text.trim());
  };
  return (
    <label className="grid min-w-0 gap-1">
      <span className="eyebrow">
        {label}, {unit}
      </span>
      <input
        {...field}
        className="field num"
        inputMode="decimal"
        value={text}
        maxLength={12}
        aria-invalid={!fits}
        onChange={(event) => type(event.currentTarget.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') settle(value);
        }}
      />
      <Meanwhile value={meanwhile} />
      {fits ? null : (
        <span role="alert" className="text-sm font-semibold">
          ▲ {say('list.badPrice')}
        </span>
      )}
    </label>
  );
}
