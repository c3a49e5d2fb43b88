import { deviceKind } from '../devices';
import { isGround, isWhite } from '../standards/cables';
import type { Probe, Reading, SeenBox, Setup, Spot, Survey } from '../model/survey';
import { boxOfCable } from './scene';

/** What a cable is called: its mark, or how it comes in, with a number where two look alike. */
export function cableName(survey: Survey, cable: string): string {
  const box = boxOfCable(survey, cable);
  const one = box?.cables.find(({ id }) => id === cable);
  if (!box || !one) return cable;
  const own = (of: typeof one) =>
    of.mark ||
    `${of.type} from ${of.enters === 'above' || of.enters === 'below' ? of.enters : `the ${of.enters}`}`;
  const alike = box.cables.filter((other) => own(other) === own(one));
  return alike.length < 2
    ? own(one)
    : `${own(one)}, ${['first', 'second', 'third', 'fourth', 'fifth', 'sixth'][alike.indexOf(one)] ?? ''}`;
}

/** A spot as one would point at it in this setup; a splice by all that is in it, so that no two are called alike. */
export function spotName(survey: Survey, spot: Spot, apart: Setup['apart'] = 'all'): string {
  if (spot.on === 'ground') return 'ground';
  const box = boxOfCable(survey, spot.cable);
  const end = box?.ends.find(
    ({ cable, insulation }) => cable === spot.cable && insulation === spot.insulation,
  );
  const plain = `${spot.insulation} (${cableName(survey, spot.cable)})`;
  if (!box || !end) return plain;
  const touchedThere = apart === 'as found' || (apart === 'hots' && isWhite(spot.insulation));
  if (!touchedThere) return plain;
  if (end.sits.at === 'splice') return spliceName(survey, box, end.sits.splice, apart);
  if (end.sits.at === 'terminal') return `the screw with the ${plain}`;
  return plain;
}

/** "the splice of whites", where the box has one; else what is in it: "the splice of black (14-2 from above) and …". */
export function spliceName(
  survey: Survey,
  box: SeenBox,
  splice: string,
  apart: Setup['apart'] = 'as found',
): string {
  const members = box.ends.filter(
    ({ sits, insulation }) =>
      sits.at === 'splice' && sits.splice === splice && (apart === 'as found' || isWhite(insulation)),
  );
  const whites = (id: string) =>
    box.ends.every(
      ({ sits, insulation }) => sits.at !== 'splice' || sits.splice !== id || isWhite(insulation),
    );
  const all = new Set(
    box.ends.flatMap(({ sits, insulation }) =>
      sits.at === 'splice' && !isGround(insulation) ? [sits.splice] : [],
    ),
  );
  if (whites(splice) && [...all].filter(whites).length === 1) return 'the splice of whites';
  const names = members.map(({ cable, insulation }) => `${insulation} (${cableName(survey, cable)})`);
  return `the splice of ${names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`}`;
}

/** The name of a seen device; numbered from the left where several stand in the box. */
export function seenDeviceName(box: SeenBox, device: string): string {
  const index = box.devices.findIndex(({ id }) => id === device);
  const one = box.devices[index];
  if (!one) return device;
  const { name } = deviceKind(one.kind);
  return box.devices.length < 2 ? name : `${name} ${index + 1}`;
}

/** What to do before the instrument goes on, one sentence each. */
export function setupWords(survey: Survey, setup: Setup): string[] {
  const off = `Breaker ${survey.breaker} off`;
  const all = [survey.breaker, ...survey.others];
  const allOff =
    all.length > 1
      ? `Breakers ${all.slice(0, -1).join(', ')} and ${all.at(-1) ?? ''} off`
      : `${off}, and any other that still leaves something live here`;
  const words: string[] = [];
  if (setup.apart === 'hots') {
    words.push(`${allOff}, prove dead. Disconnect the hots and cap each one. Leave spliced whites together.`);
  }
  if (setup.apart === 'all') {
    words.push(
      `${allOff}, prove dead. Clamp the spliced whites: current there means another circuit returns here, so stop.`,
      'Take every insulated conductor apart and cap each on its own. Grounds stay together.',
    );
  }
  if (setup.breakers === 'on') words.push(setup.apart === 'as found' ? 'Breaker on.' : 'Breaker on again.');
  if (setup.breakers === 'off' && setup.apart === 'as found') words.push(`${off}.`);
  if (setup.breakers === 'all off' && setup.apart === 'as found') {
    words.push(`${allOff}. Prove every conductor dead.`);
  }
  if (setup.loadsOut)
    words.push('Remove the lamps and unplug what can be unplugged; what is fastened in place stays.');
  if (setup.switches === 'off here') words.push('Switches in this box off.');
  if (setup.switches === 'on here') words.push('Switches in this box on.');
  return words;
}

/** Where the instrument goes. */
export function probeWords(survey: Survey, setup: Setup, probe: Probe): string {
  const at = (spot: Spot) => spotName(survey, spot, setup.apart);
  const watch =
    setup.switches === 'worked' ? ' Operate every switch that could matter and watch the reading.' : '';
  switch (probe.with) {
    case 'non-contact':
      return `Non-contact tester at ${at(probe.at)}.`;
    case 'meter':
      return `Meter, ${probe.impedance}-impedance volts: ${at(probe.from)} to ${at(probe.to)}.${watch}`;
    case 'lamp':
      return `Test lamp: ${at(probe.from)} to ${at(probe.to)}.${watch}`;
    case 'continuity':
      return `Meter, ohms: ${at(probe.from)} to ${at(probe.to)}.`;
    case 'clamp':
      return `Clamp meter round ${at(probe.at)}.`;
    case 'sweep':
      return 'Non-contact tester along every conductor in the box, and again with every switch that could matter operated. Where it shows hot, a low-impedance meter to the neutral decides.';
    case 'drop':
      return `Meter, volts: ${at(probe.hot)} to ${at(probe.neutral)}, and ${at(probe.neutral)} to ground; then both again with about ${probe.loadA * 120} W between ${at(probe.hot)} and ${at(probe.neutral)}: how far the first falls, how far the second rises.`;
    case 'residual':
      return `Loads running on the other circuits. Meter, volts: ${at(probe.neutral)} to ground.`;
    case 'lifted neutral':
      return `At the panel, main off too: lift the neutral of breaker ${survey.breaker} from its bar. Meter, ohms: ${at(probe.neutral)} to ground. Land the neutral again before anything is switched on.`;
    case 'panel clamp':
      return `A load of about 1200 W between ${at(probe.hot)} and ${at(probe.neutral)}. Clamp meter at the panel round the whole cable of breaker ${survey.breaker}.`;
    case 'tester': {
      const box = survey.boxes.find(({ devices }) => devices.some(({ id }) => id === probe.device));
      const name = box ? seenDeviceName(box, probe.device) : probe.device;
      return `Plug-in tester in the ${name}, ${probe.part}.`;
    }
  }
}

/** What a reading showed. */
export function valueWords({ value }: Pick<Reading, 'value'>): string {
  const volts = (one: number) => `${Math.round(one)} V`;
  switch (value.is) {
    case 'volts':
      return Math.abs(value.high - value.low) < 10
        ? volts(value.high)
        : `${volts(value.low)} to ${volts(value.high)}`;
    case 'ohms':
      return value.ohms === null
        ? 'open'
        : value.ohms < 3
          ? `${value.ohms.toFixed(1)} Ω`
          : `${Math.round(value.ohms)} Ω`;
    case 'glow':
      return value.glows ? 'hot' : 'no light';
    case 'lamp':
      return value.changes ? 'comes and goes' : value.lit ? 'lit' : 'dark';
    case 'lights':
      return `lights ${value.lights.map((lit) => (lit ? '●' : '○')).join(' ')}`;
    case 'amps':
      return `${value.amps.toFixed(1)} A`;
    case 'drop':
      return `sags ${value.sagV.toFixed(1)} V, neutral rises ${value.riseV.toFixed(1)} V`;
    case 'tripped':
      return 'tripped';
  }
}

/** A ghost may show on it: a high-impedance meter on what floats reads anything between the rails. */
export const mayBeGhost = (probe: Probe): boolean =>
  probe.with === 'non-contact' || (probe.with === 'meter' && probe.impedance === 'high');
