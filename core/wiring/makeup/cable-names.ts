import { wishKind } from '../../trade/devices';
import { cableTypeName, placeName } from '../../job/model/called';
import { inBox } from '../../job/model/in-box';
import { PANEL, type Design } from '../../job/model/design';
import { endId, type EndId, type WiredCable, type WiredConductor } from '../../job/model/wiring';
import type { Drawable } from '../plan';
import { type Insulation } from '../../trade/standards/cables';
import { INSULATION_NAME } from '../../trade/standards/names';
import { say } from '../../base/words/makeup';

/** What a cable is called in one box, unlike every other cable there. */
export interface CableName {
  /** "12-3 to Garden door", "12-2, circuit 16, from the panel" */
  readonly title: string;
  /** "feed, circuit 14", "switch", "onward". */
  readonly role: string;
  /** What is written on its jacket: "feed", "Garden door". */
  readonly mark: string;
}

interface Named {
  readonly cable: WiredCable;
  readonly feeds: boolean;
  /** The box at its other end, and what that is called. */
  readonly far: string;
  readonly where: string;
  /** "7/9"; "" where it carries nothing. */
  readonly numbers: string;
  readonly circuits: string;
  readonly arrives: boolean;
  /** More than one circuit is in it. */
  readonly shared: boolean;
}

/**
 * Names for all cables of a box, by id: type and where they go, the circuit where two meet in the box or two cables
 * would be called alike, and a number where even that leaves two alike.
 */
export function cableNames(plan: Drawable, box: string): ReadonlyMap<string, CableName> {
  const { job, wiring } = plan;
  const all = inBox(wiring, box).cables.map((cable): Named => {
    const far = cable.from === box ? cable.to : cable.from;
    const numbers = circuitNumbers(job, cable);
    return {
      cable,
      feeds: arrives(cable, box, ['hot']),
      far,
      where: placeName(job, far),
      numbers: numbers.join('/'),
      circuits:
        numbers.length === 0
          ? say('cableNames.unused')
          : say('cableNames.circuitTrueOther', {
              numbersCount: numbers.length > 1,
              numbers: numbers.join('/'),
            }),
      arrives: arrives(cable, box, ['hot', 'neutral', 'switched', 'traveler']),
      shared: numbers.length > 1,
    };
  });
  const mixed = new Set(all.map(({ numbers }) => numbers).filter((one) => one !== '')).size > 1;
  const place = ({ arrives: here, far, where, cable }: Named) => {
    const named = far === PANEL ? (cable.cord ? say('cableNames.plug') : say('cableNames.panel')) : where;
    return here ? say('cableNames.fromPlace', { place: named }) : say('cableNames.toPlace', { place: named });
  };
  const short = (one: Named) => `${cableTypeName(one.cable)} ${place(one)}`;
  const long = (one: Named) => `${cableTypeName(one.cable)}, ${one.circuits}, ${place(one)}`;
  const alike = new Set(twice(all.map(short)));
  const titles = numbered(
    all.map((one) => (mixed || one.shared || alike.has(short(one)) ? long(one) : short(one))),
  );
  const feeds = all.filter(({ feeds: own }) => own).length;
  const marks = numbered(
    all.map((one) =>
      one.feeds
        ? feeds > 1
          ? say('cableNames.feed', { circuits: one.numbers })
          : say('cableNames.feedOne')
        : one.where,
    ),
  );
  return new Map(
    all.map((one, index) => [
      one.cable.id,
      {
        title: titles[index] ?? long(one),
        role: one.feeds
          ? say('cableNames.feedOf', { circuits: one.circuits })
          : purpose(job, one.cable.from === box ? one.cable.to : one.cable.from),
        mark: marks[index] ?? one.where,
      },
    ]),
  );
}

const COLOR: Readonly<Record<Insulation, string>> = {
  ...INSULATION_NAME,
  'white-red': say('cableNames.stripedWhite'),
  bare: say('cableNames.ground'),
  green: say('cableNames.ground'),
};

/** "black", "white, taped", "ground" */
export const colorName = (insulation: Insulation, taped = false): string =>
  say('cableNames.trueOther', { insulation: COLOR[insulation], taped });

/**
 * What every conductor end of a box is called, no two alike: its color, and its cable where there is more than one:
 * "black of the 12-2, circuit 16, from the panel".
 */
export function endNames(
  plan: Drawable,
  box: string,
  names: ReadonlyMap<string, CableName> = cableNames(plan, box),
): ReadonlyMap<EndId, string> {
  const { cables } = inBox(plan.wiring, box);
  return new Map(
    cables.flatMap((cable) =>
      cable.conductors.map(({ id, insulation, reidentified }) => {
        const color = colorName(insulation, reidentified);
        const title = names.get(cable.id)?.title;
        return [
          endId(id, box),
          cables.length === 1
            ? color
            : say('cableNames.ofThe', { color, title: title ?? cableTypeName(cable) }),
        ] as const;
      }),
    ),
  );
}

/** True where the first conductor of these roles, in their order, comes from the cable's far end. */
function arrives(cable: WiredCable, box: string, roles: readonly WiredConductor['role'][]): boolean {
  for (const role of roles) {
    const own = cable.conductors.filter((one) => one.role === role && one.toward !== null);
    if (own.length > 0) return own.some(({ toward }) => toward === box);
  }
  return false;
}

const circuitNumbers = (job: Design, { conductors }: WiredCable): string[] => {
  const own = new Set(
    conductors.flatMap(({ circuit, role }) => (circuit === null || role === 'neutral' ? [] : [circuit])),
  );
  const all = own.size > 0 ? own : new Set(conductors.flatMap(({ circuit }) => circuit ?? []));
  return job.circuits
    .filter(({ id }) => all.has(id))
    .map(({ number }) => number)
    .sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));
};

const twice = (words: readonly string[]): string[] =>
  words.filter((one, index) => words.indexOf(one) !== index);

/** Those that are alike are counted: "… 1 of 2". */
function numbered(words: readonly string[]): string[] {
  const seen = new Map<string, number>();
  return words.map((one) => {
    const all = words.filter((other) => other === one).length;
    const number = (seen.get(one) ?? 0) + 1;
    seen.set(one, number);
    return all === 1 ? one : say('cableNames.of', { one, number, all });
  });
}

const SERVES = {
  switch: say('cableNames.switch'),
  outlet: say('cableNames.outlet'),
  light: say('cableNames.light'),
  fan: say('cableNames.fan'),
  receiver: say('cableNames.receiver'),
  onward: say('cableNames.onward'),
} as const;

/** What is at the far end: the outlet, switch or light there; several in the order in which people name them. */
function purpose(job: Design, box: string): string {
  if (box === PANEL) return placeName(job, box);
  const serves = new Set(
    job.devices.filter((device) => device.box === box).map(({ kind }) => wishKind(kind).serves),
  );
  if (serves.has('switch and outlet') || (serves.has('switch') && serves.has('outlet')))
    return say('cableNames.switchOutlet');
  const [one = 'onward'] = (['switch', 'outlet', 'light', 'fan', 'receiver'] as const).filter((word) =>
    serves.has(word),
  );
  return SERVES[one];
}
