import { expect, test, type Page } from '@playwright/test';
import { DEMO_LIST } from '../core/handover/jobs/demo-list';

/* A page stands before its program is there, and says nothing that is not so. */

const STAIR = '/job/stair/lay-out';
/** The answer, or why there is none. */
const answer = (page: Page) => page.locator('main > div > div').first();

/** The page without its program, as it stands while the scripts are on their way. */
async function withoutProgram(page: Page, path: string): Promise<void> {
  await page.route('**/assets/*.js', (route) => route.abort());
  await page.goto(path);
}
const withProgram = (page: Page) => page.unroute('**/assets/*.js');

/** How many drawings there are in what is kept of the page at an address; none where nothing is. */
const drawings = (page: Page, at: string) =>
  page.evaluate(async (address) => {
    const there = await indexedDB.databases();
    if (!there.some(({ name }) => name === 'split-tap')) return 0;
    const open = indexedDB.open('split-tap');
    const db = await new Promise<IDBDatabase>((resolve) => {
      open.onsuccess = () => resolve(open.result);
    });
    const read = db.transaction('standing').objectStore('standing').get(address);
    const html = await new Promise<string>((resolve) => {
      read.onsuccess = () => resolve((read.result as { html: string } | undefined)?.html ?? '');
    });
    db.close();
    return html.split('<svg').length - 1;
  }, at);
/** Resolves once the page at an address is kept as it stands, with its drawings. */
const kept = (page: Page, at: string, least = 1) =>
  expect.poll(() => drawings(page, at)).toBeGreaterThanOrEqual(least);

for (const base of ['', '/es'])
  test(
    `what the build has drawn of each demo job is what the program says of it (${base || '/en'})`,
    { tag: '@once' },
    async ({ page }) => {
      const addresses = DEMO_LIST.map(({ id }) => `${base}/job/${id}/lay-out`);
      const drawn = new Map<string, string>();
      // All of them before the program runs for the first time: what it keeps would stand there in their place.
      for (const address of addresses) {
        await withoutProgram(page, address);
        await expect(answer(page)).toBeVisible();
        drawn.set(address, await answer(page).innerText());
        // Nothing in it can be tapped but what leads on.
        expect(await page.locator('[data-standing] :is(button, input, select):enabled').count()).toBe(0);
      }
      await withProgram(page);
      for (const address of addresses) {
        await page.goto(address);
        await expect(page.locator('[data-standing]')).toHaveCount(0);
        await expect(answer(page)).toHaveText(drawn.get(address)!, { useInnerText: true });
      }
    },
  );

/** What can be tapped in a page may not move away under a thumb once the page is alive, by more than so much, px. */
const STAYS_WITHIN = 90;
const STAY_PUT = ['lay-out', 'make-up', 'check', 'take-off', 'record'].map((stage) => `/job/stair/${stage}`);

test('once a page is alive what can be tapped in it stays where it is', async ({ page }) => {
  // By frame, how far each thing has moved down or up the page since the frame before.
  await page.addInitScript(() => {
    const tops = new Map<Element, number>();
    const moved: [string, number][] = [];
    Object.assign(window, { moved });
    const look = () => {
      const alive =
        document.querySelector('main') !== null && document.querySelector('[data-standing]') === null;
      for (const one of alive ? document.querySelectorAll('main :is(button, a, summary, input)') : []) {
        const { top, height } = one.getBoundingClientRect();
        if (height === 0) continue;
        const before = tops.get(one) ?? top + scrollY;
        if (Math.abs(top + scrollY - before) > 1) moved.push([one.textContent, top + scrollY - before]);
        tops.set(one, top + scrollY);
      }
      requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  });
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  // In Find what comes is as long as what is left to be read: its place is kept, not to the line.
  for (const address of STAY_PUT)
    await test.step(address, async () => {
      await page.goto(address);
      await expect(page.getByLabel('Stages')).toHaveAttribute('aria-busy', 'false');
      await expect(page.locator('[aria-busy=true]')).toHaveCount(0);
      const moved = await page.evaluate(() => (window as unknown as { moved: [string, number][] }).moved);
      expect(moved.filter(([, by]) => Math.abs(by) > STAYS_WITHIN)).toEqual([]);
    });
});

test('what stood stays in sight until what takes its place is whole', { tag: '@once' }, async ({ page }) => {
  // By frame: whether the box that was drawn is out of sight.
  await page.addInitScript(() => {
    const seen = { stood: 0, gone: 0 };
    Object.assign(window, { seen });
    const look = () => {
      const drawn = [...document.querySelectorAll('main aside svg')].some((one) =>
        one.checkVisibility({ visibilityProperty: true }),
      );
      if (drawn) seen.stood++;
      else if (seen.stood > 0) seen.gone++;
      requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  });
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  await page.goto('/job/stair/lay-out');
  await expect(page.locator('[data-standing]')).toHaveCount(0);
  await expect(page.getByLabel('Stages')).toHaveAttribute('aria-busy', 'false');
  const seen = await page.evaluate(
    () => (window as unknown as { seen: { stood: number; gone: number } }).seen,
  );
  expect(seen.stood).toBeGreaterThan(0);
  expect(seen.gone).toBe(0);
});

test(
  'a page that is opened by a living one shows nothing of what stood before',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/');
    await expect(page.locator('[data-standing]')).toHaveCount(0);
    await page.evaluate(() => {
      const seen = { standing: 0 };
      Object.assign(window, { seen });
      new MutationObserver(() => {
        seen.standing += document.querySelectorAll('[data-standing]').length;
      }).observe(document, { childList: true, subtree: true });
    });
    await page.locator('a[href*="/job/"]').first().click();
    await expect(page.getByLabel('Stages')).toHaveAttribute('aria-busy', 'false');
    expect(
      await page.evaluate(() => (window as unknown as { seen: { standing: number } }).seen.standing),
    ).toBe(0);
  },
);

test.describe('who comes again', { tag: '@once' }, () => {
  test.use({ serviceWorkers: 'block' });

  test('finds the page as it stood; not once another tab has changed what it shows', async ({ context }) => {
    const page = await context.newPage();
    let says = '';
    // A first visit still stores the rest of the demo, which is of the same house.
    await expect(async () => {
      await withProgram(page);
      await page.goto(STAIR);
      await expect(page.locator('[data-standing]')).toHaveCount(0);
      says = await answer(page).innerText();
      await kept(page, STAIR);
      await withoutProgram(page, STAIR);
      await expect(page.getByRole('heading', { level: 1 })).toHaveText('Stair', { timeout: 2000 });
    }).toPass();
    await expect(answer(page)).toHaveText(says, { useInnerText: true });
    await expect(page.locator('main svg')).not.toHaveCount(0);

    const other = await context.newPage();
    await other.goto(STAIR);
    const box = other.getByRole('radiogroup', { name: /arrives at/ }).getByRole('radio', { checked: false });
    await box.first().click();
    await expect(other.getByRole('button', { name: /^Undo: / })).toBeEnabled();
    await expect(other.getByLabel('Stages')).toHaveAttribute('aria-busy', 'false');
    const now = await answer(other).innerText();
    expect(now).not.toBe(says);
    await other.close();
    // The other tab may have come to rest, and kept it as it is now: never as it was.
    await page.reload();
    await expect(page.locator('[data-standing]')).toBeAttached();
    await page.waitForTimeout(1000);
    if (await answer(page).isVisible()) expect(await answer(page).innerText()).toBe(now);
  });

  test('finds the list of the jobs before the program is there', async ({ page }) => {
    // Each that is on the first two screens, with its drawing: what lies further down is drawn by the program.
    const onTop = () =>
      page.locator('main li:has(svg)').evaluateAll((jobs) => {
        const seen = jobs.filter((job) => job.getBoundingClientRect().top < innerHeight * 2);
        return seen.map((job) => job.querySelector('a .font-bold')?.textContent ?? '');
      });
    let names: string[] = [];
    await expect(async () => {
      await withProgram(page);
      await page.goto('/');
      await expect(page.locator('main li svg')).toHaveCount(DEMO_LIST.length);
      names = await onTop();
      expect(names.length).toBeGreaterThan(0);
      await kept(page, '/', names.length);
      await withoutProgram(page, '/');
      await expect.poll(onTop, { timeout: 2000 }).toEqual(names);
    }).toPass();
  });
});
