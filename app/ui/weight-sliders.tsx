/** What matters how much, 0 to 10 each; `names` in the order in which they stand. */
export function WeightSliders<Key extends string>({
  title,
  names,
  weights,
  onChange,
}: {
  title: string;
  names: readonly (readonly [Key, string])[];
  weights: Readonly<Record<Key, number>>;
  /** While a thumb moves, and once it is let go. */
  onChange: (key: Key, value: number) => void;
}) {
  return (
    <section className="grid gap-3" aria-label={title}>
      <h3 className="text-lg font-bold">{title}</h3>
      <div className="grid gap-x-6 gap-y-2 sm:grid-cols-[repeat(auto-fit,minmax(12rem,1fr))]">
        {names.map(([key, name]) => (
          <label key={key} className="grid gap-1">
            <span className="flex justify-between font-semibold">
              {name} <span className="num">{weights[key]}</span>
            </span>
            <input
              type="range"
              className="h-11 w-full touch-pan-y accent-(--ink)"
              min={0}
              max={10}
              step={1}
              value={weights[key]}
              aria-label={name}
              onChange={(event) => onChange(key, event.currentTarget.valueAsNumber)}
            />
          </label>
        ))}
      </div>
    </section>
  );
}
