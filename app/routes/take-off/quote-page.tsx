import { Download, Printer, Share2, Upload } from 'lucide-react';
import { useRef, useState, type ReactNode } from 'react';
import { problemText, type Problem } from '@core/job/model/problem';
import { renamedStop, stopsOf } from '@core/choices/takeoff/aisles';
import { laborCsv, readPrices, takeOffCsv } from '@core/choices/takeoff/csv';
import { rollsOf } from '@core/choices/takeoff/cable-lines';
import { dollars, type Quote, type QuoteLine } from '@core/choices/takeoff/quote';
import type { Shop } from '@core/choices/takeoff/shop';
import { AnswerLine } from '~/ui/answer-line';
import { NumberField } from '~/ui/number-field';
import { Renamable } from '~/ui/renamable';
import { saveFile } from '~/ui/save-file';
import { TextField } from '~/ui/text-field';
import { PriceField } from './price-field';
import type { OwnShop } from './use-shop';
import { say } from '~/words/take-off';
import { QuoteView } from './quote-view';

/** What to take along and what it costs, for a job or for several. */
export function QuotePage({
  name,
  id,
  quote,
  own: { shop, change, bought, toggle },
  above,
}: {
  name: string;
  id: string;
  quote: Quote;
  own: OwnShop;
  /** What stands above the list: what it is of. */
  above?: ReactNode;
}) {
  const { lines, materialCents, totalCents } = quote;
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start gap-5 p-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,22rem)] print:block print:p-0">
      {above ? <div className="lg:col-span-2">{above}</div> : null}
      <div className="grid content-start gap-4">
        <AnswerLine>
          {lines.length === 0
            ? say('route.nothing')
            : say('route.answer', {
                lines: lines.length,
                material: dollars(materialCents),
                total: dollars(totalCents),
              })}
        </AnswerLine>
        <p className="text-sm text-ink-soft">{say('route.example')}</p>
        {stopsOf(lines).map((stop) => {
          const name = stop.own ?? say('route.aisle', { aisle: stop.aisle });
          return (
            <section key={`${stop.own ?? '*'} ${stop.aisle}`} aria-label={name} className="grid gap-2">
              <h3 className="eyebrow">
                <Renamable
                  value={name}
                  label={say('route.renameAisle', { name })}
                  onCommit={(to) => change(renamedStop(stop, shop, to.slice(0, 40)))}
                  onClear={stop.own === null ? undefined : () => change(renamedStop(stop, shop, ''))}
                />
              </h3>
              <ul className="grid gap-2">
                {stop.lines.map((one) => (
                  <Line
                    key={one.line.key}
                    one={one}
                    shop={shop}
                    change={change}
                    done={bought.has(one.line.key)}
                    toggle={() => toggle(one.line.key)}
                  />
                ))}
              </ul>
            </section>
          );
        })}
      </div>
      <aside className="grid content-start gap-5">
        <QuoteView quote={quote} shop={shop} change={change} />
        <Files job={name} id={id} quote={quote} bought={bought} shop={shop} change={change} />
      </aside>
    </main>
  );
}

function Line({
  one: { line, buy, price, cents, truck },
  shop,
  change,
  done,
  toggle,
}: {
  one: QuoteLine;
  shop: Shop;
  change: OwnShop['change'];
  done: boolean;
  toggle: () => void;
}) {
  const { key, name, unit, need, because, aisle } = line;
  const { rolls, leftFt } = rollsOf(buy, shop.allowances.rollFt);
  return (
    <li className="rounded-xl border-2 border-line bg-paper p-2 break-inside-avoid" data-line={key}>
      <label className="flex min-h-11 cursor-pointer items-center gap-3">
        <input
          type="checkbox"
          className="size-6 shrink-0 accent-(--plum)"
          checked={done}
          onChange={toggle}
          aria-label={say('list.bought', { name })}
        />
        <span className={`min-w-0 flex-1 ${done ? 'text-ink-soft line-through' : ''}`}>
          <span className="num text-lg font-bold">
            {buy === 0 ? say('list.all') : say('list.buy', { buy, unit })}
          </span>{' '}
          <span className="font-semibold">{name}</span>
          {aisle === 'cable' && rolls > 0 ? (
            <span className="block text-sm text-ink-soft">
              {say('list.rolls', { rolls, roll: shop.allowances.rollFt, left: leftFt })}
            </span>
          ) : null}
        </span>
        <span className="num">{price === null ? say('list.customers') : dollars(cents)}</span>
      </label>
      <details className="pl-9 print:hidden">
        <summary className="cursor-pointer py-1 text-sm text-ink-soft">{say('list.why')}</summary>
        <div className="grid gap-2 pb-2">
          <p className="text-sm">{say('list.need', { need, unit })}</p>
          <ul className="grid gap-0.5 text-sm">
            {because.map((reason, index) => (
              <li key={index}>{reason}</li>
            ))}
          </ul>
          <div className="grid grid-cols-2 gap-2">
            <NumberField
              label={say('list.truck')}
              unit={unit === 'ft' ? 'ft' : '×'}
              value={truck}
              min={0}
              max={100_000}
              onCommit={(own) => change({ truck: { [key]: own } })}
            />
            <PriceField
              label={say('list.price')}
              unit="$"
              value={price ?? ''}
              onCommit={(own) => change({ prices: { [key]: own } })}
            />
          </div>
          <TextField
            label={say('list.aisle')}
            clearable
            value={shop.shelved[key] ?? ''}
            onCommit={(own) => change({ shelved: { [key]: own.slice(0, 40) } })}
          />
        </div>
      </details>
    </li>
  );
}

function Files({
  job,
  id,
  quote,
  bought,
  shop,
  change,
}: {
  job: string;
  id: string;
  quote: Quote;
  bought: ReadonlySet<string>;
  shop: Shop;
  change: OwnShop['change'];
}) {
  const input = useRef<HTMLInputElement>(null);
  const [read, setRead] = useState<{ readonly count: number; readonly problems: readonly Problem[] } | null>(
    null,
  );
  const [copied, setCopied] = useState(false);
  const shopping = () =>
    [
      say('files.list', { job }),
      ...quote.lines
        .filter(({ buy }) => buy > 0)
        .map(({ line, buy }) =>
          say('files.line', { done: bought.has(line.key), buy, unit: line.unit, name: line.name }),
        ),
    ].join('\n');
  const share = async () => {
    const text = shopping();
    try {
      if (typeof navigator.share === 'function') await navigator.share({ text });
      else {
        await navigator.clipboard.writeText(text);
        setCopied(true);
      }
    } catch {
      // The user turned away from sharing: nothing is lost.
    }
  };
  return (
    <section aria-labelledby="files" className="grid gap-2 print:hidden">
      <h3 id="files" className="eyebrow">
        {say('files.title')}
      </h3>
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="button px-3"
          onClick={() => saveFile(`${id}.take-off.csv`, takeOffCsv(quote), 'text/csv')}
        >
          <Download aria-hidden size={18} /> {say('files.csv')}
        </button>
        <button
          type="button"
          className="button px-3"
          onClick={() => saveFile('labor.csv', laborCsv(shop), 'text/csv')}
        >
          <Download aria-hidden size={18} /> {say('files.labor')}
        </button>
        <button type="button" className="button px-3" onClick={() => input.current?.click()}>
          <Upload aria-hidden size={18} /> {say('files.prices')}
        </button>
        <button type="button" className="button px-3" onClick={() => void share()}>
          <Share2 aria-hidden size={18} /> {copied ? say('files.copied') : say('files.share')}
        </button>
        <button type="button" className="button px-3" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> {say('files.print')}
        </button>
      </div>
      <input
        ref={input}
        type="file"
        accept=".csv,text/csv"
        className="hidden"
        aria-label={say('files.prices')}
        onChange={(event) => {
          const file = event.currentTarget.files?.[0];
          event.currentTarget.value = '';
          if (!file) return;
          // No more is read than a list can hold: a huge file is refused by its size, not by the memory it takes.
          void file
            .slice(0, 4_000_004)
            .text()
            .then((text) => {
              const { prices, minutes, problems } = readPrices(text);
              setRead({ count: Object.keys(prices).length + Object.keys(minutes).length, problems });
              change({ prices, minutes });
            });
        }}
      />
      {read ? (
        <div role="status" className="grid gap-1 text-sm">
          <p className="font-semibold">{say('files.read', { count: read.count })}</p>
          {read.problems.slice(0, 5).map((problem) => (
            <p key={problem.path}>▲ {problemText(problem)}</p>
          ))}
        </div>
      ) : null}
    </section>
  );
}
