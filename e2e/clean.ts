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

/** What hangs on where things lie, and on nothing else of the page. */
export const BY_PLACE = ['target-size', 'scrollable-region-focusable', 'meta-viewport', 'region'] as const;

/** Axe finds nothing on the page, in the themes asked for and by all rules or some, and it does not scroll sideways. */
export async function expectClean(
  page: Page,
  themes: readonly (typeof THEMES)[number][] = THEMES,
  rules: readonly string[] | 'all' = 'all',
): Promise<void> {
  // A chart follows a new width one frame later.
  const sideways = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  await expect.poll(sideways).toBe(0);
  expect(await page.evaluate(coveredInBar)).toEqual([]);
  for (const theme of themes) {
    await page.evaluate((next) => (document.documentElement.dataset['theme'] = next), theme);
    const axe = new AxeBuilder({ page })
      .setLegacyMode()
      // Off by default: what can be tapped is 24 px large, or has as much room (WCAG 2.2, 2.5.8).
      .options({ resultTypes: ['violations'], rules: { 'target-size': { enabled: true } } });
    const { violations } = await (rules === 'all' ? axe : axe.withRules([...rules])).analyze();
    const found = violations.map(
      ({ id, nodes }) => `${theme} ${id}: ${nodes.map(({ target }) => target.join(' ')).join(' | ')}`,
    );
    expect(found).toEqual([]);
  }
}
