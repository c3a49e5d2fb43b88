import { wishKind } from '../../trade/devices';
import { groupBy } from '../../base/group-by';
import { byNumber } from '../../choices/house/circuits';
import { isOnCord, placeName } from '../../job/model/called';
import { consumers } from '../../wiring/layout/nets';
import type { Circuit, Design } from '../../job/model/design';
import type { House } from '../../job/model/house';
import { say } from '../../base/words/directory';

/** One line of the panel's directory (NEC 408.4(A), from memory): clear, specific, told apart from all others. */
export interface DirectoryLine {
  /** The space, as the panel numbers it: "14". */
  readonly number: string;
  readonly breakerA: number | null;
  readonly protection: Circuit['protection'];
  /** The circuit that its neutral is shared with, by number. */
  readonly sharedWith: string | null;
  readonly label: string;
  /** True where nothing is in the space. */
  readonly blank: boolean;
}

/** Places named on one label; of more the number. A label is read at the door. */
const NAMED = 4;

/**
 * The directory of a panel from what its jobs know: one line a circuit, in the order of the numbers, circuits of several
 * jobs taken together by number. With a house its panel comes in: what no job knows of, labels that were corrected by
 * hand, and the spaces that nothing is in.
 */
export function directoryOf(
  jobs: readonly Design[],
  { panel, spaces }: Pick<House, 'panel' | 'spaces'> = { panel: [], spaces: 0 },
): DirectoryLine[] {
  const circuits = jobs.flatMap((job) => job.circuits.map((circuit) => ({ job, circuit })));
  const known = groupBy(circuits, ({ circuit }) => [circuit.number]);
  const ofPanel = new Map(panel.map((circuit) => [circuit.number, circuit]));
  const lines = [...new Set([...ofPanel.keys(), ...known.keys()])].flatMap((number): DirectoryLine[] => {
    const own = known.get(number) ?? [];
    const onPanel = ofPanel.get(number);
    const circuit = onPanel ?? own[0]?.circuit;
    if (!circuit) return [];
    const first = own[0];
    const partner =
      onPanel?.neutralWith ??
      first?.job.circuits.find(({ id }) => id === first.circuit.multiwireWith)?.number ??
      null;
    const label = onPanel?.label ? onPanel.label : labelOf(own, partner);
    const { breakerA, protection } = circuit;
    return [{ number, breakerA, protection, sharedWith: partner, label, blank: false }];
  });
  const taken = new Set(lines.map(({ number }) => number));
  const blanks = Array.from({ length: spaces }, (_, index) => String(index + 1))
    .filter((number) => !taken.has(number))
    .map((number): DirectoryLine => ({
      number,
      breakerA: null,
      protection: 'none',
      sharedWith: null,
      label: say('label.blank'),
      blank: true,
    }));
  return apart([...lines, ...blanks].sort((a, b) => byNumber(a.number, b.number)));
}

/** What a circuit serves: receptacles, lights and fans, each by its places. */
function labelOf(
  own: readonly { readonly job: Design; readonly circuit: Circuit }[],
  partner: string | null,
): string {
  const served = own.flatMap(({ job, circuit }) =>
    consumers(job)
      .filter(({ device, want }) => want.circuit === circuit.id && !isOnCord(job, device.box))
      .map(({ device, part }) => ({
        place: placeName(job, device.box),
        use: wishKind(device.kind).receptacle ? 'receptacles' : part === 'fan' ? 'fans' : 'lights',
      })),
  );
  const of = (use: string): string =>
    listed([...new Set(served.filter((one) => one.use === use).map(({ place }) => place))]);
  const [receptacles, lights, fans] = [of('receptacles'), of('lights'), of('fans')];
  const parts = [
    ...(receptacles === '' ? [] : [say('label.receptacles', { places: receptacles })]),
    ...(lights === '' ? [] : [say('label.lights', { places: lights })]),
    ...(fans === '' ? [] : [say('label.fans', { places: fans })]),
    ...(served.length === 0 ? [say('label.existing')] : []),
    ...(partner === null ? [] : [say('label.shared', { number: partner })]),
  ];
  return parts.join('; ');
}

const listed = (places: readonly string[]): string =>
  places.length <= NAMED
    ? places.join(', ')
    : say('label.more', { places: places.slice(0, NAMED).join(', '), count: places.length - NAMED });

/** No two circuits are labeled alike: where places alone do not tell them apart, their numbers do. */
function apart(lines: readonly DirectoryLine[]): DirectoryLine[] {
  const alike = groupBy(
    lines.filter(({ blank }) => !blank),
    ({ label }) => [label],
  );
  return lines.map((line) =>
    !line.blank && (alike.get(line.label)?.length ?? 0) > 1
      ? { ...line, label: say('label.apart', { label: line.label, number: line.number }) }
      : line,
  );
}
