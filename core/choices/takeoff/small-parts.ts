import { capitalize } from '../../base/capitalize';
import { groupBy } from '../../base/group-by';
import { placeName } from '../../job/model/called';
import { colorName } from '../../wiring/makeup/cable-names';
import { connectorOf } from '../../wiring/makeup/splice-steps';
import { boxGroundId } from '../../job/model/wiring';
import type { Drawable } from '../../wiring/plan';
import { isMetal } from '../../trade/standards/boxes';
import { PIECE_USD, WIRE_USD_PER_FT } from '../../trade/standards/prices';
import { sure } from '../../base/sure';
import { say } from '../../base/words/takeoff';
import { pigtailsOf } from './bill';
import type { Taken } from './line';

/** Connectors of the splices in the boxes that are worked on. */
export function connectorLines(plan: Drawable, touched: ReadonlySet<string>): Taken[] {
  const { job, wiring } = plan;
  return [...groupBy(wiring.splices, (splice) => [splice.box])].flatMap(([box, splices]): Taken[] =>
    touched.has(box)
      ? [...groupBy(splices, (splice) => [connectorOf(plan, splice)?.id ?? ''])].map(([id, own]): Taken => ({
          key: `connector ${id}`,
          aisle: 'connectors',
          name: capitalize(job.connectors.find((one) => one.id === id)?.name ?? say('list.noConnector')),
          need: own.length,
          usd: PIECE_USD.connector,
          because: say('list.connectorWhy', { box: capitalize(placeName(job, box)), count: own.length }),
        }))
      : [],
  );
}

/** What a box of metal takes: a connector for each cable that has no clamp in it, and a green screw where it is bonded. */
export function metalBoxLines(
  { job, wiring }: Drawable,
  fresh: ReadonlySet<string>,
  touched: ReadonlySet<string>,
): Taken[] {
  return job.boxes.flatMap((box): Taken[] => {
    if (!touched.has(box.id) || !isMetal(box.family)) return [];
    const name = capitalize(placeName(job, box.id));
    const all = wiring.cables.filter(
      ({ from, to, existing }) => (from === box.id || to === box.id) && (fresh.has(box.id) || !existing),
    );
    const cords = all.filter(({ cord }) => cord).length;
    const entering = all.length - cords;
    const bonded = fresh.has(box.id) && wiring.tails.some(({ to }) => to === boxGroundId(box.id));
    return [
      ...(box.internalClamps || entering === 0
        ? []
        : [
            {
              key: 'cable connector',
              aisle: 'fastening' as const,
              name: say('list.cableConnector'),
              usd: PIECE_USD.cableConnector,
              need: entering,
              because: say('list.cableConnectorWhy', { box: name, count: entering }),
            },
          ]),
      ...(cords === 0
        ? []
        : [
            {
              key: 'cord connector',
              aisle: 'fastening' as const,
              name: say('list.cordConnector'),
              usd: PIECE_USD.cordConnector,
              need: cords,
              because: say('list.cordConnectorWhy', { box: name, count: cords }),
            },
          ]),
      ...(bonded
        ? [
            {
              key: 'ground screw',
              aisle: 'fastening' as const,
              name: say('list.groundScrew'),
              usd: PIECE_USD.groundScrew,
              need: 1,
              because: name,
            },
          ]
        : []),
    ];
  });
}

/** Wire for pigtails and jumpers, by the foot: what is cut in the boxes that are worked on. */
export function wireLines({ job, wiring }: Drawable, touched: ReadonlySet<string>): Taken[] {
  const place = (id: string): string => capitalize(placeName(job, id));
  const cut = pigtailsOf(wiring).filter(({ box, uncut }) => uncut === null && touched.has(box));
  return [...groupBy(cut, ({ gauge, insulation }) => [`wire ${gauge} ${insulation}`])].map(
    ([key, own]): Taken => {
      const { gauge, insulation } = sure(own[0], 'a pigtail');
      const inches = own.reduce((sum, { lengthIn }) => sum + lengthIn, 0);
      return {
        key,
        aisle: 'connectors',
        name: say('list.wire', { gauge, color: colorName(insulation) }),
        unit: 'ft',
        need: Math.ceil(inches / 12 - 1e-9),
        usd: WIRE_USD_PER_FT[gauge],
        because: [...groupBy(own, ({ box }) => [box])].map(([box, here]) =>
          say('list.wireWhy', {
            box: place(box),
            count: here.length,
            inches: here.reduce((sum, { lengthIn }) => sum + lengthIn, 0),
          }),
        ),
      };
    },
  );
}
