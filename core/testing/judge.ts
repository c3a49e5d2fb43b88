import type { Design } from '../job/model/design';
import type { Wiring } from '../job/model/wiring';
import { DEVICES } from './judged-devices';

/** Sets that can be joined. */
export class Sets {
  private readonly up = new Map<string, string>();
  find(one: string): string {
    let at = one;
    for (let next = this.up.get(at); next !== undefined && next !== at; next = this.up.get(at)) at = next;
    return at;
  }
  join(a: string, b: string): boolean {
    const [x, y] = [this.find(a), this.find(b)];
    if (x === y) return false;
    this.up.set(x, y);
    return true;
  }
}

/** A conductor, or a short wire in a box, between two places. */
interface Wire {
  readonly id: string;
  readonly a: string;
  readonly b: string;
  readonly cable: string | null;
  readonly ground: boolean;
}

/** Complaints about a wiring, in words; none where all is well. States: every one up to `most` switches, else a sample. */
export function judge(job: Design, wiring: Wiring, most = 8): string[] {
  const complaints = new Set<string>();
  const say = (words: string) => complaints.add(words);

  // Every end somewhere, once.
  const lies = new Map<string, string[]>();
  const put = (end: string, at: string) => lies.set(end, [...(lies.get(end) ?? []), at]);
  wiring.splices.forEach((splice) => splice.ends.forEach((end) => put(end, `s ${splice.id}`)));
  wiring.terminations.forEach(({ end, terminal }) => put(end, `t ${terminal}`));
  wiring.caps.forEach(({ end }) => put(end, `c ${end}`));
  const wires: Wire[] = [];
  let count = 0;
  for (const cable of wiring.cables) {
    for (const conductor of cable.conductors) {
      const places = [cable.from, cable.to].map((box) => {
        const end = `${conductor.id}@${box}`;
        const at = lies.get(end) ?? [];
        count += at.length;
        if (at.length !== 1) say(`${end} lies in ${at.length} places`);
        return at[0] ?? `loose ${end}`;
      });
      wires.push({
        id: conductor.id,
        a: places[0]!,
        b: places[1]!,
        cable: cable.id,
        ground: conductor.insulation === 'bare' || conductor.insulation === 'green',
      });
    }
  }
  if (count !== [...lies.values()].reduce((sum, list) => sum + list.length, 0))
    say('an end of no conductor lies somewhere');
  for (const tail of wiring.tails) {
    const from = tail.from.at === 'splice' ? `s ${tail.from.splice}` : `t ${tail.from.terminal}`;
    const splice = wiring.splices.some(({ id }) => String(id) === String(tail.to));
    wires.push({
      id: tail.id,
      a: from,
      b: `${splice ? 's' : 't'} ${tail.to}`,
      cable: null,
      ground: tail.role === 'ground',
    });
  }

  const at = (device: string, terminal: string) => `t ${device}:${terminal}`;
  const neutralBar = 't panel#neutral';
  const hotOf = new Map(job.circuits.map(({ id }) => [id, `t panel#hot:${id}`]));

  // Nothing has two paths; grounds may.
  const paths = new Sets();
  for (const { id } of job.circuits) paths.join(`t panel#neutral:${id}`, neutralBar);
  for (const { id, kind, brokenTabs } of wiring.devices)
    for (const [tab, [a, b]] of Object.entries(DEVICES[kind]?.tabs ?? {}))
      if (!brokenTabs.includes(tab)) paths.join(at(id, a), at(id, b));
  for (const wire of wires.filter(({ ground }) => !ground))
    if (!paths.join(wire.a, wire.b)) say(`${wire.id} is a second path`);

  // Grounds reach the panel, and touch nothing else.
  const earth = new Sets();
  for (const wire of wires.filter(({ ground }) => ground)) earth.join(wire.a, wire.b);
  const ground = earth.find('t panel#ground');
  for (const { id, kind } of wiring.devices)
    if (DEVICES[kind]?.ground && earth.find(at(id, 'ground')) !== ground) say(`${id} has no ground`);
  for (const wire of wires) {
    if (wire.ground && earth.find(wire.a) !== ground) say(`the ground ${wire.id} does not reach the panel`);
    if (!wire.ground && [wire.a, wire.b].some((place) => earth.find(place) === ground))
      say(`${wire.id} touches ground`);
  }

  // What each part should do.
  const places = new Map<string, string[]>();
  const wants = new Map<string, { circuit: string; control: string | null; via: string | null }>();
  const wired = new Set(wiring.devices.filter(({ kind }) => kind !== 'radio-switch').map(({ id }) => id));
  for (const device of job.devices)
    for (const [part, want] of Object.entries(device.wants)) {
      if (want.does === 'power') wants.set(`${device.id}/${part}`, want);
      else if (wired.has(device.id)) places.set(want.group, [...(places.get(want.group) ?? []), device.id]);
    }
  const groupsAhead = (key: string): string[] => {
    const own: string[] = [];
    for (let want = wants.get(key), depth = 0; want && depth < 30; depth++) {
      if (want.control !== null) own.push(want.control);
      want = want.via === null ? undefined : wants.get(`${want.via}/outlet`);
    }
    return [...new Set(own)];
  };

  const handles = wiring.devices
    .filter(({ kind }) => (DEVICES[kind]?.inner?.length ?? 0) > 1)
    .map(({ id }) => id);
  const states = statesOf(handles, most);
  const seen = new Map<string, { live: boolean; thrown: number[] }[]>();
  for (const thrown of states) {
    const joined = new Sets();
    const links: Wire[] = wires.filter(({ ground }) => !ground);
    for (const { id, kind, brokenTabs } of wiring.devices) {
      const known = DEVICES[kind];
      if (!known) {
        say(`the judge does not know a ${kind}`);
        continue;
      }
      const pairs = [
        ...(known.inner?.[thrown.has(id) ? 1 : 0] ?? []),
        ...(known.contacts ?? []),
        ...Object.entries(known.tabs ?? {}).flatMap(([tab, pair]) =>
          brokenTabs.includes(tab) ? [] : [pair],
        ),
      ];
      for (const [a, b] of pairs)
        links.push({ id: `${id} ${a}-${b}`, a: at(id, a), b: at(id, b), cable: null, ground: false });
    }
    for (const { id, protection } of job.circuits)
      if (protection !== 'none')
        links.push({
          id: `bar ${id}`,
          a: `t panel#neutral:${id}`,
          b: neutralBar,
          cable: null,
          ground: false,
        });
    for (const { a, b } of links) joined.join(a, b);
    const hots = [...hotOf].map(([circuit, place]) => ({ circuit, at: joined.find(place) }));
    const bar = joined.find(neutralBar);
    for (const [index, one] of hots.entries()) {
      if (one.at === bar) say(`circuit ${one.circuit} is shorted`);
      if (hots.slice(index + 1).some((other) => other.at === one.at))
        say(`circuit ${one.circuit} is tied to another`);
    }
    for (const { id, kind } of wiring.devices) {
      for (const [part, [hot, neutral]] of Object.entries(DEVICES[kind]?.parts ?? {})) {
        const key = `${id}/${part}`;
        const want = wants.get(key);
        if (!want) continue;
        const [h, n] = [joined.find(at(id, hot)), joined.find(at(id, neutral))];
        const own = hots.find(({ circuit }) => circuit === want.circuit)?.at;
        const live = h === own && n === bar;
        if (hots.some((one) => one.at === n)) say(`${key}: the neutral side is hot`);
        if (h === bar) say(`${key}: the hot side is neutral`);
        if (!live && hots.some((one) => one.at === h))
          say(`${key}: hot without its neutral, or of another circuit`);
        seen.set(key, [
          ...(seen.get(key) ?? []),
          {
            live,
            thrown: groupsAhead(key).map(
              (group) => (places.get(group) ?? []).filter((one) => thrown.has(one)).length,
            ),
          },
        ]);
        if (live) alone(links, at(id, hot), at(id, neutral), hotOf.get(want.circuit)!, neutralBar, key, say);
      }
    }
  }

  // Always on, or on with a pattern in its switches: some way up of each group explains all states.
  for (const [key, list] of seen) {
    const groups = groupsAhead(key);
    const several = groups.map((group) => (places.get(group) ?? []).length > 1);
    const fits = Array.from({ length: 2 ** groups.length }, (_, bits) =>
      list.every(({ live, thrown }) => {
        const on = thrown.every((number, index) =>
          several[index] ? (number + ((bits >> index) & 1)) % 2 === 1 : number === 1,
        );
        return on === live;
      }),
    ).some(Boolean);
    if (!fits) say(`${key} does not do what is asked`);
    if (list.every(({ live }) => !live)) say(`${key} is never live`);
    if (groups.length > 0 && states.length === 2 ** handles.length && list.every(({ live }) => live))
      say(`${key} is never off`);
  }
  return [...complaints];
}

/** One load alone: its current goes out by one way and back by one way; in every cable the two must cancel. */
function alone(
  links: readonly Wire[],
  hot: string,
  neutral: string,
  breaker: string,
  bar: string,
  key: string,
  say: (words: string) => void,
) {
  const sums = new Map<string, number>();
  const carry = (from: string, to: string, sign: 1 | -1) => {
    for (const { wire, forward } of way(links, from, to)) {
      if (wire.cable === null) continue;
      // Conductors of one cable all run the same way, so the ends say the direction.
      sums.set(wire.cable, (sums.get(wire.cable) ?? 0) + sign * (forward ? 1 : -1));
    }
  };
  carry(breaker, hot, 1);
  carry(neutral, bar, 1);
  for (const [cable, sum] of sums) if (sum !== 0) say(`${key}: its current does not cancel in ${cable}`);
}

/** The one way between two places of a forest. */
function way(links: readonly Wire[], from: string, to: string): { wire: Wire; forward: boolean }[] {
  const near = new Map<string, { wire: Wire; forward: boolean; next: string }[]>();
  for (const wire of links) {
    near.set(wire.a, [...(near.get(wire.a) ?? []), { wire, forward: true, next: wire.b }]);
    near.set(wire.b, [...(near.get(wire.b) ?? []), { wire, forward: false, next: wire.a }]);
  }
  const came = new Map<string, { wire: Wire; forward: boolean; before: string } | null>([[from, null]]);
  const queue = [from];
  for (let place = queue.shift(); place !== undefined && place !== to; place = queue.shift())
    for (const { wire, forward, next } of near.get(place) ?? [])
      if (!came.has(next)) {
        came.set(next, { wire, forward, before: place });
        queue.push(next);
      }
  const steps: { wire: Wire; forward: boolean }[] = [];
  for (let step = came.get(to); step; step = came.get(step.before)) steps.push(step);
  return steps;
}

/** Sets of thrown handles: all of them for few handles, else none, all, each, all but each, and each pair. */
function statesOf(handles: readonly string[], most: number): ReadonlySet<string>[] {
  if (handles.length <= most)
    return Array.from(
      { length: 2 ** handles.length },
      (_, bits) => new Set(handles.filter((_, index) => (bits >> index) & 1)),
    );
  return [
    new Set<string>(),
    new Set(handles),
    ...handles.flatMap((one, index) => [
      new Set([one]),
      new Set(handles.filter((other) => other !== one)),
      ...handles.slice(index + 1).map((other) => new Set([one, other])),
    ]),
  ];
}
