import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';

const PAGES = [
  '/',
  '/new',
  '/nowhere',
  '/job/sunroom-plant-shelf/lay-out',
  '/job/sunroom-plant-shelf/make-up',
  '/job/sunroom-plant-shelf/energize',
  '/job/stair/brief',
  '/job/hall-console/find',
  '/job/attic-hatch-switch/find',
  '/job/porch-soffit/find',
  '/job/hall-console/options',
  '/job/sunroom-plant-shelf/load',
  '/job/porch-soffit/load?view=protection',
  '/job/hall-console/load?view=rules',
  '/tables',
  '/drills',
  '/job/stair/make-up?box=stair-foot',
  '/job/stair/print',
  '/job/stair/take-off',
  '/job/porch-soffit/energize',
  '/job/den-media-wall/lay-out',
  '/job/attic-hatch-switch/lay-out',
  '/job/no-such-job/make-up',
];

for (const address of PAGES) {
  test(`${address}: axe finds nothing in either theme, and it does not scroll sideways`, async ({ page }) => {
    await page.goto(address);
    await expect(page.getByRole('heading').first()).toBeVisible();
    await expect(page.getByText('Opening the job')).toHaveCount(0);
    // What is folded away is looked at as well.
    await page.evaluate(() => {
      for (const part of document.querySelectorAll('details')) part.open = true;
    });
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(overflow).toBe(0);
    for (const theme of ['light', 'dark']) {
      await page.evaluate((next) => (document.documentElement.dataset['theme'] = next), theme);
      const { violations } = await new AxeBuilder({ page })
        .setLegacyMode()
        .options({ resultTypes: ['violations'] })
        .analyze();
      const found = violations.map(
        ({ id, nodes }) => `${theme} ${id}: ${nodes.map(({ target }) => target.join(' ')).join(' | ')}`,
      );
      expect(found).toEqual([]);
    }
  });
}

test('stages and boxes are reached by keyboard alone', async ({ page }) => {
  await page.goto('/job/sunroom-plant-shelf/energize');
  const handle = page.getByRole('button', { name: 'single-pole switch, off' });
  await handle.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'single-pole switch, on' })).toBeFocused();
});
