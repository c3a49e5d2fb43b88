import { capitalize } from '../../base/capitalize';
import { Names } from '../../power/proof/names';
import { isPlug, placeName } from '../../job/model/called';
import { deviceKind } from '../../trade/devices';
import { PANEL } from '../../job/model/design';
import { colorName } from '../../wiring/makeup/cable-names';
import {
  boxGroundId,
  endId,
  panelHotId,
  terminalId,
  type PartKey,
  type WiredDevice,
} from '../../job/model/wiring';
import type { Fault, Wired } from '../../power/faults';
import { andList } from '../../base/words/lists';
import { say } from '../../base/words/script';
import { LAMP } from './agrees';
import {
  openedIn,
  type FieldTest,
  type Instrument,
  type Opened,
  type Outcome,
  type Probe,
} from './field-test';
import type { Stimulus } from './stimuli';

/** What a test, its state and its readings are called, in the words of one job. */
export class TestWords {
  private readonly names: Names;
  /** What a probe can touch, by point. */
  private readonly points: ReadonlyMap<string, string>;

  constructor(private readonly wired: Wired) {
    const { job, wiring } = wired;
    this.names = new Names(job, wiring);
    this.plugged = isPlug(job);
    this.points = new Map<string, string>([
      ...wiring.devices.flatMap(({ id, kind }) =>
        deviceKind(kind).terminals.map(
          (terminal) =>
            [
              terminalId(id, terminal.id),
              say('words.terminal', { terminal: terminal.name, device: this.names.device(id) }),
            ] as const,
        ),
      ),
      ...job.circuits.map(({ id, number }) => [panelHotId(id), say('words.breaker', { number })] as const),
      ...wiring.cables.flatMap((cable) =>
        cable.conductors.flatMap(({ id, insulation }) =>
          [cable.from, cable.to].map(
            (box) =>
              [
                endId(id, box),
                say('words.capped', { color: colorName(insulation), cable: this.names.cable(cable) }),
              ] as const,
          ),
        ),
      ),
      ...job.boxes.map(({ id, name }) => [boxGroundId(id), say('words.metal', { box: name })] as const),
    ]);
  }

  /** All is fed by a cord: what is done at the panel elsewhere is done at its plug. */
  private readonly plugged: boolean;

  box = (id: string): string => {
    const name = placeName(this.wired.job, id);
    return id === PANEL ? capitalize(name) : name;
  };

  part = (key: PartKey): string => this.names.part(key);
  device = (id: string): string => this.names.device(id);
  /** What opened by itself, named. */
  opened = ({ breakers, devices }: Opened): string =>
    [
      ...breakers.map((circuit) => say('words.breaker', { number: this.names.circuit(circuit) })),
      ...devices.map((device) => this.names.device(device)),
    ].join(', ');

  /** What is done first: breakers, buttons, loads, and where every handle stands; "" where there is nothing to do. */
  state({ stimulus, instrument, probe }: FieldTest): string {
    return [...this.setUp(stimulus, instrument, probe), this.handles(stimulus.state.positions)]
      .filter(Boolean)
      .join(' ');
  }

  private setUp(stimulus: Stimulus, instrument: Instrument, probe: Probe): string[] {
    if (instrument === 'ohms' && this.plugged) return [say('words.unplugged')];
    if (instrument === 'ohms')
      return [probe.read === 'joined' && probe.lifted ? say('words.deadLifted') : say('words.dead')];
    switch (stimulus.is) {
      case 'breaker off': {
        if (this.plugged) return [say('words.plugOut')];
        // A handle that is tied takes the other with it.
        const off = [...stimulus.state.openBreakers].map((id) => this.names.circuit(id));
        return [say('words.breakersOff', { numbers: andList(off), count: off.length })];
      }
      case 'buttons':
        return [say('words.buttons')];
      case 'load':
        return [...stimulus.loads].map(([part, watts]) =>
          say('words.load', { watts, part: this.names.part(part) }),
        );
      case 'handles':
        return [];
    }
  }

  private handles(positions: ReadonlyMap<string, number>): string {
    const all = this.wired.wiring.devices.filter(({ kind }) => deviceKind(kind).positions.length > 0);
    const thrown = all.filter(({ id }) => positions.get(id) === 1);
    if (all.length === 0) return '';
    if (thrown.length === 0) return say('words.allDown');
    if (thrown.length === all.length) return say('words.allUp');
    // By its box, where it is the only handle there.
    const name = ({ id, box }: WiredDevice) =>
      all.some((one) => one.id !== id && one.box === box) ? this.names.device(id) : this.box(box);
    return say('words.someUp', { places: thrown.map(name).join(', ') });
  }

  /** The test itself, as an instruction. */
  what({ probe }: FieldTest): string {
    switch (probe.read) {
      case 'trips':
        return this.plugged ? say('words.whatTripsPlug') : say('words.whatTrips');
      case 'lit':
        return say('words.whatLit', { part: this.names.part(probe.part) });
      case 'lights':
        return say('words.whatLights', { part: this.names.part(probe.part) });
      case 'volts':
        if (probe.slots) return say('words.whatSlots', { part: this.names.part(probe.slots) });
        return probe.to === null
          ? say('words.whatVoltsToGround', { from: this.point(probe.from) })
          : say('words.whatVolts', { from: this.point(probe.from), to: this.point(probe.to) });
      case 'glow':
        return say('words.whatGlow', { at: this.point(probe.at) });
      case 'net amps': {
        const cable = this.wired.wiring.cables.find(({ id }) => id === probe.cable);
        return say('words.whatClamp', { cable: cable ? this.names.cable(cable) : '' });
      }
      case 'opens':
        return say('words.whatOpens', { device: this.names.device(probe.device) });
      case 'joined':
        if (probe.slots) return say('words.whatSlotOhms', { part: this.names.part(probe.slots) });
        return say('words.whatOhms', { from: this.point(probe.from), to: this.point(probe.to) });
    }
  }

  private point = (id: string): string =>
    this.points.get(id) ?? (this.plugged ? say('words.groundPin') : say('words.groundBar'));

  /** A reading, said. */
  reading(test: FieldTest, shows: Outcome): string {
    if (shows === LAMP.lit) return say('words.lampLit');
    if (shows === LAMP.dark) return say('words.lampDark');
    if (test.probe.read === 'lights') {
      const [hot, neutral, ground] = [0, 1, 2].map((light) => shows.charAt(light) === '1');
      return say('words.lights', {
        pattern: [hot, neutral, ground].map((on) => (on ? '●' : '○')).join(' '),
        legend: LEGEND[shows] ?? say('words.legendNone'),
      });
    }
    const opened = openedIn(shows);
    if (opened) return say('words.tripped', { opened: this.opened(opened) });
    return PLAIN[shows] ?? shows;
  }

  /** A mistake in its place: "Neutral open at a splice or screw: the white of the 14-2 from …". */
  fault = ({ row, place }: Fault): string => say('words.fault', { name: row.name, place });
}

const LEGEND: Readonly<Record<string, string>> = {
  '110': say('words.legendCorrect'),
  '100': say('words.legendOpenGround'),
  '010': say('words.legendOpenNeutral'),
  '000': say('words.legendDark'),
  '011': say('words.legendHotGround'),
  '101': say('words.legendHotNeutral'),
};

const PLAIN: Readonly<Record<string, string>> = {
  lit: say('words.lit'),
  dark: say('words.darkLight'),
  'far too bright': say('words.bright'),
  holds: say('words.holds'),
  lights: say('words.glows'),
  'no light': say('words.noLight'),
  inconclusive: say('words.inconclusive'),
  floating: say('words.floating'),
  'in between': say('words.between'),
  joined: say('words.joined'),
  open: say('words.open'),
  trips: say('words.opens'),
  'does nothing': say('words.nothing'),
  current: say('words.current'),
};
