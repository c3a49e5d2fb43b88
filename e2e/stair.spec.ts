import { expect, type Page } from '@playwright/test';
import { test } from './alive';

const details = (page: Page, name: string) => page.locator('summary', { hasText: name });
const box = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Map of the runs' }).getByRole('button', { name, exact: true });
const cable = (page: Page, from: string, to: string) =>
  page.getByRole('button', { name: new RegExp(`^Run from ${from} to ${to},`) });
const line = (page: Page, text: string) => page.locator('[data-line]', { hasText: text });

test('the stair from nothing: two 3-ways, a receptacle, a light, and the notes of its plan', async ({
  page,
}) => {
  await page.goto('/new?start=half-switched');
  await page
    .getByRole('radiogroup', { name: 'Lower half' })
    .getByRole('radio', { name: 'always on' })
    .click();
  await page.getByRole('radio', { name: '15 A' }).click();
  await page.getByLabel('Name of the job').fill('Back stair');
  await page.getByRole('button', { name: 'Show the make-up' }).click();
  await page.getByRole('link', { name: /Lay out/ }).click();

  // The receptacle belongs beside the first switch.
  await box(page, 'Outlet').click();
  await details(page, 'Add or remove').click();
  await page.getByRole('button', { name: 'Remove Outlet' }).click();
  await expect(box(page, 'Outlet')).toHaveCount(0);
  await expect(page.getByRole('heading', { name: 'Switch: what it does' })).toBeVisible();
  await details(page, 'Add or remove').click();
  await page.getByRole('button', { name: 'Outlet', exact: true }).first().click();
  await page.getByRole('button', { name: 'Rename Switch', exact: true }).click();
  await page.getByRole('textbox', { name: 'Rename Switch' }).fill('Stair foot');
  await page.getByRole('textbox', { name: 'Rename Switch' }).press('Enter');
  await expect(box(page, 'Stair foot')).toBeVisible();

  // The second switch, upstairs, works together with the first.
  await page.getByRole('button', { name: 'Switch', exact: true }).last().click();
  await box(page, 'Switch 2').click();
  await expect(page.getByRole('heading', { name: 'Switch 2: what it does' })).toBeVisible();
  await details(page, 'Add or remove').click();
  await page.getByLabel('Works together with').selectOption({ label: 'the switch' });
  await page.getByRole('button', { name: 'Light', exact: true }).last().click();
  await expect(box(page, 'Light 3')).toBeVisible();
  await expect(cable(page, 'Stair foot', 'Switch 2')).toContainText('14-3');
  await expect(cable(page, 'Switch 2', 'Light 3')).toContainText('14-2');

  // Its notes.
  await page.getByRole('link', { name: /Brief/ }).click();
  await expect(page.getByRole('heading', { name: 'The plan' })).toBeVisible();
  await page.getByLabel('Place').fill('Stair foot');
  await page.getByLabel('Requirement').fill('S3 | duplex');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(line(page, 'S3 | duplex')).toHaveAttribute('data-line', 'met');
  await page.getByRole('combobox', { name: 'Type' }).selectOption('cable');
  await page.getByLabel('Place').fill('Stair foot to Switch 2');
  await page.getByLabel('Requirement').fill('14-3 WG');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(line(page, '14-3 WG')).toHaveAttribute('data-line', 'met');

  // Switch and receptacle change places: that note is not met any more.
  await page.getByRole('link', { name: /Lay out/ }).click();
  await box(page, 'Stair foot').click();
  await page.getByRole('button', { name: 'Move the switch right' }).click();
  await page.getByRole('link', { name: /Brief/ }).click();
  await expect(line(page, 'S3 | duplex')).toHaveAttribute('data-line', 'not met');
  await expect(page.locator('[data-answer]')).toContainText('1 of 2 plan lines not met');

  // Power from the light instead: the cables change with it.
  await page.getByRole('link', { name: /Lay out/ }).click();
  await page.getByRole('radio', { name: 'Light 3' }).click();
  await expect(cable(page, 'Stair foot', 'Switch 2')).not.toContainText('14-3');
  await expect(
    page.getByRole('link', { name: /Energize/ }).getByRole('img', { name: 'settled' }),
  ).toBeVisible();
});

test(
  'a plan in CSV: bad rows are named by row and column, the good ones offered',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/hall-console/brief');
    await page.getByLabel('Plan lines as CSV').setInputFiles({
      name: 'plan.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(
        'kind,place,says\ncable,Hall switch to Console,14-2\ncable,Hall switch to Console,13-9\nheight,Cellar,48\n',
      ),
    });
    const read = page.getByRole('alert');
    await expect(read).toContainText('row 3, column says');
    await expect(read).toContainText('row 4, column place');
    await page.getByRole('button', { name: 'Import the 1 good line' }).click();
    await expect(line(page, '14-2')).toHaveAttribute('data-line', 'met');

    await page.getByLabel('Plan lines as CSV').setInputFiles({
      name: 'plan.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('what,where\nx,y\n'),
    });
    await expect(page.getByRole('alert')).toContainText('the columns "kind", "place", "says" are missing');
  },
);

test(
  'the attic hatch: one tap on a way out wires it, undo takes it back',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/attic-hatch-switch/lay-out');
    // A word that can be tapped for what it means is no way out.
    await expect(page.getByRole('alert').locator('button:not([data-explains])')).toHaveCount(3);
    await page.getByRole('button', { name: /with a new 14-3/ }).click();
    await expect(page.locator('[data-answer]')).toContainText('Pull 14-3, 16 ft.');
    await page.getByRole('button', { name: /^Undo/ }).click();
    await page.getByRole('button', { name: /radio switch/ }).click();
    await expect(page.locator('[data-answer]')).toContainText('No new cable.');
  },
);

test(
  'a protecting device in the drawing: its test button kills what hangs on LOAD',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/porch-soffit/energize');
    const soffit = page.getByRole('group', { name: 'Porch soffit, energized' });
    await page.getByRole('button', { name: 'single-pole switch, off' }).click();
    await expect(soffit.getByRole('button', { name: 'upper half, live' })).toBeVisible();
    await page.getByRole('button', { name: 'Test button' }).click();
    await expect(soffit.getByRole('button', { name: 'upper half, dead' })).toBeVisible();
    await page.getByRole('button', { name: 'Reset button' }).click();
    await expect(soffit.getByRole('button', { name: 'upper half, live' })).toBeVisible();
  },
);

test(
  'rooms: a run is measured along its walls, and a box is moved by keys',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/sunroom-plant-shelf/lay-out');
    await cable(page, 'Garden door', 'Plant shelf').click();
    await page.getByRole('radio', { name: 'Along the wall' }).click();
    await expect(page.getByLabel('Run', { exact: true })).toContainText(
      '15.5 ft: 15 ft along the wall through 11 studs',
    );
    // The card is put away first: a tap beside it may do no more than that.
    await page.keyboard.press('Escape');
    await expect(page.getByLabel('Run', { exact: true })).toHaveCount(0);
    await page.getByRole('radio', { name: 'Room' }).click();
    const shelf = page.getByRole('button', { name: /^Plant shelf, wall 2, 5 ft along/ });
    await shelf.focus();
    await page.keyboard.press('ArrowRight');
    await expect(page.getByRole('button', { name: /^Plant shelf, wall 2, 5.5 ft along/ })).toBeVisible();
    await expect(page.locator('[data-answer]')).toContainText('12-3, 16 ft');
  },
);
