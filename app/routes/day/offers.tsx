import type { Offer } from '@core/choices/day/measured';
import type { Shop } from '@core/choices/takeoff/shop';
import { say } from '~/words/day';
import { say as sayTakeOff } from '~/words/take-off';

/** What was measured against what the labor table says, each to be taken over by a tap. */
export function Offers({
  offers,
  onTake,
}: {
  offers: readonly Offer[];
  onTake: (minutes: Partial<Shop['minutes']>) => void;
}) {
  if (offers.length === 0) return null;
  return (
    <section aria-labelledby="measured" className="grid gap-2">
      <h3 id="measured" className="eyebrow">
        {say('offers.title')}
      </h3>
      <ul className="grid gap-2">
        {offers.map(({ row, now, median, count }) => (
          <li key={row} className="grid gap-1 rounded-xl border-2 border-line bg-paper p-2">
            <span className="font-semibold">{sayTakeOff('quote.task', { task: row })}</span>
            <span>{say('offers.measured', { now, median, count })}</span>
            <button type="button" className="button" onClick={() => onTake({ [row]: median })}>
              {say('offers.take', { median })}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
