import { expect, test } from '@playwright/test';

/** Every starting point, from the home page to its make-up, counted in taps. */
const STARTS = [
  { name: 'Half-switched outlet', opens: 'make-up', box: 'Outlet' },
  { name: 'Whole outlet from a switch', opens: 'make-up', box: 'Outlet' },
  { name: 'Outlet beside a switch', opens: 'make-up', box: 'Switch' },
  { name: 'Outlet tapped from a switch box', opens: 'find', box: 'Outlet' },
  { name: 'Combination device', opens: 'make-up', box: 'Switch' },
  { name: 'Light from two or three places', opens: 'make-up', box: 'First switch' },
  { name: 'GFCI first, outlets after it', opens: 'make-up', box: 'GFCI outlet' },
  { name: 'One duplex on two circuits', opens: 'make-up', box: 'Outlet' },
  { name: 'Fan and light', opens: 'make-up', box: 'Switches' },
  { name: 'Replace a device', opens: 'make-up', box: 'Outlet' },
  { name: 'Something is wrong', opens: 'test', box: 'Outlet' },
  { name: 'An opened box', opens: 'find', box: 'Box 1' },
  { name: 'Blank job', opens: 'lay-out', box: 'Box 1' },
] as const;
const MOST_TAPS = 4;

for (const { name, opens, box } of STARTS)
  test(`${name}: at most ${MOST_TAPS} taps to the make-up`, async ({ page }) => {
    let taps = 0;
    const tap = async (role: 'link' | 'button', named: string | RegExp) => {
      taps++;
      await page.getByRole(role, { name: named }).first().click();
    };
    await page.goto('/');
    await tap('link', 'New job');
    await tap('link', new RegExp(`^${name}`));
    // What is taken for granted stands there before it is taken.
    await expect(page.getByText('Taken for granted')).toBeVisible();
    await tap('button', /^(Show the make-up|Open Find|Say what you notice|Open Lay out)$/);
    await expect(page).toHaveURL(new RegExp(`/${opens}`));
    if (opens !== 'make-up') await tap('link', /^Make up/);
    await expect(page.getByRole('group', { name: `The open box at ${box}` })).toBeVisible();
    expect(taps).toBeLessThanOrEqual(MOST_TAPS);
  });

test('an opened box is named after its place; a tapped one opens with what is mostly found', async ({
  page,
}) => {
  await page.goto('/new?start=tapped');
  await page.getByLabel('Name of the place').fill('Landing switch');
  await page.getByLabel('Circuit number').fill('9');
  await page.getByRole('button', { name: 'Open Find' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Landing switch' })).toBeVisible();
  await expect(page.getByText(/whites 2/).first()).toBeVisible();
});
