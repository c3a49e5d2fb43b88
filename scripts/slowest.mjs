// The slowest twenty of each kind of test, from what the last run left in test-results/; fails where a story ran nowhere.
import { existsSync, readFileSync } from 'node:fs';

const MOST = 20;
const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null);
const show = (kind, rows) => {
  console.log(`\nThe slowest ${kind}, s`);
  for (const { seconds, name } of [...rows].sort((a, b) => b.seconds - a.seconds).slice(0, MOST))
    console.log(`${seconds.toFixed(1).padStart(7)}  ${name}`);
};

const unit = read('test-results/unit.json');
if (unit)
  show(
    'suites of unit tests',
    unit.testResults.map(({ name, startTime, endTime }) => ({
      seconds: (endTime - startTime) / 1000,
      name: name.replace(`${process.cwd()}/`, ''),
    })),
  );

/** Stories lie in suites within suites. */
const stories = ({ suites = [], specs = [] }) => [
  ...specs.flatMap(({ title, file, tests }) =>
    tests.map(({ projectName, results, status }) => ({
      story: `${file}: ${title}`,
      ran: status !== 'skipped',
      seconds: results.reduce((sum, { duration }) => sum + duration, 0) / 1000,
      name: `${projectName}, ${file}: ${title}`,
    })),
  ),
  ...suites.flatMap(stories),
];
const browser = read('test-results/browser.json');
if (browser) {
  const all = stories(browser);
  show('stories in the browser', all);
  // One is left out on the phone by its tag, and on the laptop by itself: then nothing looks at it.
  const ran = new Set(all.flatMap(({ story, ran: did }) => (did ? [story] : [])));
  const nowhere = [...new Set(all.map(({ story }) => story))].filter((story) => !ran.has(story));
  for (const story of nowhere) console.error(`Runs on no size of screen: ${story}`);
  if (nowhere.length > 0) process.exitCode = 1;
}
