import Papa from 'papaparse';
import type { Problem } from '../../job/model/problem';
import { locale } from '../../base/words/language';
import { say } from '../../base/words/takeoff';
import type { Quote } from './quote';
import { MINUTES } from '../../trade/standards/prices';
import { Price, type Shop } from './shop';

/** Signs at the start of a cell that a spreadsheet would take for a formula. */
const FORMULA = /^[=+\-@\t\r]/;
const defused = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);

/** Rows as CSV (RFC 4180: commas, quotes doubled, lines ended by CR LF); no cell of it is a formula. */
export const writeCsv = (
  columns: readonly string[],
  rows: readonly (readonly (string | number)[])[],
): string =>
  Papa.unparse(
    [
      [...columns],
      ...rows.map((row) => row.map((cell) => (typeof cell === 'number' ? cell : defused(cell)))),
    ],
    { newline: '\r\n' },
  );

/** The take-off as CSV; read again, its prices are the shop's. */
export const takeOffCsv = ({ lines }: Quote): string =>
  writeCsv(
    ['item', 'name', 'unit', 'need', 'on truck', 'buy', 'price', 'total'],
    lines.map(({ line, truck, buy, price, cents }) => [
      line.key,
      line.name,
      line.unit,
      line.need,
      truck,
      buy,
      price === null ? '' : Number(price),
      cents / 100,
    ]),
  );

/** The shop's labor as CSV: minutes by task; read again it is the shop's. */
export const laborCsv = ({ minutes }: Shop): string =>
  writeCsv(
    ['task', 'minutes', 'what'],
    Object.entries(minutes).map(([task, value]) => [task, value, say('labor.task', { task })]),
  );

const MOST_CHARACTERS = 1_000_000;
const MOST_ROWS = 5000;
const MOST_KEY = 200;

export interface PricesRead {
  readonly prices: Readonly<Record<string, string>>;
  /** Minutes by task, where it was a table of labor. */
  readonly minutes: Readonly<Partial<Shop['minutes']>>;
  readonly problems: readonly Problem[];
}

/** Prices from CSV with the columns `item` and `price`, or labor with `task` and `minutes`. Rows that read well are taken even where others do not. */
export function readPrices(text: string): PricesRead {
  const refuse = (message: string, wayOut: string): PricesRead => ({
    prices: {},
    minutes: {},
    problems: [{ path: 'file', message, wayOut }],
  });
  if (text.length > MOST_CHARACTERS)
    return refuse(
      say('csv.tooLong', {
        characters: text.length.toLocaleString(locale),
        most: MOST_CHARACTERS.toLocaleString(locale),
      }),
      say('csv.lessWayOut'),
    );
  const { data, meta } = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim().toLowerCase(),
  });
  if (['task', 'minutes'].every((name) => meta.fields?.includes(name)) && data.length <= MOST_ROWS)
    return readLabor(data);
  if (!['item', 'price'].every((name) => meta.fields?.includes(name)))
    return refuse(say('csv.noColumns'), say('csv.columnsWayOut'));
  if (data.length > MOST_ROWS)
    return refuse(say('csv.tooMany', { rows: data.length, most: MOST_ROWS }), say('csv.lessWayOut'));
  const prices = new Map<string, string>();
  const problems: Problem[] = [];
  data.forEach((row, index) => {
    const item = (row['item'] ?? '').trim().slice(0, MOST_KEY);
    const written = (row['price'] ?? '').trim();
    // What the customer brings has no price.
    if (item !== '' && written === '') return;
    const price = Price.safeParse(written);
    if (item !== '' && price.success) prices.set(item, price.data);
    else
      problems.push({
        path: `row ${index + 2}`,
        message: say('csv.noPrice', { text: (row['price'] ?? '').slice(0, 40) }),
        wayOut: say('csv.wayOut'),
      });
  });
  return { prices: Object.fromEntries(prices), minutes: {}, problems };
}

function readLabor(rows: readonly Readonly<Record<string, string>>[]): PricesRead {
  const minutes: Partial<Record<keyof Shop['minutes'], number>> = {};
  const problems: Problem[] = [];
  rows.forEach((row, index) => {
    const task = TASKS.find((one) => one === (row['task'] ?? '').trim());
    const text = (row['minutes'] ?? '').trim();
    const value = text === '' ? NaN : Number(text);
    if (task && value >= 0 && value <= 1000) minutes[task] = value;
    else
      problems.push({
        path: `row ${index + 2}`,
        message: say('csv.noMinutes', { text: text.slice(0, 40), task: (row['task'] ?? '').slice(0, 40) }),
        wayOut: say('csv.laborWayOut'),
      });
  });
  return { prices: {}, minutes, problems };
}

const TASKS = Object.keys(MINUTES) as (keyof typeof MINUTES)[];
