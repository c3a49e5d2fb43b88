import { sure } from '../../base/sure';
import { cableRow, isGround, isWhite, type Insulation } from '../../trade/standards/cables';
import { Circuit } from '../../job/model/design';
import type { SeenBox, SeenCable, SeenEnd, Setup, Spot, Survey } from '../../job/model/survey';
import {
  boxGroundId,
  cableId,
  endId,
  PANEL_NEUTRAL,
  panelHotId,
  spliceId,
  tailId,
  terminalId,
  type ConductorId,
  type EndId,
  type Splice,
  type Tail,
  type Termination,
  type WiredCable,
  type WiredDevice,
  type Wiring,
} from '../../job/model/wiring';
import type { FarSide } from './far-sides';
import { OWN, conductorKey, NO_NET, link, farBox, addFarSide, restOf, ELSEWHERE } from './far-side-wiring';

/** One guess at what is out of sight: the far side of every cable, and whether the ground reaches the panel. */
export interface Guess {
  readonly sides: ReadonlyMap<string, FarSide>;
  readonly groundGood: boolean;
}
/** The circuits that may be met: the named one, another on the same leg, another on the other leg. */
export const surveyCircuits = ({ breaker, breakerA }: Survey): Circuit[] => {
  const circuit = (id: string, number: string, leg: 'A' | 'B'): Circuit =>
    Circuit.parse({ id, number, breakerA, leg });
  return [circuit(OWN, breaker, 'A'), circuit('second', '?', 'A'), circuit('other', '?', 'B')];
};

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
