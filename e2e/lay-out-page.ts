import type { Page } from '@playwright/test';

/** What the stories of Lay out look at: the map, the open box, and the card beside what was tapped. */
export const map = (page: Page) => page.getByRole('group', { name: 'Map of the runs' });
export const drawn = (page: Page) => page.getByRole('group', { name: /^The open box at/ });
export const spot = (page: Page) => page.locator('[data-on-the-spot]');
