import { expect, type Page } from '@playwright/test';

/** Waits until everything that was tapped is stored, as one does before a page is closed. */
export const stored = (page: Page): Promise<void> =>
  expect(page.getByRole('navigation', { name: 'Stages' })).toHaveAttribute('aria-busy', 'false');
