// The licenses of what the app ships, from the lock file and the packages themselves. npm run notices
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';

const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'));
/** All that the dependencies need at run time; what only builds and tests is left out. */
const shipped = Object.entries(lock.packages)
  .filter(([path, { dev, devOptional, optional }]) => path && !dev && !devOptional && !optional)
  .map(([path, { version, license }]) => ({
    path,
    name: path.replace(/^.*node_modules\//, ''),
    version,
    license,
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
