import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { drawBox } from '../../wiring/geometry/box-drawing';
import { PANEL } from '../../job/model/design';
import { panelTerminals } from '../../wiring/makeup/panel';
import { planJob, type Plan } from '../../wiring/plan';
import { terminalId, type Wiring } from '../../job/model/wiring';
import { deviceKind } from '../../trade/devices';
import { soundHouse } from '../../power/faults';
import { buildNetwork } from '../../power/network/network';
import { energize } from '../../power/energize/energize';
import { REST } from '../../power/energize/state';
import { anyJob, anyPlan } from '../../testing/random-jobs';
import { isAsPlanned, movables, rewired, undone, withJoined, withPlaced, withTabTurned } from './rewire';
import { AS_PLANNED, type Rewiring } from './scene';

/** Where each conductor end is, counted over the lists of a wiring. */
function places(wiring: Wiring): Map<string, string[]> {
  const found = new Map<string, string[]>();
  const put = (end: string, at: string) => found.set(end, [...(found.get(end) ?? []), at]);
  for (const { id, ends } of wiring.splices) for (const end of ends) put(end, id);
  for (const { end, terminal } of wiring.terminations) put(end, terminal);
  for (const { end, bare } of wiring.caps) put(end, bare ? 'bare' : 'cap');
  return found;
}

const moves = fc.array(fc.tuple(fc.nat(), fc.nat(6), fc.nat()), { maxLength: 12 });

/** Moves drawn at random, as a hand would make them. */
function movedBy({ wiring, job }: Plan, draws: readonly (readonly [number, number, number])[]): Rewiring {
  const all = [...movables(wiring).values()];
  return draws.reduce((by: Rewiring, [which, kind, where]) => {
    const own = all[which % Math.max(all.length, 1)];
    if (!own) return by;
    const device = wiring.devices[where % Math.max(wiring.devices.length, 1)];
    const splices = wiring.splices.filter(({ box }) => box === own.box);
    const splice = splices[where % Math.max(splices.length, 1)];
    const other = all.filter(({ box, pigtail }) => box === own.box && !pigtail)[where % 5];
    if (kind === 0) return withPlaced(wiring, by, own.end, { at: 'bare' });
    if (kind === 1) return withPlaced(wiring, by, own.end, { at: 'cap' });
    if (kind === 2 && splice) return withPlaced(wiring, by, own.end, { at: 'splice', splice: splice.id });
    if (kind === 3 && other && other !== own && !own.pigtail)
      return withJoined(wiring, by, own.end, other.end);
    if (kind === 4 && device) return withTabTurned(wiring, by, device.id, 'hot-tab');
    // A screw anywhere: what is in another box is not reached.
    const screws = [
      ...panelTerminals(job.circuits),
      ...wiring.devices.flatMap(({ id, kind: one }) =>
        deviceKind(one).terminals.map((screw) => terminalId(id, screw.id)),
      ),
    ];
    const terminal = screws[where % screws.length];
    if (kind === 5 && terminal) return withPlaced(wiring, by, own.end, { at: 'terminal', terminal });
    return withPlaced(wiring, by, own.end, own.planned);
  }, AS_PLANNED);
}

test('whatever is moved by hand, every end of the plan is in one place, and nothing else is joined or lost', () => {
  fc.assert(
    fc.property(anyPlan, moves, (plan, draws) => {
      const { job } = plan;
      const { wiring } = plan;
      const now = rewired(soundHouse(plan), movedBy(plan, draws));
      const [before, after] = [places(wiring), places(now.wiring)];
      expect([...after.keys()].sort()).toEqual([...before.keys()].sort());
      for (const own of after.values()) expect(own).toHaveLength(1);
      // No conductor reaches into another box.
      const boxes = new Map(now.wiring.devices.map(({ id, box }) => [id, box]));
      for (const { box, terminal } of now.wiring.terminations) {
        const device = [...boxes.keys()].find((id) => terminal.startsWith(`${id}:`));
        if (device !== undefined) expect(boxes.get(device)).toBe(box);
        if (terminal.startsWith('panel#')) expect(box).toBe(PANEL);
      }
      for (const { box, ends } of now.wiring.splices)
        for (const end of ends) expect(end.endsWith(`@${box}`)).toBe(true);
      expect(now.wiring.tails.map(({ id }) => id)).toEqual(wiring.tails.map(({ id }) => id));
      expect(now.wiring.cables).toBe(wiring.cables);
      // It can be drawn, and energized as it is, whatever it is.
      for (const { id } of [{ id: PANEL }, ...job.boxes]) {
        const drawing = drawBox({ ...plan, wiring: now.wiring }, id, { wholePanel: true });
        const ends = now.wiring.cables.filter(({ from, to }) => from === id || to === id);
        expect(drawing.wires).toHaveLength(
          ends.flatMap(({ conductors }) => conductors).length +
            now.wiring.tails.filter(({ box }) => box === id).length,
        );
        for (const { path } of drawing.wires)
          expect(path.every(([x, y]) => Number.isFinite(x) && Number.isFinite(y))).toBe(true);
      }
      expect(energize(buildNetwork(now.wiring, job.circuits, now.disturbances), REST).state).toBeDefined();
    }),
    { numRuns: 75 },
  );
});

test('nothing moved is the plan; everything put back where it was is no change', () => {
  fc.assert(
    fc.property(anyPlan, (plan) => {
      const { job } = plan;
      const { wiring } = plan;
      expect(places(rewired(soundHouse(plan), AS_PLANNED).wiring)).toEqual(places(wiring));
      for (const { id } of job.boxes) {
        const off = undone(wiring, id);
        const { wiring: bare } = rewired(soundHouse(plan), off);
        for (const { end, pigtail } of movables(wiring).values())
          if (off.ends[end] && !pigtail) expect(places(bare).get(end)).toEqual(['bare']);
        const planned = movables(wiring);
        const back = Object.keys(off.ends).reduce(
          (by, end) => withPlaced(wiring, by, end, planned.get(end)!.planned),
          off,
        );
        expect(back.ends).toEqual({});
        const tabs = Object.keys(back.tabs).reduce((by, tab) => {
          const [device = '', name = ''] = tab.split('|');
          return withTabTurned(wiring, by, device, name);
        }, back);
        expect(isAsPlanned(tabs)).toBe(true);
      }
    }),
    { numRuns: 50 },
  );
});

test('what the wiring does not know is left out: ends, screws and splices of an earlier plan', () => {
  const [job] = fc.sample(anyJob, { numRuns: 1, seed: 4 });
  const outcome = planJob(job!);
  if (!outcome.ok) throw new Error('refused');
  const { wiring } = outcome.plan;
  const [first] = movables(wiring).keys();
  const by: Rewiring = {
    ends: { 'gone:red@nowhere': { at: 'cap' }, [first!]: { at: 'terminal', terminal: 'gone:screw' } },
    tabs: { 'gone|hot-tab': 'broken' },
    loose: {},
  };
  expect(places(rewired(soundHouse(outcome.plan), by).wiring)).toEqual(places(wiring));
});
