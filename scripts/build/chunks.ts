import path from 'node:path';
import type { Plugin } from 'vite';

/**
 * The files of script by the visit that needs them: `page` is what every page loads, `list` what shows what is stored,
 * `schema`, `store` and `job` what every stage of a job loads beyond it before its answer, `drawn` what comes right after it.
 * All else is laid out by who shares it. Each is of a size that a phone reads without a stop: a page reads them one by one
 * (`pages.ts`).
 */
const VISITS: readonly (readonly [name: string, from: RegExp])[] = [
  [
    'page',
    /^app\/(entry\.client|root|routes\/shell|routes\/home\/route)\.tsx|^node_modules\/@react-router\/dev\/.*entry\.client/,
  ],
  ['list', /^app\/(storage\/summaries|standing\/keep|workers\/core)\.ts/],
  ['schema', /^core\/job\/model\/(job-file|house)\.ts/],
  ['store', /^app\/storage\/opened\.ts/],
  ['job', /^app\/routes\/(job|lay-out)\/route\.tsx/],
  ['drawn', /^app\/routes\/lay-out\/(entered|the-box)\.tsx/],
];

/** A page that shares fields with a job and needs nothing else of it: what both have is a file of its own. */
const SHARES: readonly [name: string, from: RegExp, ...of: [string, ...string[]]] = [
  'form',
  /^app\/routes\/new\/route\.tsx/,
  'schema',
  'store',
  'job',
  'drawn',
];

/** By module, the first visit that loads it before anything is asked of the page. */
const visits = new Map<string, string>();

/** Finds out, once all modules are known, which visit needs each first. */
export const chunks = (): Plugin => ({
  name: 'chunks',
  apply: 'build',
  applyToEnvironment: ({ name }) => name === 'client',
  buildEnd() {
    /** All that is loaded with what fits, as it is met; `into` says whether it has not been met before. */
    const walk = (from: RegExp, into: (id: string) => boolean) => {
      const waiting = [...this.getModuleIds()].filter((id) => from.test(path.relative('.', id)));
      for (let id = waiting.pop(); id !== undefined; id = waiting.pop())
        if (into(id)) waiting.push(...(this.getModuleInfo(id)?.importedIds ?? []));
    };
    for (const [name, from] of VISITS) walk(from, (id) => !visits.has(id) && visits.set(id, name).has(id));
    const [name, from, ...of] = SHARES;
    const met = new Set<string>();
    walk(from, (id) => {
      if (met.has(id)) return false;
      if (of.includes(visits.get(id) ?? '')) visits.set(id, name);
      return met.add(id).has(id);
    });
  },
});

/**
 * Of packages only what is wanted whole: an index of a hundred parts names them all, and says nothing of which are used.
 */
const WHOLE =
  /node_modules\/(preact|react-router|dexie|immer|zod\/v4\/(core|classic)|comlink|@messageformat)\//;
/** What a page that reads no JSON Schema does without. */
const APART = /zod\/v4\/core\/(json-schema|to-json-schema)|zod\/v4\/locales/;

/** The file that a module goes into; null where the bundler is free. */
function chunkOf(id: string): string | null {
  // Pages and frames stay files of their own: the router loads each by its name, and their icons are others' too.
  if (/\/routes\/.*route\.tsx|\/(root|shell|frame)\.tsx|entry\.client/.test(id)) return null;
  if (id.includes('node_modules') && (!WHOLE.test(id) || APART.test(id))) return null;
  return visits.get(id) ?? null;
}

/** The files in the order of the visits; what is shared stands before those that share it, and are not to take it along. */
export const chunkNames = VISITS.flatMap(([name]) => (name === SHARES[2] ? [SHARES[0], name] : [name]));

/** The groups that the bundler is told of: each takes along what it stands on and is left. */
export const chunkGroups = chunkNames.map((name, index, all) => ({
  name,
  test: (id: string) => chunkOf(id) === name,
  priority: all.length - index,
}));
