import Papa from 'papaparse';
import { PANEL, type Design } from '../../job/model/design';
import type { NewLine } from '../../job/commands/record-table';
import { PLAN_SYMBOLS, type PlanLine } from '../../job/model/record';
import type { Problem } from '../../job/model/problem';
import { BOX_FAMILIES } from '../../trade/standards/boxes';
import { CABLE_TYPES } from '../../trade/standards/cables';
import { SIDE_NAME } from '../../job/model/names';
import { FAMILY_NAME } from '../../trade/standards/names';
import { locale } from '../../base/words/language';
import { say } from '../../base/words/brief';

export interface LinesRead {
  /** Rows that read well; they can be taken even where others do not. */
  readonly good: readonly NewLine[];
  /** What is wrong, each with its row and column; rows are counted as a spreadsheet shows them. */
  readonly problems: readonly Problem[];
}

export const CSV_COLUMNS = ['kind', 'place', 'says'] as const;
const KINDS = ['cable', 'box', 'order', 'ground pin', 'height', 'all heights', 'note'] as const;
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
      say('linesCsv.tooLong', {
        characters: text.length.toLocaleString(locale),
        most: MAX_CHARACTERS.toLocaleString(locale),
      }),
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
      say('linesCsv.firstRow'),
      say('linesCsv.columnsMissing', { missing: missing.map((column) => `"${column}"`).join(', ') }),
      say('linesCsv.columnsWanted', { columns: CSV_COLUMNS.join(',') }),
    );
  }
  if (data.length > MAX_ROWS)
    return refuse('', say('linesCsv.tooManyRows', { rows: data.length, most: MAX_ROWS }));
  const good: NewLine[] = [];
  const problems: Problem[] = [];
  const firstRowOf = new Map<string, number>();
  data.forEach((row, index) => {
    const number = index + 2;
    const read = readRow(row, job);
    if ('column' in read) {
      problems.push(problemOf(read, say('linesCsv.rowColumn', { number, column: read.column })));
      return;
    }
    const key = duplicateKey(read);
    const first = key === null ? undefined : firstRowOf.get(key);
    if (first !== undefined) {
      problems.push({
        path: say('linesCsv.rowColumnPlace', { number }),
        message: say('linesCsv.saidTwice', { first, kind: read.about.kind }),
        wayOut: say('linesCsv.keepOneTwo'),
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

/** A line that was written by hand, by the same rules as a row of a file. */
export function readPlanLine(
  row: Readonly<Record<(typeof CSV_COLUMNS)[number], string>>,
  job: Design,
): LinesRead {
  const read = readRow(row, job);
  return 'column' in read
    ? { good: [], problems: [problemOf(read, COLUMN_NAME[read.column])] }
    : { good: [read], problems: [] };
}

const problemOf = ({ message, wayOut }: RowProblem, path: string): Problem => ({
  path,
  message,
  ...(wayOut ? { wayOut } : {}),
});

/** Two lines of one kind about one box or run cannot both bind. */
function duplicateKey({ about }: NewLine): string | null {
  if ('box' in about) return `${about.kind} ${about.box}`;
  return about.kind === 'cable' ? `cable ${about.run}` : null;
}

/** What the kinds of a line are called; a file may say the name or the kind itself. */
export const PLAN_KIND_NAME: Readonly<Record<PlanLine['about']['kind'], string>> = {
  cable: say('linesCsv.kindCable'),
  box: say('linesCsv.kindBox'),
  order: say('linesCsv.kindOrder'),
  'ground pin': say('linesCsv.kindGroundPin'),
  height: say('linesCsv.kindHeight'),
  'all heights': say('linesCsv.kindAllHeights'),
  note: say('linesCsv.kindNote'),
};
const COLUMN_NAME: Readonly<Record<(typeof CSV_COLUMNS)[number], string>> = {
  kind: say('linesCsv.columnKind'),
  place: say('linesCsv.columnPlace'),
  says: say('linesCsv.columnSays'),
};

interface RowProblem {
  readonly column: (typeof CSV_COLUMNS)[number];
  readonly message: string;
  readonly wayOut?: string;
}

function readRow(row: Readonly<Record<string, string>>, job: Design): NewLine | RowProblem {
  const [kind, place, says] = CSV_COLUMNS.map((column) => (row[column] ?? '').trim());
  const known = KINDS.find((one) => [one, PLAN_KIND_NAME[one]].some((word) => same(word, kind ?? '')));
  if (!known)
    return {
      column: 'kind',
      message: say('linesCsv.notKnown', { kind: kind ?? '' }),
      wayOut: say('linesCsv.known', { kinds: KINDS.map((one) => PLAN_KIND_NAME[one]).join(', ') }),
    };
  if (!says) return { column: 'says', message: say('linesCsv.empty') };
  const text = (about: PlanLine['about']): NewLine => ({
    says: [place, says].filter(Boolean).join(': ').slice(0, 200),
    about,
  });
  const box = job.boxes.find(({ name, id }) => same(name, place ?? '') || id === place);
  const noBox: RowProblem = {
    column: 'place',
    message: say('linesCsv.noBox', { place: place ?? '' }),
    wayOut: say('linesCsv.knownBoxes', { boxes: job.boxes.map(({ name }) => name).join(', ') }),
  };
  switch (known) {
    case 'cable': {
      const type = CABLE_TYPES.find(
        (one) => says.toLowerCase().startsWith(one) && !/^-\d/.test(says.slice(one.length)),
      );
      if (!type)
        return {
          column: 'says',
          message: say('linesCsv.notCable', { says }),
          wayOut: say('linesCsv.knownCableTypes', { types: CABLE_TYPES.join(', ') }),
        };
      const run = runBetween(job, place ?? '');
      return run
        ? text({ kind: 'cable', run, type })
        : {
            column: 'place',
            message: say('linesCsv.noRun', { place: place ?? '' }),
            wayOut: say('linesCsv.writePanelStairFoot'),
          };
    }
    case 'box': {
      if (!box) return noBox;
      const family = BOX_FAMILIES.find((one) =>
        [one, FAMILY_NAME[one]].some((word) => says.toLowerCase().includes(word.toLowerCase())),
      );
      if (!family)
        return {
          column: 'says',
          message: say('linesCsv.namesNoBoxFamily', { says }),
          wayOut: say('linesCsv.knownFamilies', {
            families: BOX_FAMILIES.map((one) => FAMILY_NAME[one]).join(', '),
          }),
        };
      const volume = /([\d.]+)\s*in[³3]/.exec(says)?.[1];
      return text({
        kind: 'box',
        box: box.id,
        family,
        volumeIn3: volume === undefined ? null : Number(volume),
        ring: says
          .toLowerCase()
          .split(/[^\p{L}]+/u)
          .some((word) => RING.includes(word))
          ? true
          : null,
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
          message:
            wrong === undefined ? say('linesCsv.boxMost4Devices') : say('linesCsv.notSymbol', { wrong }),
          wayOut: say('linesCsv.knownSymbols', { symbols: PLAN_SYMBOLS.join(', ') }),
        };
      }
      return text({ kind: 'order', box: box.id, symbols: symbols.filter((one) => one !== undefined) });
    }
    case 'ground pin': {
      const pin = (['up', 'down'] as const).find((one) =>
        [one, SIDE_NAME[one]].some((word) => same(word, says)),
      );
      return pin
        ? text({ kind: 'ground pin', pin })
        : { column: 'says', message: say('linesCsv.neitherUpNorDown', { says }) };
    }
    case 'height': {
      if (!box) return noBox;
      const heightIn = inchesIn(says);
      return heightIn === null
        ? { column: 'says', message: say('linesCsv.notHeightInches', { says }) }
        : text({ kind: 'height', box: box.id, heightIn });
    }
    case 'all heights': {
      const of = ALL_OF.find((one) => [one, ALL_OF_NAME[one]].some((word) => same(word, place ?? '')));
      if (!of)
        return {
          column: 'place',
          message: say('linesCsv.notAllOf', { place: place ?? '' }),
          wayOut: say('linesCsv.knownPlaces', { all: ALL_OF.map((one) => ALL_OF_NAME[one]).join(', ') }),
        };
      const heightIn = inchesIn(says);
      return heightIn === null
        ? { column: 'says', message: say('linesCsv.notHeightInches', { says }) }
        : text({ kind: 'all heights', of, heightIn });
    }
    case 'note':
      return text({ kind: 'note', met: null });
  }
}

/** How a ring is called in a file, in either language. */
const RING = ['ring', say('linesCsv.ring')];

/** A height in inches; null where it is none. */
function inchesIn(says: string): number | null {
  const heightIn = Number(says.replace(/\s*(in|")$/, ''));
  return heightIn > 0 && heightIn <= 240 ? heightIn : null;
}

const ALL_OF = ['switches', 'receptacles'] as const;
/** What a note for all of a kind speaks of. */
export const ALL_OF_NAME: Readonly<Record<(typeof ALL_OF)[number], string>> = {
  switches: say('linesCsv.allSwitches'),
  receptacles: say('linesCsv.allReceptacles'),
};

const same = (a: string, b: string): boolean => a.toLowerCase() === b.toLowerCase();

function runBetween(job: Design, words: string): string | null {
  const place = (name: string) =>
    same(name, PANEL) || same(name, say('linesCsv.panel'))
      ? PANEL
      : job.boxes.find((box) => same(box.name, name.trim()))?.id;
  for (const between of [' to ', ` ${say('linesCsv.to')} `]) {
    const [a, b] = words.split(between).map((name) => place(name.trim()));
    const run = job.runs.find((one) => (one.from === a && one.to === b) || (one.from === b && one.to === a));
    if (run) return run.id;
  }
  return null;
}
