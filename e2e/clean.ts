import axe from 'axe-core';
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
/** What hangs on the colors, and so on the theme. */
const BY_COLOR = ['color-contrast', 'link-in-text-block'] as const;

/** What axe finds on the page, by all rules or some. It is put into a page once, however often it is asked. */
async function found(page: Page, rules: readonly string[] | 'all'): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  return page.evaluate(
    async (only) => {
      const { violations } = await (window as unknown as { axe: typeof axe }).axe.run(document, {
        resultTypes: ['violations'],
        // Off by default: what can be tapped is 24 px large, or has as much room (WCAG 2.2, 2.5.8).
        ...(only ? { runOnly: only } : { rules: { 'target-size': { enabled: true } } }),
      });
      return violations.map(
        ({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(' | ')}`,
      );
    },
    rules === 'all' ? null : [...rules],
  );
}

/**
 * Axe finds nothing on the page, in the themes asked for and by all rules or some, and it does not scroll sideways. A second
 * theme is another color of the same page.
 */
export async function expectClean(
  page: Page,
  themes: readonly (typeof THEMES)[number][] = THEMES,
  rules: readonly string[] | 'all' = 'all',
): Promise<void> {
  // A chart follows a new width one frame later.
  const sideways = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  await expect.poll(sideways).toBe(0);
  expect(await page.evaluate(coveredInBar)).toEqual([]);
  for (const [index, theme] of themes.entries()) {
    await page.evaluate((next) => (document.documentElement.dataset['theme'] = next), theme);
    expect([theme, await found(page, index > 0 && rules === 'all' ? BY_COLOR : rules)]).toEqual([theme, []]);
  }
}
