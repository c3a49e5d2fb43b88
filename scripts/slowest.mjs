// The slowest twenty of each kind of test, from what the last run left in test-results/.
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
    tests.map(({ projectName, results }) => ({
      seconds: results.reduce((sum, { duration }) => sum + duration, 0) / 1000,
      name: `${projectName}, ${file}: ${title}`,
    })),
  ),
  ...suites.flatMap(stories),
];
const browser = read('test-results/browser.json');
if (browser) show('stories in the browser', stories(browser));
