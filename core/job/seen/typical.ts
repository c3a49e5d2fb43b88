import type { Insulation } from '../../trade/standards/cables';
import type { SeenBox, SeenCable, SeenDevice, SeenEnd, Sits } from '../model/survey';
import { say } from '../../base/words/survey';

/*
 * Boxes as they are mostly found, to start from and then to be corrected by what is really there (common practice).
 */

interface Typical {
  readonly id: string;
  /** What one sees, as one would say it at the box. */
  readonly name: string;
  readonly holds: Pick<SeenBox, 'cables' | 'devices' | 'ends' | 'tails'>;
}

type Place = 'capped' | `${string}.${string}` | `~${string}`;

const sitsAt = (place: Place): Sits => {
  if (place === 'capped') return { at: 'capped' };
  if (place.startsWith('~')) return { at: 'splice', splice: place.slice(1) };
  const [device = '', terminal = ''] = place.split('.');
  return { at: 'terminal', device, terminal };
};

/** A cable and where each insulated conductor sits: a screw, a splice (`~whites`), or capped; grounds are spliced. */
const cable = (
  id: string,
  type: SeenCable['type'],
  enters: SeenCable['enters'],
  sits: Partial<Record<Insulation, Place>>,
): { cable: SeenCable; ends: SeenEnd[] } => ({
  cable: { id, type, hasGround: true, enters, mark: '' },
  ends: [...(Object.entries(sits) as [Insulation, Place][]), ['bare', '~grounds'] as const].map(
    ([insulation, place]) => ({ cable: id, insulation, sits: sitsAt(place), taped: false }),
  ),
});

function box(
  kind: SeenDevice['kind'],
  cables: readonly ReturnType<typeof cable>[],
  more: { readonly tabs?: readonly string[]; readonly tails?: readonly (readonly [string, string])[] } = {},
): Typical['holds'] {
  return {
    cables: cables.map((one) => one.cable),
    devices: [{ id: 'device', kind, brokenTabs: [...(more.tabs ?? [])] }],
    ends: cables.flatMap(({ ends }) => ends),
    tails: [['grounds', 'ground'] as const, ...(more.tails ?? [])].map(([splice, terminal]) => ({
      splice,
      device: 'device',
      terminal,
    })),
  };
}

export const TYPICAL = [
  {
    id: 'feed-at-switch',
    name: say('typical.twoCablesWhitesSpliced'),
    holds: box('single-pole', [
      cable('cable-1', '14-2', 'below', { black: 'device.lower', white: '~whites' }),
      cable('cable-2', '14-2', 'above', { black: 'device.upper', white: '~whites' }),
    ]),
  },
  {
    id: 'loop',
    name: say('typical.oneCableBothSwitch'),
    holds: box('single-pole', [
      cable('cable-1', '14-2', 'above', { black: 'device.upper', white: 'device.lower' }),
    ]),
  },
  {
    id: 'three-at-switch',
    name: say('typical.threeCablesBlacksSpliced'),
    holds: box(
      'single-pole',
      [
        cable('cable-1', '14-2', 'below', { black: '~blacks', white: '~whites' }),
        cable('cable-2', '14-2', 'above', { black: 'device.upper', white: '~whites' }),
        cable('cable-3', '14-2', 'right', { black: '~blacks', white: '~whites' }),
      ],
      { tails: [['blacks', 'lower']] },
    ),
  },
  {
    id: 'loop-with-neutral',
    name: say('typical.whiteCapped'),
    holds: box('single-pole', [
      cable('cable-1', '14-3', 'above', { black: 'device.lower', red: 'device.upper', white: 'capped' }),
    ]),
  },
  {
    id: 'end-duplex',
    name: say('typical.oneCableDuplex'),
    holds: box('duplex', [
      cable('cable-1', '14-2', 'above', { black: 'device.hot-upper', white: 'device.neutral-upper' }),
    ]),
  },
  {
    id: 'through-duplex',
    name: say('typical.twoCablesDuplex'),
    holds: box('duplex', [
      cable('cable-1', '14-2', 'left', { black: 'device.hot-upper', white: 'device.neutral-upper' }),
      cable('cable-2', '14-2', 'right', { black: 'device.hot-lower', white: 'device.neutral-lower' }),
    ]),
  },
  {
    id: 'half-duplex',
    name: say('typical.tabBroken'),
    holds: box(
      'duplex',
      [
        cable('cable-1', '14-3', 'above', {
          black: 'device.hot-upper',
          red: 'device.hot-lower',
          white: 'device.neutral-upper',
        }),
      ],
      { tabs: ['hot-tab'] },
    ),
  },
  {
    id: 'three-way-end',
    name: say('typical.threeWayThreeWire'),
    holds: box('three-way', [
      cable('cable-1', '14-3', 'above', {
        black: 'device.common',
        red: 'device.traveler-1',
        white: 'device.traveler-2',
      }),
    ]),
  },
  {
    id: 'three-way-feed',
    name: say('typical.threeWay'),
    holds: box('three-way', [
      cable('cable-1', '14-2', 'below', { black: 'device.common', white: '~whites' }),
      cable('cable-2', '14-3', 'above', {
        black: 'device.traveler-1',
        red: 'device.traveler-2',
        white: '~whites',
      }),
    ]),
  },
  {
    id: 'four-way',
    name: say('typical.fourWay'),
    holds: box('four-way', [
      cable('cable-1', '14-3', 'left', { black: 'device.in-1', red: 'device.in-2', white: '~whites' }),
      cable('cable-2', '14-3', 'right', { black: 'device.out-1', red: 'device.out-2', white: '~whites' }),
    ]),
  },
  {
    id: 'gfci-line-load',
    name: say('typical.gfciLineLoad'),
    holds: box('gfci', [
      cable('cable-1', '12-2', 'below', { black: 'device.line-hot', white: 'device.line-neutral' }),
      cable('cable-2', '12-2', 'above', { black: 'device.load-hot', white: 'device.load-neutral' }),
    ]),
  },
  {
    id: 'light-with-loop',
    name: say('typical.lightFeedLoop'),
    holds: box('luminaire', [
      cable('cable-1', '14-2', 'left', { black: '~hots', white: 'device.neutral' }),
      cable('cable-2', '14-2', 'right', { black: 'device.hot', white: '~hots' }),
    ]),
  },
] as const satisfies readonly Typical[];

export type TypicalId = (typeof TYPICAL)[number]['id'];
export const TYPICAL_IDS = TYPICAL.map(({ id }) => id) as [TypicalId, ...TypicalId[]];

/** The typical box of an id, its cables and devices named as they are to be called. */
export function typicalBox(id: TypicalId, named: (own: string) => string): Typical['holds'] {
  const { holds }: Typical = TYPICAL.find((one) => one.id === id) ?? TYPICAL[0];
  return {
    cables: holds.cables.map((one) => ({ ...one, id: named(one.id) })),
    devices: holds.devices.map((one) => ({ ...one, id: named(one.id) })),
    ends: holds.ends.map(({ sits, ...end }) => ({
      ...end,
      cable: named(end.cable),
      sits: sits.at === 'terminal' ? { ...sits, device: named(sits.device) } : sits,
    })),
    tails: holds.tails.map((tail) => ({ ...tail, device: named(tail.device) })),
  };
}
