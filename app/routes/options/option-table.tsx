import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
  type Table,
} from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { isStopped, type Option } from '@core/choices/options/option';
import { SEVERITIES } from '@core/code/rules/check';
import { SeverityMark } from '~/ui/severity';
import { say } from '~/words/options';

interface Row {
  readonly option: Option;
  readonly points: number;
}

const column = createColumnHelper<Row>();

/** The one with more of what is worse comes last. */
const byFindings = (a: Option, b: Option): number => {
  const worst = SEVERITIES.find((one) => a.figures.findings[one] !== b.figures.findings[one]);
  return worst ? a.figures.findings[worst] - b.figures.findings[worst] : 0;
};

const COLUMNS = [
  column.accessor(({ option }) => option.says, {
    id: 'way',
    header: say('optionTable.way'),
    cell: ({ row: { original } }) => (
      <div className="min-w-[min(14rem,100%)]">
        <p className="font-semibold">{original.option.says}</p>
        {original.option.worst.slice(0, 2).map(({ severity, says }) => (
          <p key={says} className="flex items-baseline gap-1 text-sm">
            <SeverityMark severity={severity} /> {says}
          </p>
        ))}
        {original.option.dominated ? (
          <p className="text-sm text-ink-soft">
            {say('optionTable.ruledOut', { why: original.option.dominated.why })}
          </p>
        ) : null}
      </div>
    ),
  }),
  column.accessor('points', {
    id: 'points',
    header: say('optionTable.score'),
    cell: (cell) =>
      isStopped(cell.row.original.option) ? say('optionTable.hazard') : cell.getValue().toFixed(1),
  }),
  column.accessor(({ option }) => option.figures.materialUsd, {
    id: 'material',
    header: say('optionTable.material'),
  }),
  column.accessor(({ option }) => option.figures.laborMin, {
    id: 'labor',
    header: say('optionTable.laborMin'),
  }),
  column.accessor(({ option }) => option.figures.holes, {
    id: 'holes',
    header: say('optionTable.holes'),
  }),
  column.accessor(({ option }) => option.figures.newCableFt, {
    id: 'cable',
    header: say('optionTable.cableFt'),
    // A length that nothing was measured for is called a guess.
    cell: (cell) =>
      say('optionTable.figure', {
        guessed: cell.row.original.option.guessed,
        figure: cell.getValue(),
      }),
  }),
  column.accessor(({ option }) => option.figures.disturbance, {
    id: 'disturbance',
    header: say('optionTable.existingWorkTouched'),
  }),
  column.accessor(({ option }) => option.figures.fullest, {
    id: 'fill',
    header: say('optionTable.fullestBox'),
    cell: (cell) => `${Math.round(cell.getValue() * 100)} %`,
  }),
  column.accessor(({ option }) => option.figures.spareVA, {
    id: 'spare',
    header: say('optionTable.spareCapacityVa'),
    cell: (cell) => Math.round(cell.getValue()),
  }),
  column.accessor(({ option }) => option.figures.findings, {
    id: 'findings',
    header: say('optionTable.findings'),
    sortingFn: (a, b) => byFindings(a.original.option, b.original.option),
    cell: (cell) => <Findings of={cell.getValue()} />,
  }),
];

/** How many findings of each severity. */
function Findings({ of }: { of: Option['figures']['findings'] }) {
  const there = SEVERITIES.filter((one) => of[one] > 0);
  return (
    <span className="flex gap-2">
      {there.map((one) => (
        <span key={one} className="flex items-center gap-1">
          <SeverityMark severity={one} />
          {of[one]}
        </span>
      ))}
      {there.length === 0 ? say('optionTable.none') : null}
    </span>
  );
}

/** The ways side by side, sortable; those that another beats in everything are folded away with the reason. */
export function OptionTable({
  options,
  points,
  onPick,
}: {
  options: readonly Option[];
  points: ReadonlyMap<string, number>;
  onPick: (option: Option) => void;
}) {
  const [sorting, setSorting] = useState<SortingState>([{ id: 'points', desc: false }]);
  const [all, setAll] = useState(false);
  const rows = useMemo(
    () =>
      options
        .filter(({ dominated }) => all || dominated === null)
        .map((option): Row => ({ option, points: points.get(option.id) ?? 0 })),
    [options, points, all],
  );
  const table = useReactTable({
    data: rows,
    columns: COLUMNS,
    state: { sorting },
    onSortingChange: setSorting,
    sortDescFirst: false,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getRowId: ({ option }) => option.id,
  });
  const folded = options.filter(({ dominated }) => dominated !== null).length;
  return (
    <div className="grid gap-2">
      <div
        className="overflow-x-auto rounded-xl border-2 border-line bg-paper"
        tabIndex={0}
        role="region"
        aria-label={say('optionTable.waysCompared')}
      >
        <table className="w-full text-left">
          <Heads table={table} />
          <Ways table={table} onPick={onPick} />
        </table>
      </div>
      {folded > 0 ? (
        <button
          type="button"
          className="button button-quiet justify-self-start px-0"
          onClick={() => setAll(!all)}
        >
          {all ? say('optionTable.hideBeaten') : say('optionTable.showOthersBeatEverything', { folded })}
        </button>
      ) : null}
    </div>
  );
}

function Heads({ table }: { table: Table<Row> }) {
  return (
    <thead>
      {table.getHeaderGroups().map((group) => (
        <tr key={group.id} className="border-b-2 border-line">
          {group.headers.map((header) => {
            const sorted = header.column.getIsSorted();
            return (
              <th
                key={header.id}
                className="px-2 py-1 align-bottom text-sm"
                aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
              >
                <button
                  type="button"
                  className="min-h-11 text-left font-bold"
                  onClick={header.column.getToggleSortingHandler()}
                >
                  {flexRender(header.column.columnDef.header, header.getContext())}
                  {sorted === 'asc' ? ' ▲' : sorted === 'desc' ? ' ▼' : ''}
                </button>
              </th>
            );
          })}
          <th className="hidden px-2 sm:table-cell">
            <span className="sr-only">{say('optionTable.pick')}</span>
          </th>
        </tr>
      ))}
    </thead>
  );
}

function Ways({ table, onPick }: { table: Table<Row>; onPick: (option: Option) => void }) {
  return (
    <tbody>
      {table.getRowModel().rows.map((row) => (
        <tr
          key={row.id}
          className="border-b border-line align-top last:border-b-0"
          data-option={row.original.option.way}
        >
          {row.getVisibleCells().map((cell) => (
            <td
              key={cell.id}
              className={`px-2 py-2 ${cell.column.id === 'way' ? '' : 'num whitespace-nowrap'}`}
            >
              {flexRender(cell.column.columnDef.cell, cell.getContext())}
              {/* On a phone the last column is far off to the right: the button stands under the words. */}
              {cell.column.id === 'way' ? (
                <TakeIt option={row.original.option} onPick={onPick} where="mt-2 sm:hidden" />
              ) : null}
            </td>
          ))}
          <td className="hidden px-2 py-2 sm:table-cell">
            <TakeIt option={row.original.option} onPick={onPick} where="" />
          </td>
        </tr>
      ))}
    </tbody>
  );
}

function TakeIt({
  option,
  onPick,
  where,
}: {
  option: Option;
  onPick: (option: Option) => void;
  where: string;
}) {
  return (
    <button
      type="button"
      className={`button whitespace-nowrap ${where}`}
      aria-label={say('optionTable.useOption', { option: option.says })}
      onClick={() => onPick(option)}
    >
      {say('optionTable.useThis')}
    </button>
  );
}
