import type { Fields } from '../../base/merge/same';
import type { Change } from '../../base/merge/three-way';
import { capitalize } from '../../base/capitalize';
import { groupBy } from '../../base/group-by';
import { placeName, runName } from '../../job/model/called';
import type { Job } from '../../job/model/job';
import { say } from '../../base/words/crew';

/** Lists whose changes are counted; of all others each is named. */
const COUNTED = ['ticks', 'tasks', 'tests', 'log', 'photos', 'readings', 'lines'] as const;
type Counted = (typeof COUNTED)[number];

/** What comes in from the other copy, a line each: what is counted first. */
export function whatCameIn(changes: readonly Change[], ours: Job, theirs: Job): string[] {
  const coming = changes.filter(({ by }) => by === 'theirs');
  const counted = COUNTED.flatMap((list) => {
    const things = new Set(
      coming.flatMap(({ path }) =>
        path.includes(list) ? [path.slice(0, path.indexOf(list) + 2).join()] : [],
      ),
    );
    return things.size === 0 ? [] : [countWords(list, things.size)];
  });
  const rest = coming.filter(({ path }) => !COUNTED.some((list) => path.includes(list)));
  // Of one thing one line, whatever of it is otherwise.
  const things = groupBy(rest, ({ path }) => [path.slice(0, 3).join('\n')]);
  return [
    ...counted,
    ...[...things.values()].flatMap(([first, ...more]) =>
      first
        ? [changeWords(more.length === 0 ? first : { ...first, path: first.path.slice(0, 3) }, ours, theirs)]
        : [],
    ),
  ];
}

function countWords(list: Counted, count: number): string {
  switch (list) {
    case 'ticks':
    case 'tasks':
      return say('count.checkOffs', { count });
    case 'tests':
      return say('count.tests', { count });
    case 'log':
      return say('count.log', { count });
    case 'photos':
      return say('count.photos', { count });
    case 'readings':
      return say('count.readings', { count });
    case 'lines':
      return say('count.lines', { count });
  }
}

/** What a change is about and what it does, in words; of a conflict what it is about alone. */
export function changeWords({ by, kind, path, ...change }: Change, ours: Job, theirs: Job): string {
  const thing = aboutWords(path, ours, theirs);
  const field = path.slice(3).at(-1);
  const what = field === undefined ? thing : say('change.field', { what: thing, field: fieldWords(field) });
  if (by === 'conflict') return what;
  if (kind !== 'set')
    return kind === 'added' ? say('change.added', { what }) : say('change.removed', { what });
  const now = by === 'ours' ? change.ours : change.theirs;
  return typeof now === 'object' && now !== null
    ? say('change.changed', { what })
    : say('change.set', {
        what,
        was: valueWords(change.base),
        now: `${valueWords(now)}${typeof now === 'number' ? ` ${unitOf(field ?? '')}` : ''}`.trimEnd(),
      });
}

/** The same of a house: a circuit by its number, a person by the name. */
export function houseChangeWords({ path, kind }: Change): string {
  const [list = '', key, ...rest] = path;
  const what =
    list === 'panel' && key !== undefined
      ? say('about.circuit', { number: JSON.parse(key) as string })
      : list === 'people' && key !== undefined
        ? (JSON.parse(key) as string)
        : capitalize(fieldWords(list));
  const field = rest.at(-1) ?? (list === 'panel' || list === 'people' ? undefined : key);
  if (field !== undefined) return say('change.field', { what, field: fieldWords(field) });
  return kind === 'added'
    ? say('change.added', { what })
    : kind === 'removed'
      ? say('change.removed', { what })
      : say('change.changed', { what });
}

/** What stands at a path: a box by its name, a run by its ends. */
function aboutWords(path: readonly string[], ours: Job, theirs: Job): string {
  const [half, list = '', id = ''] = path;
  const in_ = [ours, theirs].find(({ design }) => {
    const things = (design as unknown as Record<string, unknown>)[list];
    return Array.isArray(things) && things.some((one: Fields) => one['id'] === id);
  });
  if (half === 'design' && in_) {
    const { design } = in_;
    const device = design.devices.find((one) => one.id === id);
    const run = design.runs.find((one) => one.id === id);
    if (list === 'boxes') return placeName(design, id);
    if (list === 'devices' && device)
      return say('about.device', { box: placeName(design, device.box), gang: device.gang + 1 });
    if (list === 'runs' && run) return runName(design, run);
    if (list === 'circuits')
      return say('about.circuit', { number: design.circuits.find((one) => one.id === id)?.number ?? id });
    if (list === 'rooms') return design.rooms.find((one) => one.id === id)?.name ?? id;
    if (list === 'groups') return design.groups.find((one) => one.id === id)?.name ?? id;
  }
  if (list === 'surveys')
    return say('about.survey', {
      name: [ours, theirs].flatMap(({ record }) => record.surveys).find((one) => one.id === id)?.name ?? id,
    });
  return capitalize(fieldWords(list === '' ? (half ?? '') : list));
}

/** Units that the name of a field ends with. */
const UNITS: readonly (readonly [ending: RegExp, unit: string])[] = [
  [/In3$/, 'in³'],
  [/In$/, 'in'],
  [/Ft$/, 'ft'],
  [/VA$/, 'VA'],
  [/[a-z]A$/, 'A'],
  [/^watts$/, 'W'],
];
const unitOf = (field: string): string => UNITS.find(([ending]) => ending.test(field))?.[1] ?? '';

/** A field in words; one that has none is called as its file calls it, put apart. */
const fieldWords = (field: string): string =>
  say('field', {
    field: field
      .replace(/(In3|In|Ft|VA)$|(?<=[a-z])A$/, '')
      .replace(/([a-z])([A-Z])/g, '$1 $2')
      .toLowerCase(),
  });

/** A value as it stands beside another. */
export function valueWords(value: unknown): string {
  if (value === undefined || value === null) return say('value.none');
  if (typeof value === 'boolean') return value ? say('value.yes') : say('value.no');
  if (typeof value === 'string') return value === '' ? say('value.none') : value;
  if (typeof value === 'number') return String(value);
  if (Array.isArray(value)) return value.length === 0 ? say('value.none') : value.map(valueWords).join(', ');
  const { name } = value as Fields;
  return typeof name === 'string'
    ? name
    : Object.entries(value)
        .filter(([field, own]) => field !== 'id' && typeof own !== 'object')
        .map(([field, own]) => `${fieldWords(field)} ${valueWords(own)}`)
        .slice(0, 4)
        .join(', ');
}
