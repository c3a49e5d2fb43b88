import { capitalize } from '../../base/capitalize';
import { groupBy } from '../../base/group-by';
import { sure } from '../../base/sure';
import { cableTypeName, placeName } from '../../job/model/called';
import { isHome, PANEL } from '../../job/model/design';
import type { WiredCable } from '../../job/model/wiring';
import type { Drawable } from '../../wiring/plan';
import { FIRST_STAPLE_FT, FRAMING_EDGE_IN, staplesAlong } from '../../trade/standards/cable-run';
import { cableRow } from '../../trade/standards/cables';
import { cableUsdPerFt, PIECE_USD } from '../../trade/standards/prices';
import { say } from '../../base/words/takeoff';
import { cableKey } from './keys';
import type { Allowances, Taken } from './line';

/** Inches are whole where feet are: sums of them stay exact. */
export function cableLines({ job }: Drawable, cables: readonly WiredCable[], by: Allowances): Taken[] {
  return [...groupBy(cables, (cable) => [cableKey(cable)])].map(([key, own]): Taken => {
    const first = sure(own[0], 'a cable');
    const { type, cord } = first;
    const boxEndIn = by.boxIn + (cord ? 0 : by.slackIn);
    const endIn = (place: string) => (place === PANEL && !cord ? by.panelIn : boxEndIn);
    const cut = own.map(({ from, to, lengthFt }) => lengthFt * 12 + endIn(from) + endIn(to));
    const inches = cut.reduce((sum, one) => sum + one, 0);
    const wasted = (inches * (100 + by.wastePercent)) / 100;
    const feet = Math.ceil(wasted / 12 - 1e-9);
    return {
      key,
      aisle: 'cable',
      name: cord ? say('list.cordName', { type: cableTypeName(first) }) : say('list.cable', { type }),
      unit: 'ft',
      need: feet,
      usd: cableUsdPerFt(first),
      because: [
        ...own.map((cable, index) => {
          const { from, to, lengthFt } = cable;
          const run = {
            from: capitalize(placeName(job, from)),
            to: capitalize(placeName(job, to)),
            feet: lengthFt,
            boxIn: by.boxIn,
            slackIn: by.slackIn,
            total: rounded(cut[index] ?? 0),
          };
          if (cord) return say('list.cordRun', run);
          return isHome(cable)
            ? say('list.cableFromPanel', { ...run, panelIn: by.panelIn })
            : say('list.cableRun', run);
        }),
        say('list.cableSum', {
          inches: rounded(inches),
          waste: by.wastePercent,
          wasted: rounded(wasted),
          feet,
        }),
      ],
    };
  });
}

/** A plug for each cord that begins at a receptacle. */
export const plugLines = ({ job }: Drawable, cables: readonly WiredCable[]): Taken[] =>
  cables
    .filter((cable) => cable.cord && isHome(cable))
    .map(({ type, from, to }): Taken => {
      // 5-15 and 5-20 fit what the conductors carry.
      const ratingA = cableRow(type).gauge === 14 ? 15 : 20;
      return {
        key: `plug ${ratingA}`,
        aisle: 'devices',
        name: say('list.plug', { ratingA }),
        usd: PIECE_USD.plug,
        need: 1,
        because: say('list.plugWhy', { box: placeName(job, from === PANEL ? to : from) }),
      };
    });

const rounded = (inches: number): string => String(Math.round(inches * 10) / 10);

/** Staples of a cable; one does where its boxes are so near that the first of each would meet. */
export const staplesFor = (lengthFt: number): number =>
  lengthFt <= 2 * FIRST_STAPLE_FT ? 1 : staplesAlong(lengthFt);

/** Staples and nail plates along the new cables, and tape for their whites that are hot. */
export function fastening({ job }: Drawable, cables: readonly WiredCable[]): Taken[] {
  const place = (id: string): string => capitalize(placeName(job, id));
  const along = cables.flatMap((cable): Taken[] => {
    const run = job.runs.find(({ id }) => id === cable.run);
    if (!run || cable.cord) return [];
    const [from, to] = [place(cable.from), place(cable.to)];
    const { fished, plate, holeEdgeIn } = run.rough;
    const count = staplesFor(cable.lengthFt);
    const near = plate || (holeEdgeIn !== null && holeEdgeIn < FRAMING_EDGE_IN);
    return [
      ...(fished
        ? []
        : [
            {
              key: 'staple',
              aisle: 'fastening' as const,
              name: say('list.staple'),
              need: count,
              usd: PIECE_USD.staple,
              because: say('list.stapleRun', { from, to, feet: cable.lengthFt, count }),
            },
          ]),
      ...(near
        ? [
            {
              key: 'nail plate',
              aisle: 'fastening' as const,
              name: say('list.nailPlate'),
              usd: PIECE_USD.nailPlate,
              because: say('list.nailPlateRun', { from, to }),
            },
          ]
        : []),
    ];
  });
  const taped = cables.reduce(
    (sum, { conductors }) => sum + 2 * conductors.filter(({ reidentified }) => reidentified).length,
    0,
  );
  return taped === 0
    ? along
    : [
        ...along,
        {
          key: 'tape',
          aisle: 'fastening',
          name: say('list.tape'),
          usd: PIECE_USD.tape,
          because: say('list.tapeWhy', { count: taped }),
        },
      ];
}

/** Rolls to buy of a cable, and what is left over of them, ft. */
export function rollsOf(feet: number, rollFt: number): { readonly rolls: number; readonly leftFt: number } {
  const rolls = Math.ceil(feet / rollFt);
  return { rolls, leftFt: rolls * rollFt - feet };
}
