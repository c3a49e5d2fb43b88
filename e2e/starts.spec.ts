import { expect } from '@playwright/test';
import { test } from './alive';

/** Every starting point, from the home page to its make-up, counted in taps. */
const STARTS = [
  { name: 'Half-switched outlet', opens: 'make-up', box: 'Outlet' },
  { name: 'Whole outlet from a switch', opens: 'make-up', box: 'Outlet' },
  { name: 'Outlet beside a switch', opens: 'make-up', box: 'Switch' },
  { name: 'Outlet tapped from a switch box', opens: 'find', box: 'Outlet' },
  { name: 'Combination device', opens: 'make-up', box: 'Switch' },
  { name: 'Light from two or three places', opens: 'make-up', box: 'First switch' },
  { name: 'GFCI first, outlets after it', opens: 'make-up', box: 'GFCI outlet' },
  { name: 'One duplex on two circuits', opens: 'make-up', box: 'Outlet' },
  { name: 'Fan and light', opens: 'make-up', box: 'Switches' },
  { name: 'Replace a device', opens: 'make-up', box: 'Outlet' },
  { name: 'Something is wrong', opens: 'test', box: 'Outlet' },
  { name: 'An opened box', opens: 'find', box: 'Box 1' },
  { name: 'Blank job', opens: 'lay-out', box: 'Box 1' },
] as const;
const MOST_TAPS = 4;

test(
  `every starting point is at most ${MOST_TAPS} taps from its make-up`,
  { tag: '@once' },
  async ({ page }) => {
    for (const { name, opens, box } of STARTS)
      await test.step(name, async () => {
        let taps = 0;
        const tap = async (role: 'link' | 'button', named: string | RegExp) => {
          taps++;
          await page.getByRole(role, { name: named }).first().click();
        };
        // From the home page, as one comes to it.
        if (page.url() === 'about:blank') await page.goto('/');
        else await page.getByRole('link', { name: 'Split Tap, home page' }).click();
        await tap('link', 'New job');
        await tap('link', new RegExp(`^${name}`));
        // What is taken for granted stands there before it is taken.
        await expect(page.getByText('Taken for granted')).toBeVisible();
        await tap('button', /^(Show the make-up|Open Find|Say what you notice|Open Lay out)$/);
        await expect(page).toHaveURL(new RegExp(`/${opens}`));
        if (opens !== 'make-up') await tap('link', /^Make up/);
        await expect(page.getByRole('group', { name: `The open box at ${box}` })).toBeVisible();
        expect(taps).toBeLessThanOrEqual(MOST_TAPS);
      });
  },
);

test('an opened box is named after its place; a tapped one opens with what is mostly found', async ({
  page,
}) => {
  await page.goto('/new?start=tapped');
  await page.getByLabel('Name of the place').fill('Landing switch');
  await page.getByLabel('Circuit number').fill('9');
  await page.getByRole('button', { name: 'Open Find' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Landing switch' })).toBeVisible();
  await expect(page.getByText(/whites 2/).first()).toBeVisible();
});

test('the first visit: an open box that is switched and plugged right there; jobs found by place, circuit, device', async ({
  page,
}) => {
  await page.goto('/');
  const box = page.locator('[data-try-it]');
  await box.getByRole('button', { name: 'lower half, dead' }).click();
  await box.getByRole('button', { name: 'single-pole switch, off' }).click();
  await expect(box.getByRole('button', { name: 'lower half, live' })).toBeVisible();
  // Each job shows its own drawing, what is next, and what stands against it.
  const attic = page.getByRole('link', { name: /^Attic hatch switch/ });
  await expect(attic.locator('[data-sketch]')).toBeVisible();
  await expect(attic).toContainText('▲');
  await expect(page.getByRole('link', { name: /^Laundry counter/ })).toContainText('Making up: 6 of');
  // A job that was opened is found by all that is in it.
  await page.goto('/job/stair/lay-out');
  await expect(page.getByRole('heading', { level: 1, name: 'Stair' })).toBeVisible();
  await page.goto('/');
  const search = page.getByRole('searchbox', { name: 'Find a job' });
  const shown = page.getByRole('link').filter({ has: page.locator('[data-sketch]') });
  await expect(shown).toHaveCount(8);
  await search.fill('GFCI');
  await expect(shown).toHaveCount(2);
  await search.fill('bath door');
  await expect(shown).toHaveCount(1);
  await search.fill('circuit 12');
  await expect(shown).toContainText(['Laundry counter']);
  await search.fill('no such thing');
  await expect(page.getByText('No job has "no such thing"')).toBeVisible();
});

test(
  'the sheets of a whole house in one go, two boxes a page where they fit',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/house/alder-court-12/sheet');
    await page.getByRole('link', { name: 'Sheets of all jobs' }).click();
    await expect(page.getByText('Not wired as asked, so without sheets: Attic hatch switch')).toBeVisible();
    const sheets = page.locator('.sheet');
    expect(await sheets.count()).toBeGreaterThan(15);
    await expect(page.locator('[data-directory]')).toBeVisible();
    await page.setViewportSize({ width: 730, height: 970 });
    await page.emulateMedia({ media: 'print' });
    // On paper without color the red conductor has a pattern of its own.
    const mark = page.locator('.gray-mark').first();
    expect(await mark.evaluate((own) => getComputedStyle(own).display)).toBe('inline');
    // Two halves stand on one page of Letter, less its margins.
    for (const half of await page.locator('.sheet-half').all())
      expect((await half.boundingBox())?.height ?? 0).toBeLessThanOrEqual(5.05 * 96);
  },
);
