import { sure } from '../../base/sure';
import type { WiredKind } from '../../trade/devices/kind';
import { cableRow, isGround, isWhite, type Insulation } from '../../trade/standards/cables';
import { Circuit } from '../../job/model/design';
import type { SeenBox, SeenCable, SeenEnd, Setup, Spot, Survey } from '../../job/model/survey';
import {
  boxGroundId,
  cableId,
  conductorId,
  endId,
  feedNet,
  linkId,
  PANEL_GROUND,
  PANEL_NEUTRAL,
  panelHotId,
  spliceId,
  tailId,
  terminalId,
  type ConductorId,
  type EndId,
  type Splice,
  type Tail,
  type TerminalId,
  type Termination,
  type WiredCable,
  type WiredDevice,
  type Wiring,
} from '../../job/model/wiring';
import { leadsToPanel, type FarSide, type Port } from './far-sides';

/** One guess at what is out of sight: the far side of every cable, and whether the ground reaches the panel. */
export interface Guess {
  readonly sides: ReadonlyMap<string, FarSide>;
  readonly groundGood: boolean;
}

export const OWN = 'own';
/** The circuits that may be met: the named one, another on the same leg, another on the other leg. */
export const surveyCircuits = ({ breaker, breakerA }: Survey): Circuit[] => {
  const circuit = (id: string, number: string, leg: 'A' | 'B'): Circuit =>
    Circuit.parse({ id, number, breakerA, leg });
  return [circuit(OWN, breaker, 'A'), circuit('second', '?', 'A'), circuit('other', '?', 'B')];
};

export const conductorKey = conductorId;

/** The cable that stands for one seen in two boxes; itself for any other. */
export const aliasOf = (survey: Survey, cable: string): string =>
  survey.same.find(({ b }) => b === cable)?.a ?? cable;

export const boxOfCable = (survey: Survey, cable: string): SeenBox | undefined =>
  survey.boxes.find(({ cables }) => cables.some(({ id }) => id === cable));

const insulationsOf = ({ type, hasGround }: SeenCable): readonly Insulation[] =>
  hasGround ? [...cableRow(type).insulated, 'bare'] : cableRow(type).insulated;

/** The end of a seen conductor in its own box, as the network names it. */
export const spotEnd = (survey: Survey, cable: string, insulation: Insulation): EndId =>
  endId(
    conductorKey(aliasOf(survey, cable), insulation),
    sure(boxOfCable(survey, cable), `box of the cable ${cable}`).id,
  );

/** True where an end keeps its place in a setup; otherwise it is lifted and capped on its own. */
function stays(setup: Setup['apart'], end: SeenEnd): boolean {
  if (setup === 'as found' || isGround(end.insulation)) return true;
  return setup === 'hots' && isWhite(end.insulation) && end.sits.at === 'splice';
}

/**
 * What is seen as wiring, with a guess at what is not, so that the same network and the same solver serve it.
 * `apart` is done in the target box only; other boxes stay as found.
 */
export function sceneWiring(survey: Survey, guess: Guess | null, apart: Setup['apart']): Wiring {
  const cables: WiredCable[] = [];
  const devices: WiredDevice[] = [];
  const splices: Splice[] = [];
  const tails: Tail[] = [];
  const terminations: Termination[] = [];
  const alias = new Map(survey.same.map(({ a, b }) => [b, a]));

  for (const box of survey.boxes) {
    devices.push(...box.devices.map((one, gang) => ({ ...one, box: box.id, gang })));
    const mode = box.id === survey.target ? apart : 'as found';
    const ends = new Map<string, EndId[]>();
    for (const end of box.ends) {
      if (!stays(mode, end)) continue;
      const at = endId(conductorKey(alias.get(end.cable) ?? end.cable, end.insulation), box.id);
      const { sits } = end;
      if (sits.at === 'splice') ends.set(sits.splice, [...(ends.get(sits.splice) ?? []), at]);
      if (sits.at === 'terminal') {
        terminations.push({ box: box.id, end: at, terminal: terminalId(sits.device, sits.terminal) });
      }
      if (sits.at === 'box') terminations.push({ box: box.id, end: at, terminal: boxGroundId(box.id) });
    }
    const spliceIds = new Set([...ends.keys(), ...box.tails.map(({ splice }) => splice)]);
    for (const id of spliceIds) {
      splices.push({
        id: spliceId(box.id, id),
        box: box.id,
        net: NO_NET,
        role: 'hot',
        connector: 1,
        ends: ends.get(id) ?? [],
      });
    }
    if (mode === 'as found') {
      for (const { splice, device, terminal } of box.tails) {
        tails.push({
          ...link(box.id, terminalId(device, terminal), terminalId(device, terminal)),
          id: tailId(terminalId(device, terminal)),
          lengthIn: 6,
          from: { at: 'splice', splice: spliceId(box.id, splice) },
        });
      }
    }
    for (const cable of box.cables) {
      if (alias.has(cable.id)) continue;
      const twin = survey.same.find(({ a }) => a === cable.id)?.b;
      const far = twin === undefined ? farBox(cable.id) : (boxOfCable(survey, twin)?.id ?? farBox(cable.id));
      cables.push({
        id: cableId(cable.id),
        run: cable.id,
        type: cable.type,
        from: box.id,
        to: far,
        lengthFt: 20,
        existing: true,
        cord: false,
        conductors: insulationsOf(cable).map((insulation) => ({
          id: conductorKey(cable.id, insulation),
          insulation,
          net: null,
          role: null,
          circuit: null,
          domain: null,
          toward: null,
          reidentified: false,
        })),
      });
      const side = guess?.sides.get(cable.id);
      if (side && guess) addFarSide(cable, side, guess.groundGood, { devices, tails, terminations });
    }
  }
  if (guess) {
    // Whatever else is on the circuits: a dead hot shows it to an ohmmeter.
    for (const circuit of [OWN, 'second', 'other']) {
      const house = restOf(circuit);
      devices.push({ id: house, box: ELSEWHERE, gang: 0, kind: 'luminaire', brokenTabs: [] });
      tails.push(
        link(ELSEWHERE, panelHotId(circuit), terminalId(house, 'hot')),
        link(ELSEWHERE, PANEL_NEUTRAL, terminalId(house, 'neutral')),
      );
    }
  }
  return { cables, devices, splices, tails, terminations, caps: [] };
}

const farBox = (cable: string): string => `!far:${cable}`;
/** Whatever else is on a circuit. */
export const restOf = (circuit: string): string => `!rest:${circuit}`;
const ELSEWHERE = '!elsewhere';
/** A load that stays connected, whatever is pulled out. */
export const FIXED = 'fixed';

/** What is seen has no nets yet. */
const NO_NET = feedNet('hot', '');

/** Metal out of sight between two points. */
const link = (box: string, from: TerminalId, to: TerminalId): Tail => ({
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
function addFarSide(cable: SeenCable, side: FarSide, groundGood: boolean, parts: Parts): void {
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

/** The bare conductor that stands for the equipment ground of a box: the one joined with most others. */
export function groundEnd(survey: Survey, box: SeenBox): EndId | null {
  const grounds = box.ends.filter(({ insulation }) => isGround(insulation));
  const spliced = grounds.find(({ sits }) => sits.at === 'splice') ?? grounds[0];
  return spliced ? spotEnd(survey, spliced.cable, spliced.insulation) : null;
}

/** The conductor that a spot names, where it names one. */
export const conductorOfSpot = (survey: Survey, spot: Spot): ConductorId | null =>
  spot.on === 'conductor' ? conductorKey(aliasOf(survey, spot.cable), spot.insulation) : null;

/** The end that a spot names; null where there is no such thing. */
export function endOfSpot(survey: Survey, spot: Spot): EndId | null {
  if (spot.on === 'conductor') return spotEnd(survey, spot.cable, spot.insulation);
  const box = survey.boxes.find(({ id }) => id === spot.box);
  return box ? groundEnd(survey, box) : null;
}
