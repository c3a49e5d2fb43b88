import Papa from 'papaparse';
import { PANEL, type Design } from '../model/design';
import { PLAN_SYMBOLS, type PlanLine } from '../model/record';
import type { Problem } from '../model/problem';
import { BOX_FAMILIES } from '../standards/boxes';
import { CABLE_TYPES } from '../standards/cables';

export type NewLine = Omit<PlanLine, 'id'>;

export interface LinesRead {
  /** Rows that read well; they can be taken even where others do not. */
  readonly good: readonly NewLine[];
  /** What is wrong, each with its row and column; rows are counted as a spreadsheet shows them. */
  readonly problems: readonly Problem[];
}

export const CSV_COLUMNS = ['kind', 'place', 'says'] as const;
const KINDS = ['cable', 'box', 'order', 'ground pin', 'height', 'note'] as const;
/** Longest plan read, in characters and rows. */
const MAX_CHARACTERS = 200_000;
const MAX_ROWS = 300;

/**
 * Reads call-outs and notes from CSV with the columns kind, place, says, such as
 * `cable,panel to Stair foot,14-2` or `order,Stair foot,S3 | duplex`. Never throws.
 */
export function readPlanCsv(text: string, job: Design): LinesRead {
  if (text.length > MAX_CHARACTERS) {
    return refuse(
      '',
      `the file has ${text.length.toLocaleString('en-US')} characters; a plan has at most ${MAX_CHARACTERS.toLocaleString('en-US')}`,
    );
  }
  const { data, meta } = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim().toLowerCase(),
  });
  const missing = CSV_COLUMNS.filter((column) => !meta.fields?.includes(column));
  if (missing.length > 0) {
    return refuse(
      'row 1',
      `the columns ${missing.map((column) => `"${column}"`).join(', ')} are missing`,
      `The first row must say: ${CSV_COLUMNS.join(',')}`,
    );
  }
  if (data.length > MAX_ROWS) return refuse('', `the file has ${data.length} rows; ${MAX_ROWS} is the most`);
  const good: NewLine[] = [];
  const problems: Problem[] = [];
  const firstRowOf = new Map<string, number>();
  data.forEach((row, index) => {
    const number = index + 2;
    const read = readRow(row, job);
    if ('column' in read) {
      problems.push({
        path: `row ${number}, column ${read.column}`,
        message: read.message,
        ...(read.wayOut ? { wayOut: read.wayOut } : {}),
      });
      return;
    }
    const key = duplicateKey(read);
    const first = key === null ? undefined : firstRowOf.get(key);
    if (first !== undefined) {
      problems.push({
        path: `row ${number}, column place`,
        message: `says again what row ${first} says of the same ${read.about.kind === 'cable' ? 'run' : 'box'}`,
        wayOut: 'Keep one of the two.',
      });
      return;
    }
    if (key !== null) firstRowOf.set(key, number);
    good.push(read);
  });
  return { good, problems };
}

const refuse = (path: string, message: string, wayOut?: string): LinesRead => ({
  good: [],
  problems: [{ path, message, ...(wayOut ? { wayOut } : {}) }],
});

/** Two lines of one kind about one box or run cannot both bind. */
function duplicateKey({ about }: NewLine): string | null {
  if ('box' in about) return `${about.kind} ${about.box}`;
  return about.kind === 'cable' ? `cable ${about.run}` : null;
}

interface RowProblem {
  readonly column: (typeof CSV_COLUMNS)[number];
  readonly message: string;
  readonly wayOut?: string;
}

function readRow(row: Record<string, string>, job: Design): NewLine | RowProblem {
  const [kind, place, says] = CSV_COLUMNS.map((column) => (row[column] ?? '').trim());
  const known = KINDS.find((one) => one === kind?.toLowerCase());
  if (!known)
    return { column: 'kind', message: `"${kind ?? ''}" is not known`, wayOut: `Known: ${KINDS.join(', ')}.` };
  if (!says) return { column: 'says', message: 'is empty' };
  const text = (about: PlanLine['about']): NewLine => ({
    says: [place, says].filter(Boolean).join(': ').slice(0, 200),
    about,
  });
  const box = job.boxes.find(({ name, id }) => same(name, place ?? '') || id === place);
  const noBox: RowProblem = {
    column: 'place',
    message: `there is no box "${place ?? ''}"`,
    wayOut: `Known: ${job.boxes.map(({ name }) => name).join(', ')}.`,
  };
  switch (known) {
    case 'cable': {
      const type = CABLE_TYPES.find(
        (one) => says.toLowerCase().startsWith(one) && !/^-\d/.test(says.slice(one.length)),
      );
      if (!type)
        return {
          column: 'says',
          message: `"${says}" is not a cable`,
          wayOut: `Known: ${CABLE_TYPES.join(', ')}.`,
        };
      const run = runBetween(job, place ?? '');
      return run
        ? text({ kind: 'cable', run, type })
        : {
            column: 'place',
            message: `there is no run "${place ?? ''}"`,
            wayOut: 'Write it as "panel to Stair foot".',
          };
    }
    case 'box': {
      if (!box) return noBox;
      const family = BOX_FAMILIES.find((one) => says.toLowerCase().includes(one));
      if (!family)
        return {
          column: 'says',
          message: `"${says}" names no box family`,
          wayOut: `Known: ${BOX_FAMILIES.join(', ')}.`,
        };
      const volume = /([\d.]+)\s*in[³3]/.exec(says)?.[1];
      return text({
        kind: 'box',
        box: box.id,
        family,
        volumeIn3: volume === undefined ? null : Number(volume),
      });
    }
    case 'order': {
      if (!box) return noBox;
      const words = says.split('|').map((word) => word.trim());
      const symbols = words.map((word) => PLAN_SYMBOLS.find((one) => same(one, word)));
      const wrong = words.find((_, index) => symbols[index] === undefined);
      if (wrong !== undefined || symbols.length > 4) {
        return {
          column: 'says',
          message: wrong === undefined ? 'a box has at most 4 devices' : `"${wrong}" is not a symbol`,
          wayOut: `Known: ${PLAN_SYMBOLS.join(', ')}, with | between.`,
        };
      }
      return text({ kind: 'order', box: box.id, symbols: symbols.filter((one) => one !== undefined) });
    }
    case 'ground pin': {
      const pin = says.toLowerCase();
      return pin === 'up' || pin === 'down'
        ? text({ kind: 'ground pin', pin })
        : { column: 'says', message: `"${says}" is neither up nor down` };
    }
    case 'height': {
      if (!box) return noBox;
      const heightIn = Number(says.replace(/\s*(in|")$/, ''));
      return heightIn > 0 && heightIn <= 240
        ? text({ kind: 'height', box: box.id, heightIn })
        : { column: 'says', message: `"${says}" is not a height in inches` };
    }
    case 'note':
      return text({ kind: 'note', met: null });
  }
}

const same = (a: string, b: string): boolean => a.toLowerCase() === b.toLowerCase();

function runBetween(job: Design, words: string): string | null {
  const [from = '', to = ''] = words.split(/\s+to\s+/i);
  const place = (name: string) =>
    same(name, PANEL) ? PANEL : job.boxes.find((box) => same(box.name, name.trim()))?.id;
  const [a, b] = [place(from.trim()), place(to.trim())];
  return (
    job.runs.find((run) => (run.from === a && run.to === b) || (run.from === b && run.to === a))?.id ?? null
  );
}
