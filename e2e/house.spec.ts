import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { test } from './alive';
import { expectClean } from './clean';

const HOUSE = '/house/alder-court-12';
const circuit = (page: Page, number: string) => page.locator(`[data-circuit="${number}"]`);

test(
  'the demo house: circuit 9 carries four jobs, each of which knows of the others',
  { tag: '@tablet' },
  async ({ page }) => {
    await page.goto(HOUSE);
    await expect(page.locator('[data-answer]')).toContainText('8 jobs on 9 circuits');
    await expect(circuit(page, '9')).toContainText('Hall console 60 VA');
    await expect(circuit(page, '9')).toContainText('735 of 1800 VA');
    await expectClean(page, ['light']);
    await circuit(page, '9')
      .getByRole('link', { name: /Hall console/ })
      .click();
    await expect(page.locator('[data-load]').first()).toContainText('315 VA from other jobs');
  },
);

test(
  'a breaker that feeds other jobs is changed for all of them, with what that does seen first; undone again',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/stair/lay-out');
    await page.getByText('Circuits and names').click();
    const types = page.getByRole('radiogroup', { name: 'Breaker type' });
    await types.getByRole('radio', { name: 'Standard' }).click();
    const dialog = page.getByRole('alertdialog');
    await expect(dialog).toContainText('Hall console: new finding. P03');
    await dialog.getByRole('button', { name: 'Leave it as it is' }).click();
    await expect(types.getByRole('radio', { name: 'AFCI', exact: true })).toBeChecked();
    await types.getByRole('radio', { name: 'Standard' }).click();
    await dialog.getByRole('button', { name: 'Change it for all' }).click();
    await expect(types.getByRole('radio', { name: 'Standard' })).toBeChecked();
    await page.goto(HOUSE);
    await expect(circuit(page, '9')).not.toContainText('AFCI');
    await page.goto('/job/hall-console/check');
    await expect(page.getByText('needs an AFCI breaker').first()).toBeVisible();
    await page.goto('/job/stair/lay-out');
    await page.getByRole('button', { name: /^Undo:/ }).click();
    await page.goto(HOUSE);
    await expect(circuit(page, '9')).toContainText('AFCI');
  },
);

test(
  'a house of one’s own: a job made in it, one moved in and out, its panel corrected, all of it undone and kept',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/');
    await page.getByRole('button', { name: 'New house' }).click();
    await page.getByLabel('Name of the house').fill('Quarry Lane 4');
    await page.getByRole('button', { name: 'Make it' }).click();
    await expect(page.getByRole('heading', { name: 'Quarry Lane 4' })).toBeVisible();
    await page.getByRole('button', { name: 'Add circuit' }).click();
    await page.getByText('Change circuit 1', { exact: true }).click();
    await circuit(page, '1').getByLabel('Existing load').fill('500');
    await circuit(page, '1').getByLabel('Existing load').press('Enter');
    await expect(circuit(page, '1')).toContainText('500 of 2400 VA');
    await page.getByRole('button', { name: /^Undo: circuit 1/ }).click();
    await expect(circuit(page, '1')).toContainText('0 of 2400 VA');
    await page.getByRole('link', { name: 'New job' }).click();
    await expect(page.getByText('In Quarry Lane 4. On its panel: 1 (20 A).')).toBeVisible();
    await page.getByRole('link', { name: /^Half-switched outlet/ }).click();
    await page.getByLabel('Name of the job').fill('Porch');
    await page.getByRole('button', { name: 'Show the make-up' }).click();
    await page.getByRole('link', { name: 'In Quarry Lane 4: its panel and jobs' }).click();
    await expect(
      page.getByRole('region', { name: 'Jobs' }).getByRole('link', { name: /^Porch/ }),
    ).toBeVisible();
    // A job that stands alone, moved in: what the panel says of its circuit is shown first.
    await page.goto('/new?start=half-switched');
    await page.getByRole('radio', { name: '15 A' }).click();
    await page.getByLabel('Name of the job').fill('Shed');
    await page.getByRole('button', { name: 'Show the make-up' }).click();
    await expect(page).toHaveURL(/\/job\/shed\/make-up/);
    await page.goto('/house/quarry-lane-4');
    await page.getByLabel('Move a job in').selectOption('shed');
    const dialog = page.getByRole('alertdialog');
    await expect(dialog).toContainText('Circuit 1: breaker 15 A, on the panel 20 A');
    await dialog.getByRole('button', { name: 'Move it in' }).click();
    await expect(
      page.getByRole('region', { name: 'Jobs' }).getByRole('link', { name: /^Shed/ }),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Take out of this house: Shed' }).click();
    await dialog.getByRole('button', { name: 'Take it out' }).click();
    await expect(
      page.getByRole('region', { name: 'Jobs' }).getByRole('link', { name: /^Shed/ }),
    ).toBeHidden();
    await page.goto('/');
    await expect(page.getByRole('heading', { name: /Quarry Lane 4/ })).toContainText('1 job');
  },
);

test('the house’s take-off for all jobs or some, and its panel sheet', async ({ page }) => {
  await page.goto(`${HOUSE}/take-off`);
  const answer = page.locator('[data-answer]');
  await expect(answer).toContainText('35 things to take along');
  await expect(
    page.getByText('Left out, since they cannot be wired as asked: Attic hatch switch'),
  ).toBeVisible();
  for (const name of [
    'Landing with three switches',
    'Den media wall',
    'Porch soffit',
    'Laundry counter',
    'Attic hatch switch',
    'Hall console',
    'Sunroom plant shelf',
  ])
    await page.getByRole('button', { name, exact: true }).click();
  // What is left is one job: as its own take-off has it.
  await expect(answer).toHaveText('19 things to take along, $74.48 of material. Quote $519.53.');
  await page.getByRole('link', { name: 'Panel sheet' }).click();
  const sheet = page.locator('[data-directory]');
  await expect(sheet).toContainText('Kitchen counter, left of the sink');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Directory as CSV' }).click();
  expect(readFileSync(await (await download).path(), 'utf8')).toContain('9,15,afci,');
});

test(
  'what another tab does to a job of the house is seen in the house, without opening it anew',
  { tag: '@once' },
  async ({ context }) => {
    const [house, job] = [await context.newPage(), await context.newPage()];
    await house.goto(HOUSE);
    const attic = house
      .getByRole('region', { name: 'Jobs' })
      .getByRole('link', { name: /^Attic hatch switch/ });
    await expect(attic).toContainText('▲');
    await job.goto('/job/attic-hatch-switch/lay-out');
    await job.getByRole('alert').locator('button.button').first().click();
    await expect(job.getByRole('alert')).toHaveCount(0);
    await expect(attic).not.toContainText('▲');
  },
);
