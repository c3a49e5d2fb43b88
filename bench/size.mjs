// What a page loads before it can be used, gzip: fails over the budget. npm run size, and part of npm test.
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

/** What may not be passed. */
const BUDGET_KB = { home: 80, job: 195 };
const PRECACHE_MB = 4;

const PAGES = {
  home: ['root', 'routes/shell', 'routes/home/route'],
  job: ['root', 'routes/shell', 'routes/job/route', 'routes/lay-out/route'],
};
/** What one language costs, from the folder it was built into. */
function weigh(folder) {
  const manifestFile = readdirSync(`${folder}/assets`).find((name) => /^manifest-.*\.js$/.test(name));
  const text = readFileSync(`${folder}/assets/${manifestFile}`, 'utf8');
  const manifest = JSON.parse(text.slice(text.indexOf('{'), text.lastIndexOf('}') + 1));

  /** Every script that is loaded for a chain of routes, with what those import at once. */
  function scriptsOf(routes) {
    const found = new Set();
    const add = (href) => {
      const name = href.replace(/^.*\//, '');
      if (found.has(name) || !name.endsWith('.js')) return;
      found.add(name);
      const source = readFileSync(`${folder}/assets/${name}`, 'utf8');
      for (const [, next] of source.matchAll(
        /(?:^|[;}\n])(?:import|export)[^'"();]*?(?:from)?\s*["']\.\/([^"']+\.js)["']/g,
      ))
        add(next);
    };
    add(manifest.entry.module);
    for (const href of manifest.entry.imports) add(href);
    for (const id of routes) {
      const route = manifest.routes[id];
      if (!route) throw new Error(`There is no route ${id}`);
      add(route.module);
      for (const href of [
        ...(route.imports ?? []),
        route.clientLoaderModule,
        route.clientActionModule,
        route.hydrateFallbackModule,
      ])
        if (href) add(href);
    }
    return [...found];
  }
  const gzipKb = (names) =>
    names.reduce(
      (sum, name) => sum + gzipSync(readFileSync(`${folder}/assets/${name}`), { level: 9 }).length,
      0,
    ) / 1000;

  let over = false;
  for (const [page, routes] of Object.entries(PAGES)) {
    const names = scriptsOf(routes);
    const kb = gzipKb(names);
    const budget = BUDGET_KB[page];
    over ||= kb > budget;
    console.log(`${page}: ${kb.toFixed(0)} kB of script, gzip, of ${budget}${kb > budget ? '  OVER' : ''}`);
    const largest = names.map((name) => [gzipKb([name]), name]).sort((a, b) => b[0] - a[0]);
    for (const [own, name] of largest.slice(0, process.env.ALL ? 99 : 6))
      console.log(`   ${own.toFixed(0).padStart(4)}  ${name}`);
  }
  // What is kept is what the worker says that it keeps.
  const [list] = readFileSync(`${folder}/sw.js`, 'utf8').split('\n', 1);
  const { at, files } = JSON.parse(list.slice(list.indexOf('{'), list.lastIndexOf('}') + 1));
  const kept = files.map((file) => file.at.slice(at.length).replace(/(^|\/)$/, '$1index.html'));
  const size = (suffix) =>
    kept.reduce((sum, name) => {
      const copy = `${folder}/${name}${suffix}`;
      return sum + statSync(existsSync(copy) ? copy : `${folder}/${name}`).size;
    }, 0) / 1e6;
  over ||= size('') > PRECACHE_MB;
  console.log(
    `kept for use without a network: ${size('').toFixed(2)} MB, ${size('.br').toFixed(2)} MB on the way, of ${PRECACHE_MB}`,
  );
  return over;
}

if (!existsSync('build/client/assets')) throw new Error('There is no build yet. Run: npm run build');
const others = readdirSync('build/client').filter((name) => /^[a-z]{2}$/.test(name));
let over = weigh('build/client');
for (const language of others) {
  console.log(`\n${language}`);
  over = weigh(`build/client/${language}`) || over;
}
process.exit(over ? 1 : 0);
