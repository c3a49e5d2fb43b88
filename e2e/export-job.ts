import type { Page } from '@playwright/test';

export const isPhone = (page: Page): boolean => (page.viewportSize()?.width ?? 0) < 600;

/** Tools with words stand behind the three dots. */
const behindDots = (page: Page): boolean => (page.viewportSize()?.width ?? 0) <= 1100;

/** Taps a tool of the bar, wherever it stands. */
export async function fromBar(page: Page, name: string): Promise<void> {
  const bar = page.getByRole('banner');
  await bar.getByRole('button', { name: 'Cautions' }).waitFor();
  if (!behindDots(page)) {
    const shown = bar.getByRole('button', { name, exact: true });
    if (await shown.isVisible()) return shown.click();
  }
  await bar.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name, exact: true }).click();
}

/** Exports the open job as its user does; gives the path of the file. */
export async function exportJob(page: Page, name = 'Export'): Promise<string> {
  const saving = page.waitForEvent('download');
  await fromBar(page, name);
  return (await saving).path();
}
