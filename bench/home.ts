// How soon the home page shows 500 jobs at a quarter of the processor's speed. npm run build && npm run bench:home
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { demoWhole } from '../core/handover/jobs/demo-house';

const PORT = 4391;
const SLOWDOWN = 4;
const QUICK = process.argv.includes('--quick');
const JOBS = QUICK ? 20 : 500;
const ROUNDS = QUICK ? 1 : 5;

const server = spawn('node', ['scripts/serve.mjs'], {
  env: { ...process.env, PORT: String(PORT), HOST: '127.0.0.1', NODE_ENV: 'production' },
  stdio: 'ignore',
});
await new Promise((resolve) => setTimeout(resolve, 1500));
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox'],
});
try {
  const page = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  const home = `http://127.0.0.1:${PORT}/`;
  await page.goto(home);
  // The store is there once the page has looked for its jobs.
  await page.waitForTimeout(2000);
  await page.evaluate(
    async ([job, count]) => {
      const open = indexedDB.open('split-tap');
      const db = await new Promise<IDBDatabase>((resolve, reject) => {
        open.onsuccess = () => resolve(open.result);
        open.onerror = () => reject(new Error('not opened'));
      });
      const tx = db.transaction(['jobs', 'records', 'summaries'], 'readwrite');
      for (let index = 0; index < count; index++) {
        const id = `job-${index}`;
        tx.objectStore('jobs').put({ id, design: { ...job.design, id }, cursor: 0, revision: 1 });
        tx.objectStore('records').put({ id, record: job.record, revision: 1 });
        tx.objectStore('summaries').put({ id, name: `Job ${index}`, site: '', updatedAt: 1 + index });
      }
      await new Promise<void>((resolve) => {
        tx.oncomplete = () => resolve();
      });
      db.close();
    },
    [demoWhole('stair')!, JOBS] as const,
  );
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWDOWN });
  const times: { first: number; all: number }[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    await page.goto('about:blank');
    await page.goto(home, { waitUntil: 'commit' });
    const shown = await page.waitForFunction(
      (count) =>
        document.querySelector('[data-jobs-shown]')?.getAttribute('data-jobs-shown') === String(count) && {
          first: performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0,
          all: performance.now(),
        },
      JOBS,
      { polling: 'raf' },
    );
    const time = await shown.jsonValue();
    if (time) times.push(time);
    // A page that has come to rest stands at once when it is opened next.
    await page.waitForTimeout(QUICK ? 500 : 6000);
  }
  const median = (values: readonly number[]) =>
    [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
  console.log(
    `home with ${JOBS} jobs at 1/${SLOWDOWN} speed: page ${median(times.map(({ first }) => first)).toFixed(0)} ms, its jobs ${median(times.map(({ all }) => all)).toFixed(0)} ms (median of ${ROUNDS})`,
  );
} finally {
  await browser.close();
  server.kill();
}
