import { expect } from '@playwright/test';
import { test } from './alive';
import { stored } from './stored';
import { readFileSync } from 'node:fs';

const JOB = '/job/stair/take-off';

test(
  'what to buy with its arithmetic; ticked, priced, taken from the truck, and all of it kept',
  { tag: '@tablet' },
  async ({ page }) => {
    await page.goto(JOB);
    const answer = page.locator('[data-answer]');
    await expect(answer).toHaveText('19 things to take along, $74.48 of material. Quote $519.53.');
    const cable = page.locator('[data-line="cable 14-3"]');
    await expect(cable).toContainText('29 ft 14-3 cable');
    await expect(cable).toContainText('1 roll of 250 ft, 221 ft left over');
    await cable.getByText('How many, and why').click();
    await expect(cable).toContainText('with 10 % waste 347.6 in, rounded up to 29 ft');
    await cable.getByLabel('Price, $').fill('much');
    await expect(cable.getByRole('alert')).toBeVisible();
    await cable.getByLabel('Price, $').fill('1');
    await cable.getByLabel('Price, $').press('Enter');
    await expect(cable).toContainText('$29.00');
    await cable.getByLabel('On the truck, ft').fill('29');
    await cable.getByLabel('On the truck, ft').press('Enter');
    await expect(cable).toContainText('All on the truck');
    await page.getByRole('checkbox', { name: 'Cable staple bought' }).check();
    await page.reload();
    await expect(cable).toContainText('All on the truck');
    await expect(page.getByRole('checkbox', { name: 'Cable staple bought' })).toBeChecked();
    await expect(cable).toContainText('$29.00');
  },
);

test(
  'the list goes out as CSV, and a shop’s prices come in; a row that is none is told',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto(JOB);
    await expect(page.locator('[data-line]')).toHaveCount(19);
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Take-off as CSV' }).click();
    const text = readFileSync(await (await download).path(), 'utf8');
    expect(text.split('\r\n')[0]).toBe('item,name,unit,need,on truck,buy,price,total');
    await page.locator('input[type="file"]').setInputFiles({
      name: 'prices.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('item,price\nstaple,1\ntie,=2+2\n'),
    });
    await expect(page.getByRole('status').filter({ hasText: '1 price taken' })).toContainText('row 3');
    await expect(page.locator('[data-line="staple"]')).toContainText('$16.00');
  },
);

test(
  'a device in its own color is its own line with its plate; an aisle goes by the shop’s own name, and a thing to another',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/sunroom-plant-shelf');
    await page.getByLabel('Color').selectOption('ivory');
    await stored(page);
    await page.goto('/job/sunroom-plant-shelf/take-off');
    const devices = page.getByRole('region', { name: 'Devices' });
    await expect(devices).toContainText('tamper-resistant, ivory');
    await expect(page.getByRole('region', { name: 'Plates and covers' })).toContainText('duplex, ivory');

    const first = page.getByRole('region').first();
    await expect(first).toHaveAccessibleName('Cable');
    await page.getByRole('button', { name: 'Rename Devices' }).click();
    await page.getByRole('textbox', { name: 'Rename Devices' }).fill('Aisle 14');
    await page.keyboard.press('Enter');
    await expect(first).toHaveAccessibleName('Aisle 14');
    // The plate is found somewhere else, and nearer to the door.
    const plate = page.locator('[data-line^="plate"]').first();
    await plate.getByText('How many, and why').click();
    await plate.getByLabel('Found in another aisle').fill('Aisle 2');
    await plate.getByLabel('Found in another aisle').press('Enter');
    await expect(first).toHaveAccessibleName('Aisle 2');
    await stored(page);
    await page.reload();
    await expect(first).toHaveAccessibleName('Aisle 2');
    await page.getByRole('button', { name: 'Rename Aisle 14' }).click();
    await page.getByRole('textbox', { name: 'Rename Aisle 14' }).fill('');
    await page.keyboard.press('Enter');
    await expect(devices).toContainText('tamper-resistant, ivory');
  },
);
