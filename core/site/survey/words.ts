import { deviceKind } from '../../trade/devices';
import { isGround, isWhite } from '../../trade/standards/cables';
import type { Probe, Reading, SeenBox, Setup, Spot, Survey } from '../../job/model/survey';
import { boxOfCable } from './scene';
import { INSULATION_NAME } from '../../trade/standards/names';
import { say } from '../../base/words/survey';

/** Whence a cable comes into the box. */
const FROM = {
  above: say('words.above'),
  below: say('words.below'),
  left: say('words.theLeft'),
  right: say('words.theRight'),
} as const;

/** Cables that look alike are told apart by their order; a box that is studied has six at most. */
const ORDER = [
  say('words.first'),
  say('words.second'),
  say('words.third'),
  say('words.fourth'),
  say('words.fifth'),
  say('words.sixth'),
] as const;

/** What a cable is called: its mark, or how it comes in, with a number where two look alike. */
export function cableName(survey: Survey, cable: string): string {
  const box = boxOfCable(survey, cable);
  const one = box?.cables.find(({ id }) => id === cable);
  if (!box || !one) return cable;
  const own = (of: typeof one) =>
    of.mark ||
    say('words.from', {
      type: of.type,
      enters: FROM[of.enters],
    });
  const alike = box.cables.filter((other) => own(other) === own(one));
  return alike.length < 2 ? own(one) : `${own(one)}, ${ORDER[alike.indexOf(one)] ?? ''}`;
}

/** A spot as one would point at it in this setup; a splice by all that is in it, so that no two are called alike. */
export function spotName(survey: Survey, spot: Spot, apart: Setup['apart'] = 'all'): string {
  if (spot.on === 'ground') return say('words.ground');
  const box = boxOfCable(survey, spot.cable);
  const end = box?.ends.find(
    ({ cable, insulation }) => cable === spot.cable && insulation === spot.insulation,
  );
  const plain = `${INSULATION_NAME[spot.insulation]} (${cableName(survey, spot.cable)})`;
  if (!box || !end) return plain;
  const touchedThere = apart === 'as found' || (apart === 'hots' && isWhite(spot.insulation));
  if (!touchedThere) return plain;
  if (end.sits.at === 'splice') return spliceName(survey, box, end.sits.splice, apart);
  if (end.sits.at === 'terminal') return say('words.screw', { plain });
  return plain;
}

/** "the splice of whites", where the box has one; else what is in it: "the splice of black (14-2 from above) and …". */
function spliceName(
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
  if (whites(splice) && [...all].filter(whites).length === 1) return say('words.spliceWhites');
  const names = members.map(
    ({ cable, insulation }) => `${INSULATION_NAME[insulation]} (${cableName(survey, cable)})`,
  );
  return say('words.splice', {
    namesCount:
      names.length < 2
        ? names.join('')
        : say('words.and', { most: names.slice(0, -1).join(', '), last: names.at(-1) ?? '' }),
  });
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
  const off = say('words.breakerOff', { breaker: survey.breaker });
  const all = [survey.breaker, ...survey.others];
  const allOff =
    all.length > 1
      ? say('words.breakersOff', { most: all.slice(0, -1).join(', '), last: all.at(-1) ?? '' })
      : say('words.othersOff', { off });
  const words: string[] = [];
  if (setup.apart === 'hots') {
    words.push(say('words.hotsApart', { allOff }));
  }
  if (setup.apart === 'all') {
    words.push(say('words.allApart', { allOff }), say('words.takeApart'));
  }
  if (setup.breakers === 'on')
    words.push(setup.apart === 'as found' ? say('words.breaker') : say('words.breakerAgain'));
  if (setup.breakers === 'off' && setup.apart === 'as found') words.push(`${off}.`);
  if (setup.breakers === 'all off' && setup.apart === 'as found') {
    words.push(say('words.proveEveryConductorDead', { allOff }));
  }
  if (setup.loadsOut) words.push(say('words.loadsOut'));
  if (setup.switches === 'off here') words.push(say('words.switchesBoxOff'));
  if (setup.switches === 'on here') words.push(say('words.switchesBox'));
  return words;
}

/** Where the instrument goes. */
export function probeWords(survey: Survey, setup: Setup, probe: Probe): string {
  const at = (spot: Spot) => spotName(survey, spot, setup.apart);
  const watch = setup.switches === 'worked' ? say('words.workSwitches') : '';
  switch (probe.with) {
    case 'non-contact':
      return say('words.nonContactTester', { at: at(probe.at) });
    case 'meter':
      return say('words.meterVolts', {
        impedance: probe.impedance === 'low' ? say('words.low') : say('words.high'),
        from: at(probe.from),
        to: at(probe.to),
        watch,
      });
    case 'lamp':
      return say('words.testLamp', { from: at(probe.from), to: at(probe.to), watch });
    case 'continuity':
      return say('words.meterOhms', { from: at(probe.from), to: at(probe.to) });
    case 'clamp':
      return say('words.clampMeterRound', { at: at(probe.at) });
    case 'sweep':
      return say('words.everyConductorDead');
    case 'drop':
      return say('words.drop', {
        hot: at(probe.hot),
        neutral: at(probe.neutral),
        loadA: probe.loadA * 120,
      });
    case 'residual':
      return say('words.residual', { at: at(probe.neutral) });
    case 'lifted neutral':
      return say('words.liftNeutral', { breaker: survey.breaker, at: at(probe.neutral) });
    case 'feed clamp':
      return say('words.feedClamp', { hot: at(probe.hot), neutral: at(probe.neutral) });
    case 'panel clamp':
      return say('words.panelClamp', {
        hot: at(probe.hot),
        neutral: at(probe.neutral),
        breaker: survey.breaker,
      });
    case 'tester': {
      const box = survey.boxes.find(({ devices }) => devices.some(({ id }) => id === probe.device));
      const name = box ? seenDeviceName(box, probe.device) : probe.device;
      return say('words.plugTester', { name, part: probe.part });
    }
  }
}

/** What a reading showed. */
export function valueWords({ probe, value }: Pick<Reading, 'probe' | 'value'>): string {
  if (probe.with === 'sweep' && value.is === 'glow')
    return value.glows ? say('words.somethingLive') : say('words.allDead');
  const volts = (one: number) => `${Math.round(one)} V`;
  switch (value.is) {
    case 'volts':
      return Math.abs(value.high - value.low) < 10
        ? volts(value.high)
        : say('words.voltsTo', { from: volts(value.low), to: volts(value.high) });
    case 'ohms':
      return value.ohms === null
        ? 'open'
        : value.ohms < 3
          ? `${value.ohms.toFixed(1)} Ω`
          : `${Math.round(value.ohms)} Ω`;
    case 'glow':
      return value.glows ? 'hot' : say('words.noLight');
    case 'lamp':
      return value.changes ? say('words.comesGoes') : value.lit ? 'lit' : 'dark';
    case 'lights':
      return say('words.lights', { lights: value.lights.map((lit) => (lit ? '●' : '○')).join(' ') });
    case 'amps':
      return `${value.amps.toFixed(1)} A`;
    case 'drop':
      return say('words.sagAndRise', { sagV: value.sagV.toFixed(1), riseV: value.riseV.toFixed(1) });
    case 'tripped':
      return 'tripped';
  }
}

/** A ghost may show on it: a high-impedance meter on what floats reads anything between the rails. */
export const mayBeGhost = (probe: Probe): boolean =>
  probe.with === 'non-contact' || (probe.with === 'meter' && probe.impedance === 'high');
