import type { Design } from '../job/model/design';
import type { Wiring } from '../job/model/wiring';
import { Sets } from './judge';
import { DEVICES } from './judged-devices';

/*
 * What can be touched and is live in a house in the middle of the work. Shares no code with what it judges: not the network,
 * not the solver, not the proof, nor how the work is put together. What is live is what metal and closed contacts join with a
 * breaker that is on, and what lies behind a load of it without its own way to the bars.
 */

/** What is done in a box: null where it stands as the plan has it. */
export interface Worked {
  readonly closed: boolean;
  /** What its done steps handled: those that land something, and all others. */
  readonly landed: ReadonlySet<string>;
  readonly made: ReadonlySet<string>;
}

export interface Exposed {
  /** Ends that hang bare and are live, as `box end`. */
  readonly ends: ReadonlySet<string>;
  /** Open boxes with anything live in them. */
  readonly boxes: ReadonlySet<string>;
}

export function exposed(
  job: Design,
  wiring: Wiring,
  worked: ReadonlyMap<string, Worked>,
  on: ReadonlySet<string>,
): Exposed {
  const open = (box: string) => {
    const work = worked.get(box);
    return work && !work.closed ? work : null;
  };
  const lies = new Map<string, string>();
  const bare = new Map<string, string>();
  const places = new Map<string, Set<string>>();
  const see = (box: string, place: string) => {
    places.set(box, (places.get(box) ?? new Set()).add(place));
    return place;
  };
  for (const { id, box, ends } of wiring.splices)
    if (open(box)?.made.has(id) ?? true) for (const end of ends) lies.set(end, see(box, `s ${id}`));
  for (const { box, end, terminal } of wiring.terminations)
    if (open(box)?.landed.has(end) ?? true) lies.set(end, see(box, `t ${terminal}`));
  for (const { box, end } of wiring.caps)
    if (open(box)?.made.has(end) ?? true) lies.set(end, see(box, `c ${end}`));
  const wires: [string, string][] = [];
  for (const { from, to, conductors } of wiring.cables)
    for (const { id } of conductors) {
      const [a = '', b = ''] = [from, to].map((box) => {
        const end = `${id}@${box}`;
        const at = lies.get(end);
        if (at !== undefined) return at;
        if (open(box)) bare.set(see(box, `e ${end}`), box);
        return `e ${end}`;
      });
      wires.push([a, b]);
    }
  const splices = new Set(wiring.splices.map(({ id }) => String(id)));
  for (const { id, box, from, to, lead } of wiring.tails) {
    const work = open(box);
    const start = from.at === 'splice' ? `s ${from.splice}` : `t ${from.terminal}`;
    const cut =
      !work || (from.at === 'splice' ? work.made.has(from.splice) && work.made.has(id) : work.landed.has(id));
    const end = splices.has(to) ? `s ${to}` : `t ${to}`;
    if (!cut) {
      if (lead) bare.set(see(box, end), box);
      continue;
    }
    const ends = !work || lead || (splices.has(to) ? work.made.has(to) : work.landed.has(id));
    const far = ends ? end : `h ${id}`;
    if (!ends) bare.set(far, box);
    wires.push([see(box, start), see(box, far)]);
  }
  for (const { id, box, kind } of wiring.devices) {
    const { parts = {}, contacts = [], inner = [], tabs = {} } = DEVICES[kind] ?? {};
    const pairs = [...Object.values(parts), ...contacts, ...inner.flat(), ...Object.values(tabs)];
    for (const [a, b] of pairs) for (const one of [a, b]) see(box, `t ${id}:${one}`);
  }

  const result = { ends: new Set<string>(), boxes: new Set<string>() };
  const handles = wiring.devices.filter(({ kind }) => (DEVICES[kind]?.inner?.length ?? 0) > 1);
  const codes =
    handles.length <= 10
      ? Array.from({ length: 2 ** handles.length }, (_, code) => handles.map((_one, at) => (code >> at) & 1))
      : [0, 1]
          .map((all) => handles.map(() => all))
          .concat(handles.map((_one, up) => handles.map((_two, at) => Number(at === up))));
  for (const code of codes)
    for (const loaded of [false, true]) {
      const sets = new Sets();
      for (const [a, b] of wires) sets.join(a, b);
      sets.join('t panel#neutral', 't panel#ground');
      for (const { id } of job.circuits) sets.join(`t panel#neutral:${id}`, 't panel#neutral');
      const loads: [string, string][] = [];
      for (const { id, kind, brokenTabs } of wiring.devices) {
        const known = DEVICES[kind] ?? {};
        const join = (pairs: readonly (readonly [string, string])[]) => {
          for (const [a, b] of pairs) sets.join(`t ${id}:${a}`, `t ${id}:${b}`);
        };
        join(
          Object.entries(known.tabs ?? {}).flatMap(([tab, pair]) => (brokenTabs.includes(tab) ? [] : [pair])),
        );
        join(known.contacts ?? []);
        join(known.inner?.[code[handles.findIndex((one) => one.id === id)] ?? 0] ?? []);
        for (const [hot, neutral] of Object.values(known.parts ?? {}))
          loads.push([`t ${id}:${hot}`, `t ${id}:${neutral}`]);
      }
      const bars = sets.find('t panel#neutral');
      const live = new Set([...on].map((circuit) => sets.find(`t panel#hot:${circuit}`)));
      // A load hands on what is live to a side that has no way to the bars.
      for (let more = loaded; more;) {
        more = false;
        for (const [a, b] of loads) {
          const [x, y] = [sets.find(a), sets.find(b)];
          for (const [from, to] of [
            [x, y],
            [y, x],
          ] as const)
            if (live.has(from) && to !== bars && !live.has(to)) {
              live.add(to);
              more = true;
            }
        }
      }
      live.delete(bars);
      for (const [place, box] of bare)
        if (live.has(sets.find(place))) result.ends.add(`${box} ${place.slice(2)}`);
      for (const [box, all] of places)
        if (open(box) && [...all].some((place) => live.has(sets.find(place)))) result.boxes.add(box);
    }
  return result;
}
