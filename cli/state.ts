import { z } from 'zod';
import { energize } from '@core/power/energize/energize';
import { hasLinePower } from '@core/power/energize/ground-fault';
import { REST, type State } from '@core/power/energize/state';
import { zodProblems } from '@core/job/model/job-file';
import { endsOf, terminalsOf } from '@core/job/model/lookup';
import { good, type Checked, type Problem } from '@core/job/model/problem';
import { boxesOfPoints } from '@core/power/proof/together';
import { looseContact, openContact, touching, type Disturbance } from '@core/power/network/disturbance';
import { buildNetwork, type Network } from '@core/power/network/network';
import type { Plan } from '@core/wiring/plan';
import { readJson } from './json';

const volts = z.string().min(1);

/** What is set while energizing, as a file for `--state`. Everything may be left out. */
const StateFile = z.strictObject({
  openBreakers: z.array(z.string()).default([]),
  positions: z.record(z.string(), z.union([z.int().min(0), z.string()])).default({}),
  loads: z.record(z.string(), z.number().min(0).max(7200)).default({}),
  testers: z.array(z.string()).default([]),
  meter: z
    .strictObject({ impedance: z.enum(['high', 'low', 'lamp']), from: volts, to: volts })
    .nullable()
    .default(null),
  /** Devices that stand tripped. */
  tripped: z.array(z.string()).default([]),
  /** Devices whose TEST is pressed, and whose RESET is pressed after that. */
  test: z.array(z.string()).default([]),
  reset: z.array(z.string()).default([]),
  faults: z
    .array(
      z.union([
        z.strictObject({ open: z.string() }),
        z.strictObject({ loose: z.string(), ohms: z.number().positive().max(1e6) }),
        z.strictObject({ touch: z.tuple([z.string(), z.string()]) }),
      ]),
    )
    .max(20)
    .default([]),
});

/** A state with everything in it known to the plan. */
export interface Setting {
  readonly network: Network;
  readonly state: State;
  /** What TEST and RESET did, in words. */
  readonly pressed: readonly {
    readonly device: string;
    readonly button: 'test' | 'reset';
    readonly does: string;
  }[];
}

/**
 * Reads a state file against a plan. A breaker is named by its id, or by its number in the directory where only one has
 * it; a position by its number or its word. Whatever the plan does not know is a problem with its path.
 */
export function readState(text: string, { job, wiring }: Plan): Checked<Setting> {
  const raw = readJson(text, 'state');
  if (!raw.ok) return raw;
  const parsed = StateFile.safeParse(raw.value);
  if (!parsed.success) return { ok: false, problems: zodProblems(parsed.error) };
  const file = parsed.data;
  const problems: Problem[] = [];
  const say = (path: string, message: string, known: readonly string[]) =>
    problems.push({ path, message, wayOut: `Known: ${known.slice(0, 30).join(', ') || 'none'}.` });

  const breaker = (name: string, path: string): string => {
    if (job.circuits.some(({ id }) => id === name)) return name;
    const numbered = job.circuits.filter(({ number }) => number === name);
    const [only] = numbered;
    if (only && numbered.length === 1) return only.id;
    say(
      path,
      numbered.length > 1
        ? `more than one breaker has the number "${name}": use its id`
        : `there is no breaker "${name}"`,
      job.circuits.map(({ id, number }) => `${id} (${number})`),
    );
    return name;
  };
  const network = buildNetwork(wiring, job.circuits);
  const handles = network.devices.filter(({ kind }) => kind.positions.length > 0);
  const positions = new Map<string, number>();
  for (const [id, value] of Object.entries(file.positions)) {
    const handle = handles.find(({ wired }) => wired.id === id);
    const path = `positions.${id}`;
    if (!handle) {
      say(
        path,
        `there is no switch "${id}"`,
        handles.map(({ wired }) => wired.id),
      );
      continue;
    }
    const names = handle.kind.positions;
    const at = typeof value === 'number' ? value : names.indexOf(value);
    if (at < 0 || at >= names.length)
      say(
        path,
        `a ${handle.kind.name} has no position ${JSON.stringify(value)}`,
        names.map((name, index) => `${index} (${name})`),
      );
    else positions.set(id, at);
  }
  const parts = network.parts.map(({ key }): string => key);
  const part = (key: string, path: string) => {
    if (!parts.includes(key)) say(path, `there is no part "${key}"`, parts);
    return key;
  };
  const protecting = network.protecting.map(({ device }) => device);
  const guard = (id: string, path: string) => {
    if (!protecting.includes(id)) say(path, `there is no GFCI or AFCI device "${id}"`, protecting);
    return id;
  };
  const point = (id: string, path: string) => {
    if (network.point(id) === undefined)
      say(path, `there is no terminal or splice "${id}"`, [...terminalsOf(wiring).keys()]);
    return id;
  };
  const places = boxesOfPoints(wiring);
  const contact = (id: string, path: string) => {
    if (!places.has(id)) say(path, `there is no conductor end "${id}"`, [...endsOf(wiring).keys()]);
    return id;
  };
  const faults = file.faults.map((fault, index): Disturbance => {
    const path = `faults[${index}]`;
    if ('open' in fault) return openContact(contact(fault.open, `${path}.open`));
    if ('loose' in fault) return looseContact(contact(fault.loose, `${path}.loose`), fault.ohms);
    return touching(point(fault.touch[0], `${path}.touch[0]`), point(fault.touch[1], `${path}.touch[1]`));
  });
  const { meter } = file;
  const start: State = {
    ...REST,
    openBreakers: new Set(file.openBreakers.map((name, index) => breaker(name, `openBreakers[${index}]`))),
    positions,
    loads: new Map(Object.entries(file.loads).map(([key, watts]) => [part(key, `loads.${key}`), watts])),
    testers: new Set(file.testers.map((key, index) => part(key, `testers[${index}]`))),
    meter: meter && { ...meter, from: point(meter.from, 'meter.from'), to: point(meter.to, 'meter.to') },
    tripped: new Set(file.tripped.map((id, index) => guard(id, `tripped[${index}]`))),
  };
  file.test.forEach((id, index) => guard(id, `test[${index}]`));
  file.reset.forEach((id, index) => guard(id, `reset[${index}]`));
  if (problems.length > 0) return { ok: false, problems };
  const faulty = buildNetwork(wiring, job.circuits, faults);
  return good({ network: faulty, ...press(faulty, start, file.test, file.reset) });
}

/** TEST opens a device that has line power; RESET closes it where it has, and where nothing trips it again at once. */
function press(
  network: Network,
  start: State,
  test: readonly string[],
  reset: readonly string[],
): Omit<Setting, 'network'> {
  const pressed: Setting['pressed'][number][] = [];
  const powered = (state: State, device: string): boolean => {
    const { point } = energize(network, state);
    const own = network.protecting.find((one) => one.device === device);
    return own !== undefined && hasLinePower(point, own);
  };
  let state = start;
  for (const device of test) {
    const acts = powered(state, device) && !state.tripped.has(device);
    if (acts) state = { ...state, tripped: new Set([...state.tripped, device]) };
    pressed.push({
      device,
      button: 'test',
      does: acts ? 'trips' : 'nothing: it has no line power, or is tripped already',
    });
  }
  for (const device of reset) {
    const closed: State = { ...state, tripped: new Set([...state.tripped].filter((one) => one !== device)) };
    if (!powered(state, device))
      pressed.push({ device, button: 'reset', does: 'will not reset: no line power' });
    else if (energize(network, closed).state.tripped.has(device))
      pressed.push({ device, button: 'reset', does: 'trips again at once' });
    else {
      state = closed;
      pressed.push({ device, button: 'reset', does: 'resets' });
    }
  }
  return { state, pressed };
}
