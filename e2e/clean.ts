import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** What lies over something else in the bar on top, or has no room there. */
function coveredInBar(): string[] {
  const shown = [...document.querySelectorAll<HTMLElement>('header :is(a, button, h1)')].filter(
    ({ offsetParent }) => offsetParent !== null,
  );
  const name = (element: HTMLElement) => element.ariaLabel ?? element.innerText;
  return shown.flatMap((one, index) => {
    const own = one.getBoundingClientRect();
    const over = shown.slice(index + 1).filter((other) => {
      const its = other.getBoundingClientRect();
      const apart =
        own.right <= its.left + 1 ||
        its.right <= own.left + 1 ||
        own.bottom <= its.top + 1 ||
        its.bottom <= own.top + 1;
      return !one.contains(other) && !other.contains(one) && !apart;
    });
    return [
      ...(own.width < 24 ? [`${name(one)} has no room`] : []),
      ...over.map((other) => `${name(one)} over ${name(other)}`),
    ];
  });
}

const THEMES = ['light', 'dark'] as const;

/** Axe finds nothing on the page, in the themes asked for and but for some rules, and it does not scroll sideways. */
export async function expectClean(
  page: Page,
  themes: readonly (typeof THEMES)[number][] = THEMES,
  without: readonly string[] = [],
): Promise<void> {
  // A chart follows a new width one frame later.
  const sideways = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  await expect.poll(sideways).toBe(0);
  expect(await page.evaluate(coveredInBar)).toEqual([]);
  for (const theme of themes) {
    await page.evaluate((next) => (document.documentElement.dataset['theme'] = next), theme);
    const { violations } = await new AxeBuilder({ page })
      .setLegacyMode()
      .options({ resultTypes: ['violations'] })
      .disableRules([...without])
      .analyze();
    const found = violations.map(
      ({ id, nodes }) => `${theme} ${id}: ${nodes.map(({ target }) => target.join(' ')).join(' | ')}`,
    );
    expect(found).toEqual([]);
  }
}
