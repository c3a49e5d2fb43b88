import { expect, type Page } from '@playwright/test';
import { test } from './alive';
import { expectClean } from './clean';
import { stored } from './stored';

const tool = (page: Page, name: string) =>
  page.getByRole('toolbar', { name: 'In the hand' }).getByRole('button', { name, exact: true });
const box = (page: Page, name: string) => page.getByRole('group', { name: `${name}, energized` });
const notes = (page: Page) => page.locator('[data-note]');
const breaker = (page: Page, number: string) =>
  page.getByRole('switch', { name: `Breaker ${number}` }).first();

test('flip, plug, trip, reset, probe, clamp, touch, wait: on the drawing, and it stays so', async ({
  page,
}) => {
  await page.goto('/job/porch-soffit/energize');
  const bench = box(page, 'Hall bench');
  await tool(page, 'Heater').click();
  await bench.getByRole('button', { name: 'upper outlet, live' }).click();
  await tool(page, 'Clamp').click();
  await bench
    .getByRole('button', {
      name: /^black of the 14-2, circuit 9, from the panel|^black of the 14-2 from the panel/,
    })
    .click();
  await expect(page.locator('[data-amps]')).toHaveText(/^1[12]\.\d A$/);
  await bench.getByRole('button', { name: /14-2 from the panel.*whole cable/ }).click();
  await expect(page.locator('[data-amps]')).toHaveText('0.00 A');

  await tool(page, 'Hand').click();
  await bench.getByRole('button', { name: 'Test button' }).click();
  await expect(notes(page)).toHaveText(
    '▲ The GFCI receptacle at Hall bench opens: its TEST button was pressed.',
  );
  await expect(bench.getByRole('button', { name: 'lower outlet, dead' })).toBeVisible();
  await bench.getByRole('button', { name: 'Reset button' }).click();
  await expect(bench.getByRole('button', { name: 'lower outlet, live' })).toBeVisible();

  await tool(page, 'Meter').click();
  await bench.getByRole('button', { name: 'LOAD brass screw' }).click();
  await bench.getByRole('button', { name: 'LOAD silver screw' }).click();
  await expect(page.locator('[data-meter]')).toHaveText(/^11\d\.\d V$/);

  await tool(page, 'Touch').click();
  await bench.getByRole('button', { name: 'LOAD brass screw' }).click();
  await bench.getByRole('button', { name: 'green screw' }).click();
  await expect(notes(page).first()).toContainText(
    /1[12]\d mA through a body of 1 kΩ: the heart can stop\. The GFCI/,
  );
  await expect(bench.getByRole('button', { name: 'lower outlet, dead' })).toBeVisible();
  await expectClean(page);

  await breaker(page, '9').click();
  await expect(breaker(page, '9')).not.toBeChecked();
  await tool(page, 'Hand').click();
  await bench.getByRole('button', { name: 'Reset button' }).click();
  await expect(notes(page)).toContainText('does not reset');
  await page.getByRole('button', { name: '1 h', exact: true }).click();
  await expect(page.locator('[data-clock]')).toContainText('1 h 0 min');
  await stored(page);
  await page.reload();
  await expect(breaker(page, '9')).not.toBeChecked();
  await expect(page.locator('[data-clock]')).toContainText('1 h 0 min');
});

test(
  'the way of a current is told by its dashes and arrows, one load or all',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/sunroom-plant-shelf/energize');
    await tool(page, 'Heater').click();
    const shelf = box(page, 'Plant shelf');
    await shelf.getByRole('button', { name: 'upper half, live' }).click();
    await expect(shelf.locator('[data-way="to"]').first()).toBeAttached();
    await expect(shelf.locator('[data-way="back"]').first()).toBeAttached();
    const load = page
      .getByRole('region', { name: 'Currents' })
      .getByRole('button', { name: /Plant shelf, upper half/ });
    await load.click();
    await expect(load).toHaveAttribute('aria-pressed', 'true');
  },
);

test(
  'rewired by tapping, dragging and the keyboard; the difference is listed, and one tap puts it back',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/sunroom-plant-shelf/energize');
    const answer = page.locator('[data-answer]');
    await expect(answer).toContainText('Verified');
    const shelf = box(page, 'Plant shelf');
    await breaker(page, '14').click();
    await tool(page, 'Rewire').click();
    await shelf.getByRole('button', { name: /^white/ }).click();
    await page.getByRole('button', { name: 'Leave it bare' }).click();
    await expect(answer).toHaveText('Rewired by hand: this is not the plan. 1 difference.');
    const changes = page.getByRole('region', { name: 'Changed by hand' });
    await expect(changes).toContainText('hanging bare; planned on the');
    await expectClean(page);
    await stored(page);
    await page.reload();
    await expect(answer).toContainText('1 difference');

    // By keyboard: the red onto the silver screw. A live end would say so.
    await tool(page, 'Rewire').focus();
    await page.keyboard.press('Enter');
    await shelf.getByRole('button', { name: /^red/ }).focus();
    await page.keyboard.press('Enter');
    await shelf.getByRole('button', { name: 'upper silver screw' }).focus();
    await page.keyboard.press('Enter');
    await expect(answer).toContainText('2 differences');
    await shelf.getByRole('button', { name: 'broken tab' }).focus();
    await page.keyboard.press('Enter');
    await expect(answer).toContainText('3 differences');
    await page.getByRole('button', { name: 'Put everything back' }).click();
    await expect(answer).toContainText('Verified');
    await breaker(page, '14').click();
    await expect(
      shelf.getByRole('button', { name: 'upper half, live' }).or(shelf.getByLabel('upper half, live')),
    ).toBeVisible();

    // Dragged from its letter onto a screw, live: it moves, and the caution stands there.
    const from = await shelf.getByRole('button', { name: /^red/ }).boundingBox();
    const onto = await shelf.getByRole('button', { name: 'lower silver screw' }).boundingBox();
    if (!from || !onto) throw new Error('not drawn');
    await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
    await page.mouse.down();
    await page.mouse.move(onto.x + onto.width / 2, onto.y + onto.height / 2, { steps: 5 });
    await page.mouse.up();
    await expect(changes).toContainText('The red');
    await expect(changes).toContainText('on the lower silver screw');
  },
);

test(
  'the panel’s own ends move; with the cover on the slots are measured, and what hangs behind it is said',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/sunroom-plant-shelf/energize');
    const answer = page.locator('[data-answer]');
    await expect(answer).toContainText('Verified');
    const shelf = box(page, 'Plant shelf');
    const panel = box(page, 'Panel');
    const readings = page.getByRole('complementary', { name: 'Readings' });

    await page.getByRole('button', { name: 'Cover on, Plant shelf' }).click();
    await expect(shelf.locator('[data-wire]')).toHaveCount(0);
    await tool(page, 'Meter').click();
    await shelf.getByRole('button', { name: 'hot slot, lower half' }).click();
    await shelf.getByRole('button', { name: 'screw of the plate' }).click();
    await expect(readings).toContainText('120 V');
    await expectClean(page);

    await breaker(page, '14').click();
    await tool(page, 'Rewire').click();
    await panel
      .getByRole('button', { name: /^black/ })
      .first()
      .click();
    await panel.getByRole('button', { name: 'N bar' }).first().click();
    await expect(answer).toHaveText('Rewired by hand: this is not the plan. 1 difference.');
    await expect(readings).toContainText('its lugs and bars stay live with the breaker off');
    await expect(readings).toContainText('on the neutral bar; planned on breaker 14');
    await page.getByRole('button', { name: 'Put everything back' }).click();

    await page.getByRole('button', { name: 'All covers on' }).click();
    await expect(page.locator('[data-wire]')).toHaveCount(0);
    await stored(page);
    await page.reload();
    await expect(page.locator('[data-cover]')).toHaveCount(await page.locator('.live-box').count());
    await page.getByRole('button', { name: 'All covers off' }).click();
    await expect(readings).toContainText('its lugs and bars stay live');
  },
);

test(
  'a live metal box is told by the tip, a loose contact by its heat',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/den-media-wall/energize');
    const wall = box(page, 'Media wall');
    await tool(page, 'Heater').click();
    await wall.getByRole('button', { name: 'upper half, live' }).click();
    await tool(page, 'Loosen').click();
    await wall.getByRole('button', { name: /^black/ }).click();
    await expect(page.locator('[data-heat]')).toContainText(/1[0-3]\d W of heat in 1 Ω/);
    await tool(page, 'Non-contact').click();
    await wall.getByRole('button', { name: 'upper brass screw' }).click();
    await expect(page.locator('[data-tip]')).toHaveText('lights: hot');
  },
);
