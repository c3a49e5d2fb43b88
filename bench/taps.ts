// How long a tap takes at a quarter of the processor's speed, or at all of it. npm run build && npm run taps -- --full-speed
import { spawn } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Locator, type Page } from '@playwright/test';
import { EMPTY_RECORD } from '../core/job/model/record';
import { writeJobFile } from '../core/job/model/job-file';
import { generatedHouse } from '../core/testing/house';

const PORT = 4390;
const SLOWDOWN = process.argv.includes('--full-speed') ? 1 : 4;
const QUICK = process.argv.includes('--quick');
const TAPS = QUICK ? 1 : 8;
/** Between two taps, and how long an answer is waited for, ms. */
const RESTS_MS = 700;
const LONGEST_MS = 3 * RESTS_MS;

interface Tapping {
  readonly stage: string;
  readonly tap: (page: Page) => Locator;
}

const STAGES: readonly Tapping[] = [
  {
    stage: 'lay-out',
    tap: (page) => page.getByRole('button', { name: 'Existing, stays' }).first(),
  },
  {
    stage: 'make-up',
    tap: (page) =>
      page
        .getByRole('button', { name: /^Check off:|^Done$/ })
        .filter({ visible: true })
        .first(),
  },
  {
    stage: 'day',
    tap: (page) => page.locator('li[data-done="false"] button').filter({ visible: true }).first(),
  },
  {
    stage: 'energize',
    tap: (page) => page.getByRole('switch').first(),
  },
];

/** What the browser tells of its own: how long each tap took to its next paint, and tasks over 50 ms. */
const WATCH = `
  window.taps = []; window.tasks = [];
  new PerformanceObserver((list) => list.getEntries().forEach(({ name, duration }) =>
    name === 'click' && window.taps.push(duration))).observe({ type: 'event', durationThreshold: 16, buffered: false });
  new PerformanceObserver((list) => list.getEntries().forEach(({ duration }) =>
    window.tasks.push(duration))).observe({ type: 'longtask', buffered: false });
`;

/** From the tap until the stages say that nothing is being worked out any more. */
const CLOCK = `(() => {
  const nav = document.querySelector('[aria-label="Stages"]');
  window.began = 0; window.answered = 0;
  addEventListener('pointerdown', () => { window.began = performance.now(); }, { once: true, capture: true });
  let was = false;
  const look = () => {
    const now = nav.getAttribute('aria-busy') === 'true';
    if (was && !now) { window.answered = performance.now(); return; }
    was = was || now;
    requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
})()`;

const server = spawn('node', ['scripts/serve.mjs'], {
  env: { ...process.env, PORT: String(PORT), HOST: '127.0.0.1' },
  stdio: 'ignore',
});
await new Promise((resolve) => setTimeout(resolve, 1500));
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update'],
});
try {
  const folder = mkdtempSync(join(tmpdir(), 'taps-'));
  console.log(`${SLOWDOWN} × slow-down, ${TAPS} taps each; ms`);
  console.log('boxes  stage      to paint, median / most   to answer, median / most   tasks over 50 ms');
  for (const boxes of QUICK ? [8] : [8, 40]) {
    const file = join(folder, `${boxes}.json`);
    writeFileSync(file, writeJobFile({ design: generatedHouse(boxes), record: EMPTY_RECORD }));
    const context = await browser.newContext({
      viewport: { width: 1280, height: 800 },
      serviceWorkers: 'block',
    });
    const page = await context.newPage();
    await page.goto(`http://127.0.0.1:${PORT}/`);
    await page.getByLabel('File to import').setInputFiles(file);
    await page.waitForURL(/lay-out/);
    const home = page.url().replace(/lay-out.*/, '');
    const cdp = await context.newCDPSession(page);
    for (const { stage, tap } of STAGES) {
      await page.goto(home + stage);
      await page.locator('[data-standing]').waitFor({ state: 'detached' });
      const busy = page.getByRole('navigation', { name: 'Stages' });
      await page.locator('[aria-busy=false]').first().waitFor();
      await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWDOWN });
      // Found before it is measured: looking for it is work of its own.
      const target = tap(page);
      const find = async () => {
        await target.scrollIntoViewIfNeeded();
        const at = await target.boundingBox();
        if (!at) throw new Error(`nothing to tap in ${stage}`);
        return at;
      };
      let at = await find();
      await page.evaluate(WATCH);
      const answers: number[] = [];
      for (let taken = 0; taken < TAPS; taken++) {
        await page.evaluate(CLOCK);
        await page.mouse.click(at.x + at.width / 2, at.y + at.height / 2);
        let took = Number.NaN;
        for (let waited = 0; Number.isNaN(took) && waited < LONGEST_MS; waited += RESTS_MS) {
          await page.waitForTimeout(RESTS_MS);
          took = await page.evaluate<number>('window.answered > 0 ? window.answered - window.began : NaN');
        }
        if (!Number.isNaN(took)) answers.push(took);
        at = await find();
      }
      const seen = await page.evaluate<{ taps: number[]; tasks: number[] }>(
        '({ taps: window.taps, tasks: window.tasks })',
      );
      await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
      await busy.waitFor();
      const line = (all: readonly number[]) => {
        // A tap that nothing is worked out for has no answer to wait for.
        if (all.length === 0) return '    – / –    ';
        const sorted = [...all].sort((a, b) => a - b);
        return `${(sorted[Math.floor(sorted.length / 2)] ?? 0).toFixed(0).padStart(5)} / ${(sorted.at(-1) ?? 0).toFixed(0).padEnd(5)}`;
      };
      console.log(
        `${String(boxes).padStart(5)}  ${stage.padEnd(10)} ${line(seen.taps).padEnd(25)} ${line(answers).padEnd(26)} ${seen.tasks.length} (most ${Math.max(0, ...seen.tasks).toFixed(0)})`,
      );
    }
    await context.close();
  }
} finally {
  await browser.close();
  server.kill();
}
