import { connect } from 'node:net';
import { expect, type Page } from '@playwright/test';
import { test } from './alive';
import { drawn, map, spot } from './lay-out-page';

const answer = (page: Page) => page.locator('[data-answer]');

test('a half, a handle and a lamp say what they do where they are tapped', async ({ page }) => {
  await page.goto('/job/sunroom-plant-shelf/lay-out');
  await expect(answer(page)).toContainText('Break the brass tab.');
  await drawn(page).getByRole('button', { name: 'upper half' }).click();
  await spot(page)
    .getByRole('radio', { name: /garden door switch/ })
    .click();
  await spot(page).getByRole('button', { name: 'Done' }).click();
  await expect(answer(page)).toContainText('All tabs stay whole.');
  // The other way round, at the handle.
  await map(page)
    .getByRole('button', { name: /^Garden door/ })
    .click();
  await drawn(page)
    .getByRole('button', { name: /switch, off/ })
    .click();
  await spot(page)
    .getByRole('button', { name: /Plant shelf, upper half/ })
    .click();
  await page.keyboard.press('Escape');
  await expect(answer(page)).toContainText('Break the brass tab.');
  await page.goto('/job/stair/lay-out');
  await map(page)
    .getByRole('button', { name: /^Stair light/ })
    .click();
  await drawn(page).getByRole('button', { name: 'lamp' }).click();
  await expect(spot(page)).toContainText('Stair light');
});

test('a cable says what it is where it lies; a box is pulled out of a box, and dropped on a run', async ({
  page,
}) => {
  await page.goto('/job/sunroom-plant-shelf/lay-out');
  await map(page)
    .getByRole('button', { name: /^Run from Garden door to Plant shelf/ })
    .click();
  const cable = spot(page).locator('select').first();
  await cable.selectOption({ label: 'existing 12-2' });
  await expect(page.getByRole('alert')).toContainText('needs 3 insulated conductors');
  await cable.selectOption({ index: 0 });
  await spot(page).getByRole('textbox', { name: 'Length, ft' }).fill('22');
  await spot(page).getByRole('textbox', { name: 'Length, ft' }).press('Enter');
  await page.keyboard.press('Escape');
  await expect(answer(page)).toContainText('12-3, 22 ft');
  // Pulled into the open, it asks what the new box holds.
  await map(page)
    .getByRole('button', { name: /^Plant shelf/ })
    .click();
  const handle = page.getByRole('button', { name: /^Add from Plant shelf/ });
  const at = (await handle.boundingBox())!;
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2);
  await page.mouse.down();
  await page.mouse.move(at.x - 60, at.y + 90, { steps: 6 });
  await page.mouse.up();
  await spot(page).getByRole('button', { name: 'Outlet' }).first().click();
  await expect(map(page).getByRole('button', { name: /^Outlet 3/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Outlet 3: what it does' })).toBeVisible();
  // By keys: the handle of the chosen box is a button.
  await page.getByRole('button', { name: /^Add from Outlet 3/ }).press('Enter');
  await spot(page).getByRole('button', { name: 'Light' }).first().press('Enter');
  await expect(map(page).getByRole('button', { name: /^Light 4/ })).toBeVisible();
});

test('two devices change places by dragging one over the other; names are changed where they stand', async ({
  page,
}) => {
  await page.goto('/job/stair/lay-out');
  const devices = drawn(page).locator('[data-device]');
  const order = () => devices.evaluateAll((all) => all.map((one) => (one as SVGElement).dataset['device']));
  await expect(devices).toHaveCount(2);
  const before = await order();
  await drawn(page).scrollIntoViewIfNeeded();
  const [a, b] = [(await devices.nth(0).boundingBox())!, (await devices.nth(1).boundingBox())!];
  await page.mouse.move(a.x + a.width / 2, a.y + 20);
  await page.mouse.down();
  await page.mouse.move(b.x + b.width / 2, b.y + 24, { steps: 6 });
  await page.mouse.up();
  await expect.poll(order).toEqual([...before].reverse());
  await page
    .getByRole('button', { name: /^Rename the switch/ })
    .first()
    .click();
  await page.getByRole('textbox', { name: /^Rename the switch/ }).fill('both stair switches');
  await page.getByRole('textbox', { name: /^Rename the switch/ }).press('Enter');
  await expect(
    page.getByRole('button', { name: 'Rename the switch: both stair switches' }).first(),
  ).toBeVisible();
});

test('a double tap on Remove removes one thing', { tag: '@once' }, async ({ page }) => {
  await page.goto('/job/landing-three-switches/lay-out');
  const boxes = map(page).locator('[data-drop-box]');
  await expect(boxes.first()).toBeVisible();
  const before = await boxes.count();
  await page.getByText('Add or remove').click();
  // What removes the box stands in what was unfolded; what removes a device was there before.
  await page
    .locator('details', { hasText: 'Add or remove' })
    .getByRole('button', { name: /^Remove / })
    .dblclick();
  await expect(boxes).toHaveCount(before - 1);
});

test(
  'the panel on the map: its circuits are named and set where they are drawn',
  { tag: '@tablet' },
  async ({ page }) => {
    await page.goto('/new?start=half-switched');
    await page.getByLabel('Name of the job').fill('Named panel');
    await page.getByRole('button', { name: 'Show the make-up' }).click();
    await page.getByRole('link', { name: /^Lay out/ }).click();
    const panel = page.getByRole('button', { name: /^Panel/ });
    await panel.click();
    const card = page.getByRole('dialog');
    await card.getByLabel('Number').fill('7 east');
    await card.getByLabel('Number').press('Enter');
    await expect(card.getByRole('group', { name: 'Circuit 7 east' })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(panel).toContainText('7 east');
    await expect(page.getByText('Circuit 7 east arrives at')).toBeVisible();
  },
);

/** What the server answers to a request written out by hand: browsers mend what they send. */
const answered = (port: number, method: string, address: string): Promise<number> =>
  new Promise((resolve, reject) => {
    let said = '';
    const socket = connect(port, '127.0.0.1', () =>
      socket.write(`${method} ${address} HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n`),
    );
    socket.on('data', (bytes) => (said += String(bytes)));
    socket.on('end', () => resolve(Number(/^HTTP\/1\.1 (\d+)/.exec(said)?.[1])));
    socket.on('error', reject);
  });

test(
  'no request ends the server: what cannot be parsed is answered, what is not read is refused',
  { tag: '@once' },
  async ({ baseURL }) => {
    const port = Number(new URL(baseURL ?? '').port);
    const strange = [
      '//',
      '///',
      '//other.example/',
      '/\\other',
      '/%',
      '/%E0%A4%A',
      'x',
      '?',
      'http://',
      '*',
      'http://[',
    ];
    for (const address of strange)
      expect([address, await answered(port, 'GET', address)]).toEqual([address, 400]);
    for (const method of ['POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS', 'TRACE'])
      expect([method, await answered(port, method, '/')]).toEqual([method, 405]);
    expect(await answered(port, 'HEAD', '/')).toBe(200);
    expect(await answered(port, 'GET', '/')).toBe(200);
    expect(await answered(port, 'GET', '/nowhere')).toBe(404);
  },
);

test(
  'the chosen language never leads off the site, whatever the address says',
  { tag: '@once' },
  async ({ browser, baseURL }) => {
    const addresses = [
      '/es//other.example/x',
      '/es///other.example',
      '/es/%2F/other.example',
      '/es/\\other.example',
    ];
    for (const language of ['en', 'es']) {
      const context = await browser.newContext({ baseURL: baseURL ?? '' });
      await context.addInitScript((one) => localStorage.setItem('language', one), language);
      const page = await context.newPage();
      const asked: string[] = [];
      page.on('request', (request) => {
        if (request.isNavigationRequest()) asked.push(new URL(request.url()).origin);
      });
      for (const address of [...addresses, '/es/tables', '/tables']) {
        // The page may go on to its other language before it is loaded.
        await page.goto(address).catch(() => undefined);
        await page.waitForLoadState();
      }
      await expect(page).toHaveURL(`${baseURL}${language === 'en' ? '' : '/es'}/tables`);
      expect(new Set(asked)).toEqual(new Set([new URL(baseURL ?? '').origin]));
      await context.close();
    }
  },
);
