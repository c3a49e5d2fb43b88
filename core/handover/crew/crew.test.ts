import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import * as Y from 'yjs';
import { dice } from '../../base/dice';
import { canonical } from '../../base/merge/same';
import { placeOf, type Side } from '../../base/merge/three-way';
import { applyCommands } from '../../job/commands/command';
import { changeHouse, HouseCommand } from '../../job/commands/house';
import { mergeHouses } from '../../job/merge/house';
import { comparable, mergeJobs } from '../../job/merge/job';
import { RULES } from '../../job/merge/rules';
import { Design } from '../../job/model/design';
import { House } from '../../job/model/house';
import type { Job } from '../../job/model/job';
import { JobRecord } from '../../job/model/record';
import { changeShop, EXAMPLE_SHOP, Shop } from '../../choices/takeoff/shop';
import { MINUTES } from '../../trade/standards/prices';
import { worked } from '../../testing/diverge';
import { draws } from '../../testing/draws';
import { fromSchema } from '../../testing/from-schema';
import { planJob } from '../../wiring/plan';
import { prove } from '../../power/proof/prove';
import { demoHouse, demoJobs, demoWhole } from '../jobs/demo-house';
import { bringTogether } from './bring';
import { mergeShops } from '../../choices/takeoff/merge-shops';
import { mergeFiles } from './files';

const STARTS = demoJobs.flatMap(({ id }) => demoWhole(id) ?? []);

/** Lists of things in a schema, by the name of their field, with the fields that a thing has. */
function listsOf(
  schema: unknown,
  name = '',
  found = new Map<string, Set<string>>(),
): Map<string, Set<string>> {
  type Def = {
    type: string;
    element?: unknown;
    shape?: Record<string, unknown>;
    options?: unknown[];
    innerType?: unknown;
    valueType?: unknown;
    in?: unknown;
  };
  const { def } = schema as { def: Def };
  if (def.type === 'array') {
    const inner = (def.element as { def: Def }).def;
    if (inner.type === 'object') found.set(name, new Set(Object.keys(inner.shape ?? {})));
    listsOf(def.element, name, found);
  }
  for (const [field, own] of Object.entries(def.shape ?? {})) listsOf(own, field, found);
  for (const own of [...(def.options ?? []), def.innerType, def.valueType, def.in].filter(Boolean))
    listsOf(own, name, found);
  return found;
}

test('every list of things of a job, a house and a shop is known by something: an id, or what the rules say', () => {
  const lists = new Map([...listsOf(Design), ...listsOf(JobRecord), ...listsOf(House), ...listsOf(Shop)]);
  expect(lists.size).toBeGreaterThan(15);
  for (const [name, fields] of lists)
    expect([name, fields.has('id') || name in RULES.known || RULES.whole.has(name)]).toEqual([name, true]);
});

describe('the union of two logs', () => {
  test(`${draws(40, 600)} divergences: what a library of conflict-free replicated types comes to`, () => {
    for (let seed = 0; seed < draws(40, 600); seed++) {
      const base = STARTS[seed % STARTS.length]!;
      const [a, b] = [worked(base, 'Mara', seed * 2, 3), worked(base, 'Theo', seed * 2 + 1, 3)];
      const says = ({ id: _id, corrects: _corrects, ...entry }: Job['record']['log'][number]) =>
        canonical(entry);
      const docs = [a, b].map(({ record }) => {
        const doc = new Y.Doc();
        const log = doc.getMap('log');
        record.log.forEach((entry) => log.set(says(entry), true));
        return doc;
      });
      const [one, other] = docs as [Y.Doc, Y.Doc];
      Y.applyUpdate(one, Y.encodeStateAsUpdate(other));
      Y.applyUpdate(other, Y.encodeStateAsUpdate(one));
      const union = [...one.getMap('log').keys()].sort();
      expect([...other.getMap('log').keys()].sort()).toEqual(union);
      const merged = mergeJobs(base, a, b).job.record.log;
      expect([...new Set(merged.map(says))].sort()).toEqual(union);
      expect(new Set(merged.map(({ id }) => id)).size).toBe(merged.length);
    }
  });
});

describe('what comes together', () => {
  test(`${draws(40, 800)} divergences: once all is chosen, it stands and is proved, or says why not`, () => {
    const seen = { verified: 0, said: 0, clash: 0 };
    for (let seed = 0; seed < draws(40, 800); seed++) {
      const base = STARTS[seed % STARTS.length]!;
      const random = dice(seed);
      const [a, b] = [worked(base, 'Mara', seed * 2, 3), worked(base, 'Theo', seed * 2 + 1, 3)];
      const choices = new Map<string, Side>();
      let together = bringTogether(base, a, b, choices);
      for (let round = 0; round < 12; round++) {
        const next = together.conflicts.find(({ chosen }) => chosen === null);
        if (!next) break;
        if (next.isClash) seen.clash++;
        const side = random() < 0.5 ? 'ours' : 'theirs';
        for (const [place, taken] of next.with[side]) choices.set(place, taken);
        together = bringTogether(base, a, b, choices);
      }
      expect(together.effect.says).not.toBe('');
      if (!together.effect.stands) {
        seen.said++;
        continue;
      }
      seen.verified++;
      const outcome = planJob(together.job.design);
      expect(outcome.ok && prove(together.job.design, outcome.plan.wiring).findings).toEqual([]);
      expect(together.whole).toBe(true);
    }
    expect(Math.min(seen.verified, seen.said)).toBeGreaterThan(draws(40, 800) / 10);
  });

  test('a box that one took out and the other put a device into: which two do not go together, and either way out', () => {
    const base = comparable(STARTS.find(({ design }) => design.id === 'hall-console')!);
    const { boxes, circuits } = base.design;
    const box = boxes.at(-1)!.id;
    const work = (command: Parameters<typeof applyCommands>[1][number]): Job => {
      const done = applyCommands(base.design, [command]);
      if (!done.ok) throw new Error(done.problems[0]?.message);
      return { ...base, design: done.value.job };
    };
    const ours = work({ do: 'remove box', box });
    const theirs = work({ do: 'add device', box, holds: 'outlet', circuit: circuits[0]!.id, group: null });
    const together = bringTogether(base, ours, theirs, new Map());
    expect(together.conflicts.length).toBeGreaterThan(0);
    for (const side of ['ours', 'theirs'] as const) {
      const choices = new Map<string, Side>();
      for (let round = 0; round < 8; round++) {
        const next = bringTogether(base, ours, theirs, choices).conflicts.find(
          ({ chosen }) => chosen === null,
        );
        if (!next) break;
        for (const [place, taken] of next.with[side]) choices.set(place, taken);
      }
      const { job, whole } = bringTogether(base, ours, theirs, choices);
      expect(whole).toBe(true);
      expect(job.design.boxes.some(({ id }) => id === box)).toBe(side === 'theirs');
    }
  });
});

describe('a house and a shop', () => {
  const changed = (house: House, seed: number): House => {
    const ids = {
      circuit: house.panel.map(({ number }) => number),
      person: house.people.map(({ id }) => id),
    };
    const pools = { ...ids, number: ids.circuit, '': [...ids.circuit, ...ids.person, 'Ines'] };
    const commands = fc.sample(fromSchema<HouseCommand>(HouseCommand, pools), { numRuns: 8, seed });
    return commands.reduce((now, command) => {
      const done = changeHouse(now, command);
      const read = done.ok ? House.safeParse(done.value.house) : null;
      return read?.success ? read.data : now;
    }, house);
  };

  test(`${draws(150, 2000)} divergences of a house: the same either way round; what one alone changed is taken`, () => {
    let apart = 0;
    for (let seed = 0; seed < draws(150, 2000); seed++) {
      const [a, b] = [changed(demoHouse, seed * 2), changed(demoHouse, seed * 2 + 1)];
      expect(canonical(mergeHouses(demoHouse, demoHouse, a).house)).toBe(canonical(a));
      const open = mergeHouses(demoHouse, a, b).open.map(({ path }) => placeOf(path));
      const one = mergeHouses(demoHouse, a, b, new Map(open.map((place) => [place, 'ours'])));
      const other = mergeHouses(demoHouse, b, a, new Map(open.map((place) => [place, 'theirs'])));
      if (one.problems.length > 0) {
        expect(other.problems.length).toBeGreaterThan(0);
        continue;
      }
      apart++;
      expect(canonical(one.house)).toBe(canonical(other.house));
      expect(canonical(mergeHouses(b, one.house, b).house)).toBe(canonical(one.house));
    }
    expect(apart).toBeGreaterThan(draws(150, 2000) / 2);
  });

  test(`${draws(100, 1000)} divergences of a shop: figure by figure`, () => {
    for (let seed = 0; seed < draws(100, 1000); seed++) {
      const random = dice(seed);
      const change = (shop: Shop): Shop => {
        const minutes = Object.keys(MINUTES)[Math.floor(random() * Object.keys(MINUTES).length)]!;
        const done = changeShop(shop, {
          prices: { [`cable ${Math.floor(random() * 5)}`]: String(1 + Math.floor(random() * 9)) },
          minutes: { [minutes]: Math.floor(random() * 50) },
        });
        return done.ok ? done.value : shop;
      };
      const [a, b] = [change(EXAMPLE_SHOP), change(EXAMPLE_SHOP)];
      const merged = mergeShops(EXAMPLE_SHOP, a, b);
      const isOpen = merged.changes.some(({ by }) => by === 'conflict');
      if (!isOpen) expect(canonical(merged.value)).toBe(canonical(mergeShops(EXAMPLE_SHOP, b, a).value));
      for (const shop of [a, b])
        for (const [key, price] of Object.entries(shop.prices))
          expect(isOpen || merged.value.prices[key] === price).toBe(true);
    }
  });

  test('whole files: jobs of both, each brought together by itself', () => {
    const whole = (jobs: readonly Job[]) => ({
      houses: [demoHouse],
      photos: [],
      shop: null,
      jobs: jobs.map((job) => ({ house: demoHouse.id, job })),
    });
    const [first, second, third] = STARTS as [Job, Job, Job];
    const a = { ...first, record: { ...first.record, brief: { ...first.record.brief, wish: 'A lamp' } } };
    const b = { ...second, record: { ...second.record, brief: { ...second.record.brief, wish: 'A fan' } } };
    const { workshop, conflicts } = mergeFiles(
      whole([first, second]),
      whole([a, second]),
      whole([first, b, third]),
    );
    expect(conflicts).toEqual([]);
    expect(workshop.jobs.map(({ job }) => job.record.brief.wish)).toEqual([
      'A lamp',
      'A fan',
      third.record.brief.wish,
    ]);
    // Without a base nothing is guessed.
    expect(mergeFiles(null, whole([a]), whole([first])).conflicts).toMatchObject([
      { of: `job ${first.design.id}` },
    ]);
  });
});
