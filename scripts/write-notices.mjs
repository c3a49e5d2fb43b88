// The licenses of what the app ships, from the lock file and the packages themselves. npm run notices
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';

const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'));
/** What builds and serves, and is in no page: the rest of the dependencies is shipped, with all that it needs. */
const BUILDS = [
  '@messageformat/core',
  '@messageformat/parser',
  '@react-router/dev',
  '@tailwindcss/vite',
  'sirv',
  'tailwindcss',
  'tsx',
  'vite',
];

/** The packages that one needs, by their places in the lock file. */
function neededBy(path) {
  const { dependencies = {} } = lock.packages[path];
  return Object.keys(dependencies).flatMap((name) => {
    for (let at = path; ; at = at.replace(/(^|\/)node_modules\/(?:@[^/]+\/)?[^/]+$/, '')) {
      const own = `${at === '' ? '' : `${at}/`}node_modules/${name}`;
      if (lock.packages[own]) return [own];
      if (at === '') return [];
    }
  });
}
const paths = new Set(
  Object.keys(lock.packages[''].dependencies)
    .filter((name) => !BUILDS.includes(name))
    .map((name) => `node_modules/${name}`),
);
for (const path of paths)
  for (const next of neededBy(path))
    if (!lock.packages[next].link && !/\/@types\//.test(next)) paths.add(next);
const shipped = [...paths]
  .map((path) => ({
    path,
    name: path.replace(/^.*node_modules\//, ''),
    version: lock.packages[path].version,
    license: lock.packages[path].license,
  }))
  .sort((a, b) => a.name.localeCompare(b.name) || a.version.localeCompare(b.version));

const textOf = (path) => {
  if (!existsSync(path)) return null;
  const file = readdirSync(path).find((name) => /^(licen[sc]e|copying)(\.|$)/i.test(name));
  return file ? readFileSync(`${path}/${file}`, 'utf8').replaceAll('\r', '').trim() : null;
};

const texts = new Map();
for (const one of shipped) {
  const text =
    textOf(one.path) ?? `${one.license ?? 'see the package'} (the package brings no text of its own)`;
  texts.set(text, [...(texts.get(text) ?? []), one]);
}
const parts = [...texts].map(
  ([text, own]) =>
    `## ${own.map(({ name, version }) => `${name} ${version}`).join(', ')}\n\n\`\`\`text\n${text.replaceAll('```', "'''")}\n\`\`\`\n`,
);
writeFileSync(
  'THIRD-PARTY-NOTICES.md',
  `# Third-party notices\n\nSplit Tap ships with these packages. Written by \`npm run notices\`.\n\n${parts.join('\n')}`,
);
console.log(`${shipped.length} packages, ${texts.size} texts`);
