import { deviceKind } from '../devices';
import { isWhite } from '../standards/cables';
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

/** A spot as one would point at it in this setup. */
export function spotName(survey: Survey, spot: Spot, apart: Setup['apart'] = 'all'): string {
  if (spot.on === 'ground') return 'ground';
  const box = boxOfCable(survey, spot.cable);
  const end = box?.ends.find(
    ({ cable, insulation }) => cable === spot.cable && insulation === spot.insulation,
  );
  const plain = `${spot.insulation} (${cableName(survey, spot.cable)})`;
  if (!box || !end) return plain;
  const touched = apart === 'as found' || (apart === 'hots' && isWhite(spot.insulation));
  if (!touched) return plain;
  if (end.sits.at === 'splice') {
    const { splice } = end.sits;
    const whites = box.ends.every(
      ({ sits, insulation }) => sits.at !== 'splice' || sits.splice !== splice || isWhite(insulation),
    );
    return whites ? 'the splice of whites' : `the splice with the ${plain}`;
  }
  if (end.sits.at === 'terminal') return `the screw with the ${plain}`;
  return plain;
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
  const words: string[] = [];
  if (setup.apart === 'hots') {
    words.push(
      `${off}, prove dead. Take the hots off and cap each on its own. Leave spliced whites together.`,
    );
  }
  if (setup.apart === 'all') {
    words.push(
      `${off}, prove dead. Clamp the spliced whites: current there means another circuit returns here, so stop.`,
      'Take every insulated conductor apart and cap each on its own. Grounds stay together.',
    );
  }
  if (setup.breakers === 'on') words.push(setup.apart === 'as found' ? 'Breaker on.' : 'Breaker on again.');
  if (setup.breakers === 'off' && setup.apart === 'as found') words.push(`${off}.`);
  if (setup.breakers === 'all off' && setup.apart === 'as found') {
    words.push(`${off}, with any other that feeds this box. Prove every conductor dead.`);
  }
  if (setup.loadsOut) words.push('Take out the lamps and pull the plugs.');
  if (setup.switches === 'off here') words.push('Switches in this box off.');
  if (setup.switches === 'on here') words.push('Switches in this box on.');
  return words;
}

/** Where the instrument goes. */
export function probeWords(survey: Survey, setup: Setup, probe: Probe): string {
  const at = (spot: Spot) => spotName(survey, spot, setup.apart);
  const watch = setup.switches === 'worked' ? ' Work every switch, here and elsewhere, and watch.' : '';
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
      return value.glows ? 'glows' : 'dark';
    case 'lamp':
      return value.changes ? 'comes and goes' : value.lit ? 'lit' : 'dark';
    case 'lights':
      return `lights ${value.lights.map((lit) => (lit ? '●' : '○')).join(' ')}`;
    case 'amps':
      return `${value.amps.toFixed(1)} A`;
    case 'tripped':
      return 'tripped';
  }
}

/** A ghost may show on it: a high-impedance meter on what floats reads anything between the rails. */
export const mayBeGhost = (probe: Probe): boolean =>
  probe.with === 'non-contact' || (probe.with === 'meter' && probe.impedance === 'high');
