import path from 'node:path';
import type { Plugin } from 'vite';

/**
 * The files of script by the visit that needs them: `page` is what every page loads, `job` what every stage of a job
 * loads beyond it. All else is laid out by who shares it.
 */
const VISITS: readonly (readonly [name: string, from: RegExp])[] = [
  [
    'page',
    /^app\/(root|routes\/shell|routes\/home\/route)\.tsx|^node_modules\/@react-router\/dev\/.*entry\.client/,
  ],
  ['job', /^app\/routes\/(job|lay-out)\/route\.tsx/],
];

/** By module, the first visit that loads it before anything is asked of the page. */
const visits = new Map<string, string>();

/** Finds out, once all modules are known, which visit needs each first. */
export const chunks = (): Plugin => ({
  name: 'chunks',
  apply: 'build',
  applyToEnvironment: ({ name }) => name === 'client',
  buildEnd() {
    for (const [name, from] of VISITS) {
      const waiting = [...this.getModuleIds()].filter((id) => from.test(path.relative('.', id)));
      for (let id = waiting.pop(); id !== undefined; id = waiting.pop()) {
        if (visits.has(id)) continue;
        visits.set(id, name);
        waiting.push(...(this.getModuleInfo(id)?.importedIds ?? []));
      }
    }
  },
});

/** The file that a module goes into; null where the bundler is free. */
export const chunkOf = (id: string): string | null =>
  // Pages themselves stay files of their own: the router loads each by its name.
  /\/routes\/.*route\.tsx|\/(root|shell)\.tsx|entry\.client/.test(id) ? null : (visits.get(id) ?? null);
