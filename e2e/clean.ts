import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

const THEMES = ['light', 'dark'] as const;

/** Axe finds nothing on the page, in the themes asked for, and it does not scroll sideways. */
export async function expectClean(
  page: Page,
  themes: readonly (typeof THEMES)[number][] = THEMES,
): Promise<void> {
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBe(0);
  for (const theme of themes) {
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
}
