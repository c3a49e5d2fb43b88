import { expect, type Page } from '@playwright/test';
import { test } from './alive';
import { drawn, map, spot } from './lay-out-page';
import { isPhone } from './export-job';

/* The eight jobs of the demo house, each built from nothing by touch alone at 390 × 844. */

test.beforeEach(({ page }) => test.skip(!isPhone(page), 'by touch, on a phone'));

const done = (page: Page) => spot(page).getByRole('button', { name: 'Done' }).tap();

async function blank(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('link', { name: 'New job' }).tap();
  await page.getByRole('link', { name: /^Blank job/ }).tap();
  await page.getByRole('button', { name: 'Open Lay out' }).tap();
  await expect(map(page)).toBeVisible();
}
const choose = (page: Page, box: string) =>
  map(page)
    .getByRole('button', { name: new RegExp(`^${box}$`) })
    .tap();
/** Something more: in the box itself, or in a new box that is fed from it. The new box is chosen then. */
async function grow(page: Page, box: string, what: 'Outlet' | 'Switch' | 'Light', where: 'here' | 'on') {
  await choose(page, box);
  await page.getByRole('button', { name: new RegExp(`^Add from ${box}`) }).tap();
  await spot(page)
    .getByRole('button', { name: what })
    .nth(where === 'on' ? 0 : 1)
    .tap();
  await expect(spot(page)).toHaveCount(0);
}
/** What a half or a lamp does, said in the drawing. */
async function does(page: Page, box: string, part: string, by: RegExp) {
  await choose(page, box);
  await drawn(page).getByRole('button', { name: part, exact: true }).tap();
  await spot(page).getByRole('radio', { name: by }).tap();
  await done(page);
}
async function kind(page: Page, box: string, tapped: string | RegExp, label: string) {
  await choose(page, box);
  await drawn(page).getByRole('button', { name: tapped }).first().tap();
  await spot(page).getByLabel(/, now/).or(spot(page).locator('select').last()).last().selectOption({ label });
  await done(page);
}
async function together(page: Page, box: string, group: string) {
  await choose(page, box);
  await drawn(page)
    .getByRole('button', { name: /switch, / })
    .tap();
  await spot(page).getByLabel('Works together with').selectOption({ label: group });
  await done(page);
}
async function existing(page: Page, from: string, to: string, cable: string) {
  await map(page)
    .getByRole('button', { name: new RegExp(`^Run from ${from} to ${to}`) })
    .tap();
  await spot(page)
    .locator('select')
    .first()
    .selectOption({ label: `existing ${cable}` });
  await done(page);
}
const run = (page: Page, from: string, to: string) =>
  map(page).getByRole('button', { name: new RegExp(`^Run from ${from} to ${to}`) });
async function verified(page: Page) {
  await page.getByRole('link', { name: /^Energize/ }).tap();
  await expect(page.locator('[data-answer]')).toContainText('Verified: works as intended');
}

test('the plant shelf: one half from the switch', async ({ page }) => {
  await blank(page);
  await grow(page, 'Box 1', 'Switch', 'here');
  await grow(page, 'Box 1', 'Outlet', 'on');
  await does(page, 'Outlet 2', 'lower half', /Box 1 switch/);
  await expect(page.locator('[data-answer]')).toContainText('Break the brass tab.');
  await expect(run(page, 'Box 1', 'Outlet 2')).toContainText('12-3');
  await verified(page);
});

test('the hall console: an outlet tapped from a switch box, its light there already', async ({ page }) => {
  await blank(page);
  await grow(page, 'Box 1', 'Switch', 'here');
  await grow(page, 'Box 1', 'Light', 'on');
  await existing(page, 'Box 1', 'Light 2', '12-2');
  await grow(page, 'Box 1', 'Outlet', 'on');
  await expect(run(page, 'Box 1', 'Outlet 3')).toContainText('12-2');
  await verified(page);
});

test('the attic hatch: a two-wire loop is refused', async ({ page }) => {
  await blank(page);
  await grow(page, 'Box 1', 'Light', 'here');
  await grow(page, 'Box 1', 'Switch', 'on');
  await does(page, 'Box 1', 'lamp', /Switch 2 switch/);
  await existing(page, 'Box 1', 'Switch 2', '12-2');
  await grow(page, 'Switch 2', 'Outlet', 'here');
  await expect(page.getByRole('alert')).toContainText('needs 3 insulated conductors');
});

test('the laundry counter: a combination device with GFCI, the shelf on its LOAD', async ({ page }) => {
  await blank(page);
  await grow(page, 'Box 1', 'Switch', 'here');
  await kind(page, 'Box 1', /switch, /, 'combination device with GFCI');
  await grow(page, 'Box 1', 'Outlet', 'on');
  await does(page, 'Outlet 2', 'lower half', /Box 1 switch/);
  await choose(page, 'Box 1');
  await page.getByRole('button', { name: /everything after it/i }).tap();
  await verified(page);
});

test('the porch: a GFCI where it can be reached, a switched outlet after it', async ({ page }) => {
  await blank(page);
  await grow(page, 'Box 1', 'Outlet', 'here');
  await kind(page, 'Box 1', 'upper half', 'GFCI receptacle');
  await grow(page, 'Box 1', 'Switch', 'on');
  await grow(page, 'Switch 2', 'Outlet', 'on');
  await does(page, 'Outlet 3', 'upper half', /Switch 2 switch/);
  await does(page, 'Outlet 3', 'lower half', /Switch 2 switch/);
  await choose(page, 'Box 1');
  await page.getByRole('button', { name: /everything after it/i }).tap();
  await verified(page);
});

test('the stair: two 3-ways, one beside a receptacle, a light', async ({ page }) => {
  await blank(page);
  await grow(page, 'Box 1', 'Switch', 'here');
  await grow(page, 'Box 1', 'Outlet', 'here');
  await grow(page, 'Box 1', 'Switch', 'on');
  await together(page, 'Switch 2', 'the Box 1 switch');
  await grow(page, 'Switch 2', 'Light', 'on');
  await expect(run(page, 'Box 1', 'Switch 2')).toContainText('12-3');
  await verified(page);
});

test('the den: one duplex on two circuits', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'New job' }).tap();
  await page.getByRole('link', { name: /^One duplex on two circuits/ }).tap();
  await page.getByRole('button', { name: 'Show the make-up' }).tap();
  await expect(page.locator('[data-answer]')).toContainText('Break the brass tab.');
  await verified(page);
});

test('the landing: a 4-way between two 3-ways', async ({ page }) => {
  await blank(page);
  await grow(page, 'Box 1', 'Switch', 'here');
  await grow(page, 'Box 1', 'Switch', 'on');
  await together(page, 'Switch 2', 'the Box 1 switch');
  await grow(page, 'Switch 2', 'Switch', 'on');
  await together(page, 'Switch 3', 'the Box 1 switch');
  await grow(page, 'Switch 3', 'Light', 'on');
  await expect(run(page, 'Box 1', 'Switch 2')).toContainText('12-3');
  await choose(page, 'Switch 2');
  await expect(drawn(page).getByText('4-way', { exact: true })).toBeVisible();
  await verified(page);
});
