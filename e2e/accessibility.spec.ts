import { chromium, expect } from '@playwright/test';
import { STAGES } from '../app/ui/stages';
import { test } from './alive';
import { BY_PLACE, expectClean } from './clean';

/** Pages by what they have in common; each group is looked at in one browser. */
const GROUPS = {
  'home, starting points, tables, drills': [
    '/',
    '/new',
    '/new?start=several-places',
    '/nowhere',
    '/tables',
    '/drills',
  ],
  'the first jobs': [
    '/job/sunroom-plant-shelf/lay-out',
    '/job/sunroom-plant-shelf/make-up',
    '/job/sunroom-plant-shelf/energize',
    '/job/sunroom-plant-shelf/check?view=load',
    '/job/hall-console/find',
    '/job/hall-console/options',
    '/job/hall-console/check',
    '/job/attic-hatch-switch/find',
    '/job/attic-hatch-switch/lay-out',
  ],
  'the other jobs': [
    '/job/porch-soffit/find',
    '/job/porch-soffit/check?view=protection',
    '/job/porch-soffit/energize',
    '/job/stair/brief',
    '/job/stair/plan',
    '/job/den-media-wall/check',
    '/job/stair/make-up?box=stair-foot',
    '/job/stair/print',
    '/job/stair/take-off',
    '/job/stair/day',
    '/job/den-media-wall/lay-out',
    '/job/no-such-job/make-up',
    '/house/alder-court-12',
    '/house/alder-court-12/take-off',
    '/house/alder-court-12/day',
    '/house/alder-court-12/sheet',
  ],
} as const;

/** The sizes of screen by what is looked for at each: every page is opened once and seen at all of them. */
const SIZES = [
  { width: 1280, height: 800, theme: 'dark', rules: 'all' },
  { width: 390, height: 844, theme: 'light', rules: 'all' },
  // Between the two nothing has a color or a name of its own.
  { width: 768, height: 1024, theme: 'light', rules: BY_PLACE },
] as const;

for (const [name, pages] of Object.entries(GROUPS))
  test(`axe finds nothing, and nothing scrolls sideways: ${name}`, { tag: '@once' }, async ({ page }) => {
    for (const address of pages)
      await test.step(address, async () => {
        await page.setViewportSize(SIZES[0]);
        await page.goto(address);
        await expect(page.getByRole('heading').first()).toBeVisible();
        await expect(page.getByText('Opening the job')).toHaveCount(0);
        // What is folded away is looked at as well.
        await page.evaluate(() => {
          for (const part of document.querySelectorAll('details')) part.open = true;
        });
        for (const { width, height, theme, rules } of SIZES) {
          await page.setViewportSize({ width, height });
          await expectClean(page, [theme], rules);
        }
      });
  });

test('stages and boxes are reached by keyboard alone', { tag: '@once' }, async ({ page }) => {
  await page.goto('/job/sunroom-plant-shelf/energize');
  const handle = page.getByRole('button', { name: 'single-pole switch, off' });
  await handle.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'single-pole switch, on' })).toBeFocused();
});

const LARGE = [
  '/',
  '/new',
  '/new?start=half-switched',
  '/tables',
  '/drills',
  '/house/alder-court-12',
  ...STAGES.map(({ path: id }) => `/job/stair/${id}`),
  ...['check?view=load', 'check?view=protection', 'plan', 'take-off', 'packet'].map(
    (one) => `/job/stair/${one}`,
  ),
];
test(
  'who has set the browser to text twice as large reads it twice as large, and nothing is cut or scrolls sideways',
  { tag: '@once' },
  async ({ baseURL, launchOptions }) => {
    const browser = await chromium.launch({
      ...launchOptions,
      args: [...(launchOptions.args ?? []), '--blink-settings=defaultFontSize=32'],
    });
    const page = await browser.newPage({ baseURL: baseURL!, serviceWorkers: 'block' });
    for (const path of LARGE)
      await test.step(path, async () => {
        await page.setViewportSize({ width: 1280, height: 844 });
        await page.goto(path);
        await expect(page.locator('[data-standing]')).toHaveCount(0);
        await expect(page.locator('main')).toBeVisible();
        expect(await page.evaluate(() => getComputedStyle(document.body).fontSize)).toBe('32px');
        for (const width of [1280, 390]) {
          await page.setViewportSize({ width, height: 844 });
          await expect
            .poll(() => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth))
            .toBe(0);
          const cut = await page
            .locator('h1')
            .evaluateAll((all) =>
              all.filter((one) => one.scrollWidth > one.clientWidth + 1).map((one) => one.textContent),
            );
          expect(cut).toEqual([]);
        }
      });
    await browser.close();
  },
);
