import { capitalize } from '../../base/capitalize';
import { deviceKind } from '../../trade/devices';
import { colorName } from '../../wiring/makeup/cable-names';
import { PANEL } from '../../job/model/design';
import { placeName } from '../../job/model/called';
import { panelLanding, panelTerminals } from '../../wiring/makeup/panel';
import { boxGroundId, tabId, terminalId, type NetRole } from '../../job/model/wiring';
import { Names } from '../../power/proof/names';
import { say, tell } from '../../base/words/live';
import type { Told } from '../../base/words/speak';
import type { HotSpot, Shown } from './instruments';
import { movables } from './rewire';
import type { Happening, Opener, Placement, Rewiring } from './scene';
import type { Setting } from './standing';

/**
 * What a current through a body does, from so many A: felt, the hand held fast, the heart in danger (IEC 60479-1, 50 and
 * 60 Hz, from memory; bands, not limits of safety).
 */
const FELT_A = 0.0005;
const HELD_A = 0.01;
const HEART_A = 0.03;

/** A change by hand, said, with what puts just it back. */
export interface ShownChange {
  readonly key: string;
  readonly says: string;
  readonly kind: keyof Rewiring;
}

/** What happens on the bench of one job, in its words. */
export class BenchWords {
  private readonly names: Names;
  /** By terminal, where something is that is on it. */
  private readonly terminals: ReadonlyMap<string, string>;
  private readonly ends: ReadonlyMap<string, string>;
  private readonly splices: ReadonlyMap<string, NetRole>;

  constructor(private readonly setting: Setting) {
    const { job, house } = setting;
    const { wiring } = house;
    this.names = new Names(job, wiring);
    this.terminals = new Map<string, string>([
      ...wiring.devices.flatMap(({ id, kind }) =>
        deviceKind(kind).terminals.map(
          (one) => [terminalId(id, one.id), say('words.on', { terminal: one.name })] as const,
        ),
      ),
      ...job.boxes.map(
        ({ id }) => [boxGroundId(id), say('words.on', { terminal: say('words.boxScrew') })] as const,
      ),
      ...panelTerminals(job.circuits).map(
        (id) => [id, say('words.onPanel', { terminal: panelLanding(job, id) })] as const,
      ),
    ]);
    this.splices = new Map(wiring.splices.map(({ id, role }) => [id, role]));
    const conductors = new Map(
      wiring.cables.flatMap((cable) =>
        cable.conductors.map((own) => [own.id as string, { own, cable }] as const),
      ),
    );
    const tails = new Map(wiring.tails.map((tail) => [tail.id as string, tail]));
    this.ends = new Map(
      [...movables(wiring).values()].map(({ end, wire, box }) => {
        const found = conductors.get(wire);
        const tail = tails.get(wire);
        return [
          end,
          found
            ? say('words.end', {
                color: colorName(found.own.insulation, found.own.reidentified),
                cable: this.names.cable(found.cable),
                box: placeName(job, box),
              })
            : say('words.pigtail', {
                color: tail ? colorName(tail.insulation) : '',
                box: placeName(job, box),
              }),
        ] as const;
      }),
    );
  }

  end = (end: string): string => this.ends.get(end) ?? say('words.otherPlace');
  breaker = (circuit: string): string => say('words.breaker', { number: this.names.circuit(circuit) });
  private opener = ({ at, by }: Pick<Opener, 'at' | 'by'>): string =>
    by === 'breaker' ? this.breaker(at) : say('words.the', { device: this.names.device(at) });

  /** `closed`: only what is seen from outside, not why. */
  happened(one: Happening, closed = false): string {
    if (closed && (one.what === 'short' || one.what === 'overload'))
      return say('words.trips', { what: this.breaker(one.circuit) });
    if (closed && one.what === 'ground fault') return say('words.trips', { what: this.opener(one) });
    if (closed && (one.what === 'no test' || one.what === 'no reset'))
      return say('words.nothing', { what: this.opener({ at: one.at, by: 'device' }) });
    switch (one.what) {
      case 'short':
        return say('words.short', {
          what: this.breaker(one.circuit),
          amps: one.amps.toFixed(0),
          times: one.times.toFixed(1),
        });
      case 'overload':
        return say('words.overload', {
          what: this.breaker(one.circuit),
          amps: one.amps.toFixed(1),
          after: saidTime(one.afterS),
        });
      case 'ground fault':
        return one.reason === 'imbalance'
          ? say('words.groundFault', { what: this.opener(one), amps: (one.amps * 1000).toFixed(0) })
          : say('words.groundedNeutral', { what: this.opener(one) });
      case 'tested':
        return say('words.tested', { what: this.opener(one) });
      case 'no test':
        return say('words.noTest', { what: this.opener({ at: one.at, by: 'device' }) });
      case 'no reset':
        return say('words.noReset', { what: this.opener({ at: one.at, by: 'device' }) });
      case 'opened live':
        return one.box === PANEL
          ? say('words.workedInPanel')
          : say('words.openedLive', { box: placeName(this.setting.job, one.box) });
      case 'covered bare':
        return say('words.coveredBare', { box: placeName(this.setting.job, one.box) });
      case 'worked in panel':
        return say('words.workedInPanel');
      case 'worked live':
        return say('words.workedLive');
      case 'touched':
        return this.shock(one);
      case 'arc':
        return this.arc(one);
    }
  }

  private shock({ amps, opened }: Extract<Happening, { what: 'touched' }>): string {
    const milliamps = (amps * 1000).toFixed(amps < 0.01 ? 1 : 0);
    if (amps < FELT_A) return say('words.felt', { amps: milliamps });
    return say('words.shock', {
      amps: milliamps,
      harm: amps < HELD_A ? say('words.tingles') : amps < HEART_A ? say('words.holds') : say('words.stops'),
      opened:
        opened === null
          ? say('words.opensNothing')
          : opened.withinS === null
            ? say('words.opensSome', { what: this.opener(opened) })
            : say('words.opensWithin', { what: this.opener(opened), time: saidTime(opened.withinS) }),
    });
  }

  private arc({ amps, opened, why }: Extract<Happening, { what: 'arc' }>): string {
    const said = amps.toFixed(1);
    if (opened)
      return say('words.arcOpens', {
        amps: said,
        what: this.opener(opened),
        time: saidTime(opened.withinS ?? 0),
      });
    return why === 'no current'
      ? say('words.arcIdle')
      : why === 'too small'
        ? say('words.arcSmall', { amps: said })
        : say('words.arcNone', { amps: said });
  }

  /** The difference to the plan, thing by thing. */
  changes({ ends, tabs, loose }: Rewiring): ShownChange[] {
    const { wiring } = this.setting.house;
    const known = movables(wiring);
    return [
      ...Object.entries(ends).flatMap(([key, now]): ShownChange[] => {
        const own = known.get(key);
        if (!own) return [];
        const says = say('words.moved', {
          end: capitalize(this.end(key)),
          now: this.placement(now),
          planned: this.placement(own.planned),
        });
        return [{ key, kind: 'ends', says }];
      }),
      ...Object.entries(tabs).flatMap(([key, now]): ShownChange[] => {
        const found = wiring.devices.flatMap(({ id, kind }) =>
          deviceKind(kind).tabs.map((tab) => ({ id, tab, key: tabId(id, tab.id) })),
        );
        const own = found.find((one) => one.key === key);
        if (!own) return [];
        const says = say('words.tab', {
          tab: capitalize(own.tab.name),
          device: this.names.device(own.id),
          now,
        });
        return [{ key, kind: 'tabs', says }];
      }),
      ...Object.entries(loose).map(([key, ohms]): ShownChange => ({
        key,
        kind: 'loose',
        says: say('words.loose', { end: capitalize(this.end(key)), ohms: String(ohms) }),
      })),
    ];
  }

  /** An end that hangs bare, as a finding. */
  looseEnd = (end: string): Told => tell('words.hangsBare', { end: capitalize(this.end(end)) });

  placement(place: Placement): string {
    switch (place.at) {
      case 'bare':
        return say('words.bare');
      case 'cap':
        return say('words.capped');
      case 'metal':
        return say('words.metal');
      case 'terminal':
        return this.terminals.get(place.terminal) ?? say('words.otherPlace');
      case 'splice':
        return say('words.spliced', { role: this.splices.get(place.splice) ?? 'hot' });
      case 'by hand':
        return say('words.byHand', { number: place.number });
    }
  }

  heat = ({ end, watts, ohms, amps }: HotSpot): string =>
    say('words.heat', {
      end: capitalize(this.end(end)),
      watts: watts.toFixed(watts < 10 ? 1 : 0),
      ohms: String(ohms),
      amps: amps.toFixed(1),
    });

  carries = ({ circuit, amps, band }: { circuit: string; amps: number; band: string }): string =>
    say('words.carries', { what: this.breaker(circuit), amps: amps.toFixed(1), band });
}

export function saidMeter(shown: Shown): string {
  switch (shown.kind) {
    case 'ghost':
      return say('words.ghost');
    case 'live':
      return say('words.ohmsLive');
    case 'volts':
      return say('words.volts', { volts: shown.volts.toFixed(1) });
    case 'ohms':
      return Number.isFinite(shown.ohms)
        ? say('words.ohms', { ohms: shown.ohms.toFixed(shown.ohms < 10 ? 2 : 0) })
        : say('words.open');
  }
}

export const saidAmps = (amps: number): string => say('words.amps', { amps: amps.toFixed(amps < 1 ? 2 : 1) });

export function saidTip(shown: 'glows' | 'dark' | 'unsure' | null): string {
  if (shown === null) return say('words.noReading');
  return shown === 'glows' ? say('words.glows') : shown === 'dark' ? say('words.dark') : say('words.unsure');
}

/** "25 ms", "0.4 s", "3 min 20 s", "1 h 5 min" */
export function saidTime(seconds: number): string {
  if (seconds < 0.1) return say('words.ms', { count: Math.round(seconds * 1000) });
  if (seconds < 60) return say('words.s', { count: seconds < 10 ? seconds.toFixed(1) : seconds.toFixed(0) });
  const whole = Math.round(seconds);
  if (whole < 3600) return say('words.minutes', { minutes: Math.floor(whole / 60), seconds: whole % 60 });
  return say('words.hours', { hours: Math.floor(whole / 3600), minutes: Math.floor((whole % 3600) / 60) });
}
