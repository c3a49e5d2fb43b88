import { dollars, type Quote } from '@core/choices/takeoff/quote';
import type { Shop } from '@core/choices/takeoff/shop';
import { Fold } from '~/ui/fold';
import { NumberField } from '~/ui/number-field';
import { TextField } from '~/ui/text-field';
import { PriceField } from './price-field';
import type { OwnShop } from './use-shop';
import { say } from '~/words/take-off';

export function QuoteView({ quote, shop, change }: { quote: Quote; shop: Shop; change: OwnShop['change'] }) {
  const rows = [
    [say('quote.material'), quote.materialCents],
    [say('quote.markup'), quote.markupCents],
    [say('quote.labor', { hours: (quote.laborMinutes / 60).toFixed(1) }), quote.laborCents],
    [say('quote.tax'), quote.taxCents],
  ] as const;
  const allowance = (name: keyof Shop['allowances']) => (value: number) =>
    change({
      allowances: { [name]: name === 'wastePercent' || name === 'rollFt' ? Math.round(value) : value },
    });
  return (
    <section aria-labelledby="quote" className="grid gap-3">
      <h3 id="quote" className="eyebrow">
        {say('quote.title')}
      </h3>
      <table className="w-full" data-quote>
        <tbody>
          {rows.map(([name, amount]) => (
            <tr key={name}>
              <th scope="row" className="text-left font-normal">
                {name}
              </th>
              <td className="num text-right">{dollars(amount)}</td>
            </tr>
          ))}
          <tr className="border-t-2 border-ink font-bold">
            <th scope="row" className="text-left">
              {say('quote.total')}
            </th>
            <td className="num text-right">{dollars(quote.totalCents)}</td>
          </tr>
        </tbody>
      </table>
      <p className="text-sm">{say('quote.shopping', { total: dollars(quote.shoppingCents) })}</p>
      <p className="text-sm text-ink-soft">{say('quote.rounding')}</p>
      <div className="grid grid-cols-2 gap-2 print:hidden">
        <PriceField
          label={say('quote.markup')}
          unit="%"
          value={shop.markupPercent}
          onCommit={(markupPercent) => change({ markupPercent })}
        />
        <PriceField
          label={say('quote.tax')}
          unit="%"
          value={shop.taxPercent}
          onCommit={(taxPercent) => change({ taxPercent })}
        />
        <PriceField
          label={say('quote.perHour')}
          unit="$"
          value={shop.laborPerHour}
          onCommit={(laborPerHour) => change({ laborPerHour })}
        />
      </div>
      <div className="print:hidden">
        <TextField
          label={say('quote.color')}
          clearable
          value={shop.color}
          onCommit={(color) => change({ color: color.slice(0, 30) })}
        />
        <Fold title={say('quote.laborExamples')}>
          {() => (
            <div className="grid grid-cols-2 gap-2">
              {(Object.keys(shop.minutes) as (keyof Shop['minutes'])[]).map((task) => (
                <NumberField
                  key={task}
                  label={say('quote.task', { task })}
                  unit="min"
                  value={shop.minutes[task]}
                  min={0}
                  max={1000}
                  onCommit={(minutes) => change({ minutes: { [task]: minutes } })}
                />
              ))}
            </div>
          )}
        </Fold>
      </div>
      <h3 className="eyebrow print:hidden">{say('quote.allowances')}</h3>
      <div className="grid grid-cols-2 gap-2 print:hidden">
        {(
          [
            ['boxIn', say('quote.boxIn'), 'in', 0, 60],
            ['slackIn', say('quote.slackIn'), 'in', 0, 240],
            ['panelIn', say('quote.panelIn'), 'in', 0, 240],
            ['wastePercent', say('quote.waste'), '%', 0, 100],
            ['rollFt', say('quote.roll'), 'ft', 1, 5000],
          ] as const
        ).map(([name, label, unit, min, max]) => (
          <NumberField
            key={name}
            label={label}
            unit={unit}
            value={shop.allowances[name]}
            min={min}
            max={max}
            onCommit={allowance(name)}
          />
        ))}
      </div>
    </section>
  );
}
