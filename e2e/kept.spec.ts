import { expect, test, type BrowserContext, type Page } from '@playwright/test';

/* What is shown is stored, and two tabs show one truth. */

// What is stored does not hang on the size of the screen.
test.skip(({ viewport }) => (viewport?.width ?? 0) < 600, 'the laptop’s');

const LAY_OUT = '/job/sunroom-plant-shelf/lay-out';
const at = (page: Page, box: string) =>
  page.getByRole('radiogroup', { name: 'Circuit 14 arrives at' }).getByRole('radio', { name: box });

async function opened(context: BrowserContext, path = LAY_OUT): Promise<Page> {
  const page = await context.newPage();
  await page.goto(path);
  await expect(page.locator('[data-answer]').first()).toBeVisible();
  return page;
}

/** Ends the process of a page, as a phone does to what is in the background. */
async function kill(page: Page): Promise<void> {
  const session = await page.context().newCDPSession(page);
  const gone = page.waitForEvent('crash');
  void session.send('Page.crash').catch(() => undefined);
  await gone;
  await page.close();
}

/** One for each delay of 20 ms; four of each where time does not count. */
const TAPS = process.env['LONG'] ? 44 : 11;

for (const [how, slowdown] of [
  ['page closed', 1],
  ['process killed, at a quarter of the speed', 4],
] as const) {
  test(`taps 0 to 200 ms before the end: nothing is lost (${how})`, async ({ context }) => {
    let lost = 0;
    let tapped: string | null = null;
    // Each page first looks for what was tapped on the one before it.
    for (let index = 0; index <= TAPS; index++) {
      const page = await opened(context);
      if (tapped !== null && !(await at(page, tapped).isChecked())) lost++;
      if (index === TAPS) break;
      if (slowdown > 1) {
        const session = await context.newCDPSession(page);
        await session.send('Emulation.setCPUThrottlingRate', { rate: slowdown });
      }
      tapped = index % 2 === 0 ? 'Plant shelf' : 'Garden door';
      await at(page, tapped).click();
      await new Promise((resolve) => setTimeout(resolve, (index % 11) * 20));
      await (how === 'page closed' ? page.close() : kill(page));
    }
    expect(lost).toBe(0);
  });
}

test('text that was typed and not left is there again', async ({ context }) => {
  const page = await opened(context, '/job/sunroom-plant-shelf/brief');
  const wish = page.getByLabel('What the customer wants');
  await wish.fill('Grow lamps on the lower half, and a clock');
  await kill(page);
  const again = await opened(context, '/job/sunroom-plant-shelf/brief');
  await expect(again.getByLabel('What the customer wants')).toHaveValue(
    'Grow lamps on the lower half, and a clock',
  );
  await again.getByLabel('What the customer wants').blur();
  await again.reload();
  await expect(again.getByLabel('What the customer wants')).toHaveValue(
    'Grow lamps on the lower half, and a clock',
  );
});

test('the other tab shows a change at once; undo takes back only what it offered', async ({ context }) => {
  const [a, b] = [await opened(context), await opened(context)];
  await at(a, 'Plant shelf').click();
  await expect(at(b, 'Plant shelf')).toBeChecked();
  await at(b, 'Garden door').click();
  await expect(at(a, 'Garden door')).toBeChecked();
  await a.getByRole('button', { name: /^Undo/ }).click();
  await expect(at(b, 'Plant shelf')).toBeChecked();
});

test('a figure that is none is answered beside its field; one as it is said on site is taken', async ({
  page,
}) => {
  await page.goto(LAY_OUT);
  await page.getByText('Circuits and names').click();
  const carries = page.getByLabel('Existing load, VA');
  await carries.fill('about five hundred');
  await carries.blur();
  await expect(page.getByRole('alert')).toContainText('Not a figure in VA');
  await expect(carries).toHaveValue('about five hundred');
  await carries.fill('1,500 VA');
  await carries.blur();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(carries).toHaveValue('1500');
});

test('a circuit is added, tied, shares a neutral, and is folded into another', async ({ page }) => {
  await page.goto(LAY_OUT);
  await page.getByText('Circuits and names').click();
  await page.getByRole('button', { name: 'Add a circuit' }).click();
  const second = page.getByRole('group', { name: 'Circuit 1', exact: true });
  await second.getByLabel('Shares its neutral with').selectOption({ label: 'Circuit 14, leg B' });
  await second.getByLabel('Handle tied to').selectOption({ label: 'Circuit 14, leg B' });
  const first = page.getByRole('group', { name: 'Circuit 14', exact: true });
  await expect(first.getByLabel('Shares its neutral with')).toHaveValue('circuit-1');
  await second.getByRole('button', { name: /Remove; circuit 14 feeds/ }).click();
  await expect(second).toHaveCount(0);
  await expect(first.getByLabel('Handle tied to')).toHaveCount(0);
});

test('where the cable from the panel is taken out, another can be pulled', async ({ page }) => {
  await page.goto(LAY_OUT);
  await expect(at(page, 'Garden door')).toBeVisible();
  await page
    .getByRole('button', { name: /panel to Garden door/i })
    .first()
    .click();
  await page.getByRole('button', { name: 'Remove the run' }).click();
  await page.getByLabel(/Circuit 14 has no cable from the panel/).selectOption({ label: 'Garden door' });
  await expect(at(page, 'Garden door')).toBeChecked();
  await expect(page.locator('[data-answer]').first()).not.toContainText('▲');
});
