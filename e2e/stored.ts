import { expect, type Page } from '@playwright/test';

/** Waits until everything that was tapped is stored, as one does before a page is closed. */
export const stored = (page: Page): Promise<void> =>
  expect(page.getByRole('navigation', { name: 'Stages' })).toHaveAttribute('aria-busy', 'false');

/** Waits until the copy for use without a network is whole and answers for the page. */
export const keptOffline = async (page: Page): Promise<void> => {
  await expect(page.locator('html')).toHaveAttribute('data-offline', 'ready');
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
};
