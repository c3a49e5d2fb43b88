import type { Page } from '@playwright/test';

export const isPhone = (page: Page): boolean => (page.viewportSize()?.width ?? 0) < 600;

/** Tools with words stand behind the three dots. */
const behindDots = (page: Page): boolean => (page.viewportSize()?.width ?? 0) <= 1100;

/** Exports the open job as its user does; gives the path of the file. */
export async function exportJob(page: Page, name = 'Export'): Promise<string> {
  const saving = page.waitForEvent('download');
  if (behindDots(page)) {
    await page.getByRole('banner').getByRole('button', { name: 'More' }).click();
    await page.getByRole('menuitem', { name, exact: true }).click();
  } else {
    await page.getByRole('banner').getByRole('button', { name, exact: true }).click();
  }
  return (await saving).path();
}
