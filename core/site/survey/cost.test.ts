import { describe, expect, test } from '@jest/globals';
import type { Probe, Setup } from '../../job/model/survey';
import { costOf } from './cost';

/* The order in which an electrician would rather do things (common practice); the figures themselves are plausible. */

const at = { on: 'conductor', cable: 'c', insulation: 'black' } as const;
const to = { on: 'ground', box: 'b' } as const;
const DEAD: Setup = { breakers: 'all off', apart: 'as found', switches: 'as they are', loadsOut: false };
const ohms: Probe = { with: 'continuity', from: at, to };
const volts: Probe = { with: 'meter', impedance: 'low', from: at, to };
const glow: Probe = { with: 'non-contact', at };
const effort = (change: Partial<Setup>, probe: Probe) => costOf({ ...DEAD, ...change }, probe).effort;

describe('what a reading costs', () => {
  test('one on a dead circuit, nothing touched, is the unit', () => {
    expect(costOf(DEAD, ohms)).toEqual({ effort: 1, live: false });
  });
  test('dead before live', () => {
    expect(effort({}, ohms)).toBeLessThan(effort({ breakers: 'on' }, volts));
    expect(effort({ apart: 'hots' }, ohms)).toBeLessThan(effort({ breakers: 'on', apart: 'hots' }, volts));
  });
  test('nothing touched before hots lifted, hots lifted before all apart', () => {
    const by = (['as found', 'hots', 'all'] as const).map((apart) => effort({ apart }, ohms));
    expect(by).toEqual([...by].sort((a, b) => a - b));
    expect(new Set(by).size).toBe(3);
  });
  test('hands away from metal before probes on it', () => {
    expect(effort({ breakers: 'on' }, glow)).toBeLessThan(effort({ breakers: 'on' }, volts));
  });
  test('working every switch and pulling every plug are work', () => {
    expect(effort({ breakers: 'on', switches: 'worked' }, volts)).toBeGreaterThan(
      effort({ breakers: 'on' }, volts),
    );
    expect(effort({ loadsOut: true }, ohms)).toBeGreaterThan(effort({}, ohms));
  });
  test('live is what has power on, and a clamp, since current is what it looks for', () => {
    const live = (breakers: Setup['breakers'], probe: Probe) => costOf({ ...DEAD, breakers }, probe).live;
    expect([live('on', volts), live('on', glow), live('off', { with: 'clamp', at })]).toEqual([
      true,
      true,
      true,
    ]);
    expect([live('off', glow), live('all off', ohms)]).toEqual([false, false]);
  });
});
