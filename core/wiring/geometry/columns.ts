import { routeChannel, type ChannelWire, type RoutedChannel } from './channel';
import { passId, type Contents } from './contents';
import { bestOrdering, type MiddleElement, type Ordering } from './order';
import type { CableName } from '../makeup/cable-names';
import { CABLE_COLUMNS, LABEL_COLUMNS, LANE, ROLE_LETTER, TITLE_LETTER } from './scale';

/** Every pin of the three rows on its lane, and the wires between them on their tracks. */
export interface Columns {
  /** Lanes of the whole drawing, margins left out. */
  readonly count: number;
  readonly ordering: Ordering;
  /** Width that a cable's label may take, in lanes. */
  readonly cell: (cable: string) => number;
  /** Lane of each conductor where it leaves its sheath. */
  readonly top: (end: string) => number;
  /** Lane of a conductor or tail in the middle row. */
  readonly middle: (wire: string) => number;
  readonly bottom: (terminal: string) => number;
  /** First lane of a middle element. */
  readonly start: (element: string) => number;
  readonly bodyShift: number;
  readonly upper: RoutedChannel;
  readonly lower: RoutedChannel;
}

/** Lanes that a cable's label needs: as many as there are to give, not more. */
const labelColumns = (name: CableName | undefined): number =>
  name === undefined
    ? 0
    : Math.min(
        LABEL_COLUMNS,
        Math.ceil(
          (Math.max((name.title.length + 1) * TITLE_LETTER, (name.role.length + 1) * ROLE_LETTER) + 2) / LANE,
        ),
      );

/** Places everything. Where two wires would have to lie over each other, the middle row moves by half a lane. */
export function placeColumns(contents: Contents): Columns {
  const ordering = bestOrdering(contents.topRow, contents.middleRow);
  const whole = place(contents, ordering, 0);
  return whole.upper.overdrawn + whole.lower.overdrawn === 0 ? whole : place(contents, ordering, 0.5);
}

function place(contents: Contents, ordering: Ordering, shift: number): Columns {
  const { bottom, tails, tailsOf, passing } = contents;
  const cells = ordering.cables.map(({ id, ends }) =>
    Math.max(CABLE_COLUMNS, ends.length + 2, labelColumns(contents.names.get(id))),
  );
  const middleWidth = sum(ordering.middle.map(({ width }) => width + 1));
  const count = Math.max(sum(cells), middleWidth, bottom.width);

  const topColumn = new Map<string, number>();
  const cellOf = new Map<string, number>();
  const stretch = count / Math.max(sum(cells), 1);
  let cellStart = 0;
  ordering.cables.forEach(({ id, ends }, index) => {
    const cell = (cells[index] ?? 0) * stretch;
    cellOf.set(id, cell);
    const first = Math.round(cellStart + (cell - ends.length) / 2);
    ends.forEach(({ end }, at) => topColumn.set(end, first + at));
    cellStart += cell;
  });
  const bodyShift = Math.floor((count - bottom.width) / 2);
  const bottomColumn = (terminal: string) => (bottom.columns.get(terminal) ?? 0) + bodyShift;
  const endsOf = ({ id }: MiddleElement) =>
    ordering.cables.flatMap(({ ends }) => ends.filter(({ target }) => target === id).map(({ end }) => end));
  const terminalsOf = ({ id }: MiddleElement) => {
    const passed = passing.find(({ end }) => passId(end) === id);
    return passed ? [passed.terminal] : tailsOf(id).map(({ to }) => to);
  };

  const starts = spread(
    ordering.middle.map((element) => {
      const below = terminalsOf(element).map(bottomColumn);
      const above = endsOf(element).map((end) => topColumn.get(end) ?? 0);
      const wanted = mean(element.kind === 'pass' ? below : [...above, ...below]);
      return {
        width: element.width,
        slim: element.kind === 'pass',
        wanted: wanted - (element.width - 1) / 2,
      };
    }),
    count,
  );
  const startOf = new Map(ordering.middle.map(({ id }, index) => [id, (starts[index] ?? 0) + shift]));

  const middlePin = new Map<string, number>();
  const upperWires: ChannelWire[] = [];
  const lowerWires: ChannelWire[] = [];
  const wire = (id: string, from: number, to: number, side: 'top' | 'bottom' = 'top'): ChannelWire => ({
    id,
    pins: [
      { column: from, side },
      { column: to, side: 'bottom' },
    ],
  });
  for (const element of ordering.middle) {
    const start = startOf.get(element.id) ?? 0;
    const centered = (width: number, items: number) => start + Math.max(0, Math.floor((width - items) / 2));
    const ends = endsOf(element);
    ends.forEach((end, index) => {
      const pin = element.kind === 'splice' ? centered(element.width, ends.length) + index : start;
      middlePin.set(end, pin);
      upperWires.push(wire(end, topColumn.get(end) ?? 0, pin));
    });
    if (element.kind !== 'splice') continue;
    const own = tailsOf(element.id);
    own.forEach((tail, index) => {
      const pin = centered(element.width, own.length) + index;
      middlePin.set(tail.id, pin);
      lowerWires.push(wire(tail.id, pin, bottomColumn(tail.to)));
    });
  }
  for (const { end, terminal } of passing) {
    lowerWires.push(wire(end, middlePin.get(end) ?? 0, bottomColumn(terminal)));
  }
  for (const { id, from, to } of contents.jumpers) {
    // From the last lane of one splice to the first of the next, by a track below them.
    const start = from.at === 'splice' ? from.splice : to;
    const width = ordering.middle.find((element) => element.id === start)?.width ?? 1;
    const [a, b] = [(startOf.get(start) ?? 0) + width - 1, startOf.get(to) ?? 0];
    middlePin.set(id, a);
    middlePin.set(`${id} end`, b);
    lowerWires.push({
      id,
      pins: [
        { column: a, side: 'top' },
        { column: b, side: 'top' },
      ],
    });
  }
  for (const { id, from, to } of tails) {
    if (from.at === 'terminal')
      lowerWires.push(wire(id, bottomColumn(from.terminal), bottomColumn(to), 'bottom'));
  }
  return {
    count,
    ordering,
    cell: (id) => cellOf.get(id) ?? CABLE_COLUMNS,
    top: (end) => topColumn.get(end) ?? 0,
    middle: (id) => middlePin.get(id) ?? 0,
    bottom: bottomColumn,
    start: (id) => startOf.get(id) ?? 0,
    bodyShift,
    upper: routeChannel(upperWires),
    lower: routeChannel(lowerWires),
  };
}

interface RowItem {
  readonly width: number;
  readonly wanted: number;
  /** A single conductor: two of them may stand in neighbouring lanes. */
  readonly slim: boolean;
}

/** Starts of elements in a row: near where each wants to be, in order, a free lane between, within `columns`. */
function spread(items: readonly RowItem[], columns: number): number[] {
  const starts: number[] = [];
  const gap = (index: number) => (items[index]?.slim && items[index + 1]?.slim ? 0 : 1);
  let from = 0;
  items.forEach(({ width, wanted }, index) => {
    const start = Math.max(from, Math.round(wanted));
    starts.push(start);
    from = start + width + gap(index);
  });
  let limit = columns;
  for (let index = items.length - 1; index >= 0; index--) {
    const width = items[index]?.width ?? 0;
    starts[index] = Math.min(starts[index] ?? 0, limit - width);
    limit = (starts[index] ?? 0) - gap(index - 1);
  }
  return starts;
}

const sum = (numbers: readonly number[]): number => numbers.reduce((total, one) => total + one, 0);
const mean = (numbers: readonly number[]): number =>
  numbers.length === 0 ? 0 : sum(numbers) / numbers.length;
