import {
  conductorId,
  feedNet,
  type TerminalId,
  linkId,
  panelHotId,
  PANEL_NEUTRAL,
  terminalId,
  endId,
  PANEL_GROUND,
} from '../../job/model/keys';
import type { SeenCable } from '../../job/model/survey';
import type { Tail, WiredDevice, Termination } from '../../job/model/wiring';
import type { WiredKind } from '../../trade/devices';
import type { Insulation } from '../../trade/standards/cables';
import { type Port, type FarSide, leadsToPanel } from './far-sides';

export const OWN = 'own';

export const conductorKey = conductorId;

export const farBox = (cable: string): string => `!far:${cable}`;

/** Whatever else is on a circuit. */
export const restOf = (circuit: string): string => `!rest:${circuit}`;

export const ELSEWHERE = '!elsewhere';

/** A load that stays connected, whatever is pulled out. */
export const FIXED = 'fixed';

/** What is seen has no nets yet. */
export const NO_NET = feedNet('hot', '');

/** Metal out of sight between two points. */
export const link = (box: string, from: TerminalId, to: TerminalId): Tail => ({
  id: linkId(from, to),
  box,
  net: NO_NET,
  role: 'hot',
  insulation: 'black',
  gauge: 14,
  lengthIn: 240,
  from: { at: 'terminal', terminal: from },
  to,
  uncut: null,
  lead: false,
});
const PANEL_POINT: Partial<Record<Port, TerminalId>> = {
  hot: panelHotId(OWN),
  'hot-second': panelHotId('second'),
  'hot-other-leg': panelHotId('other'),
  neutral: PANEL_NEUTRAL,
};

interface Parts {
  readonly devices: WiredDevice[];
  readonly tails: Tail[];
  readonly terminations: Termination[];
}

/** The devices that a far side stands for, and where each conductor of the cable lands on them. */
export function addFarSide(cable: SeenCable, side: FarSide, groundGood: boolean, parts: Parts): void {
  const box = farBox(cable.id);
  const ports = Object.entries(side.ports) as [Insulation, Port][];
  const has = (port: Port) => ports.some(([, one]) => one === port);
  const put = (name: string, kind: WiredKind): ((terminal: string) => TerminalId) => {
    const id = `${box}!${name}`;
    if (!parts.devices.some((one) => one.id === id)) {
      parts.devices.push({ id, box, gang: parts.devices.length, kind, brokenTabs: [] });
    }
    return (terminal) => terminalId(id, terminal);
  };
  const join = (from: TerminalId, to: TerminalId) => {
    if (!parts.tails.some(({ id }) => id === linkId(from, to))) parts.tails.push(link(box, from, to));
  };
  const lamp = (name: string, neutral: TerminalId) => {
    const at = put(name, 'luminaire');
    join(neutral, at('neutral'));
    return at('hot');
  };
  const landing = (port: Port): TerminalId | null => {
    const panel = PANEL_POINT[port];
    if (panel !== undefined) return panel;
    switch (port) {
      case 'switched':
      case 'switched-2': {
        const at = put(port, 'single-pole');
        join(panelHotId(OWN), at('lower'));
        join(at('upper'), lamp(`${port}-light`, PANEL_NEUTRAL));
        return at('upper');
      }
      case 'switched-second':
      case 'switched-other': {
        const at = put(port, 'single-pole');
        join(panelHotId(port === 'switched-second' ? 'second' : 'other'), at('lower'));
        join(at('upper'), lamp(`${port}-light`, PANEL_NEUTRAL));
        return at('upper');
      }
      case 'lamp':
      case 'lamp-2':
      case 'lamp-second':
        return lamp(port, PANEL_NEUTRAL);
      case 'neutral-switched': {
        const at = put('neutral-switch', 'single-pole');
        join(PANEL_NEUTRAL, at('lower'));
        return at('upper');
      }
      case 'fixed':
        join(put(FIXED, 'luminaire')('neutral'), put('load', 'luminaire')('neutral'));
        return put(FIXED, 'luminaire')('hot');
      case 'tied':
        return put('tie', 'single-pole')('upper');
      case 'fed-second-1':
      case 'fed-second-2': {
        const at = put('fed-second', 'three-way');
        join(panelHotId('second'), at('common'));
        return at(port === 'fed-second-1' ? 'traveler-1' : 'traveler-2');
      }
      case 'fed-other-1':
      case 'fed-other-2': {
        const at = put('fed-other', 'three-way');
        join(panelHotId('other'), at('common'));
        return at(port === 'fed-other-1' ? 'traveler-1' : 'traveler-2');
      }
      case 'load':
      case 'load-2': {
        const at = put(port, 'luminaire');
        if (port === 'load-2') join(put('load', 'luminaire')('neutral'), at('neutral'));
        return at('hot');
      }
      case 'return':
        // A light that its switch turns on over there, and here as well.
        if (has('leg')) join(put('switch', 'single-pole')('upper'), put('load', 'luminaire')('hot'));
        return put('load', 'luminaire')('neutral');
      case 'leg':
        return put('switch', 'single-pole')('upper');
      case 'leg-2':
        join(put('switch', 'single-pole')('lower'), put('switch-2', 'single-pole')('lower'));
        return put('switch-2', 'single-pole')('upper');
      case 'switch-common':
        return put('switch', 'single-pole')('lower');
      case 'fed-1':
      case 'fed-2': {
        const at = put('fed', 'three-way');
        join(panelHotId(OWN), at('common'));
        return at(port === 'fed-1' ? 'traveler-1' : 'traveler-2');
      }
      case 'lit-1':
      case 'lit-2': {
        const at = put('lit', 'three-way');
        const light = put('lit-light', 'luminaire');
        join(at('common'), light('hot'));
        if (!has('lit-return')) join(PANEL_NEUTRAL, light('neutral'));
        return at(port === 'lit-1' ? 'traveler-1' : 'traveler-2');
      }
      case 'lit-return':
        return put('lit-light', 'luminaire')('neutral');
      case 'way-common':
        return put('way', 'three-way')('common');
      case 'way-1':
        return put('way', 'three-way')('traveler-1');
      case 'way-2':
        return put('way', 'three-way')('traveler-2');
      default:
        return null;
    }
  };
  for (const [insulation, port] of ports) {
    const terminal = landing(port);
    if (terminal === null) continue;
    parts.terminations.push({ box, end: endId(conductorKey(cable.id, insulation), box), terminal });
  }
  if (cable.hasGround && groundGood && leadsToPanel(side)) {
    parts.terminations.push({ box, end: endId(conductorKey(cable.id, 'bare'), box), terminal: PANEL_GROUND });
  }
}
