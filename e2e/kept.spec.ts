import { expect, type BrowserContext, type Page } from '@playwright/test';
import { test } from './alive';

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

/** What is tapped on a house and on the shop: a page, what is tapped for the `index`-th time, what then must be there. */
const ELSEWHERE = [
  {
    name: 'a figure of a house',
    path: '/house/alder-court-12',
    ready: async (page: Page) => page.getByText('Change circuit 9', { exact: true }).click(),
    tap: async (page: Page, index: number) => {
      const load = page.locator('[data-circuit="9"]').getByLabel('Existing load');
      await load.fill(String(400 + index));
      await load.press('Enter');
    },
    there: async (page: Page, index: number) =>
      (await page.locator('[data-circuit="9"]').getByLabel('Existing load').inputValue()) ===
      String(400 + index),
  },
  {
    name: 'what is bought',
    path: '/job/stair/take-off',
    ready: async (page: Page) => page.locator('[data-line]').first().waitFor(),
    tap: async (page: Page, index: number) =>
      page
        .locator('[data-line]')
        .nth(index % 6)
        .getByRole('checkbox')
        .click(),
    there: async (page: Page, index: number) =>
      page
        .locator('[data-line]')
        .nth(index % 6)
        .getByRole('checkbox')
        .isChecked(),
  },
] as const;
for (const { name, path, ready, tap, there } of ELSEWHERE)
  test(`${name} tapped 0 to 200 ms before the process is killed is not lost`, async ({ context }) => {
    let lost = 0;
    for (let index = 0; index <= 6; index++) {
      const page = await context.newPage();
      await page.goto(path);
      await ready(page);
      if (index > 0 && !(await there(page, index - 1))) lost++;
      if (index === 6) break;
      await tap(page, index);
      await new Promise((resolve) => setTimeout(resolve, index * 40));
      await kill(page);
    }
    expect(lost).toBe(0);
  });

test('a breaker tapped in a house waits for its yes, though the page is killed before it could ask', async ({
  context,
}) => {
  const types = (page: Page) => page.getByRole('radiogroup', { name: 'Breaker type' });
  const asks = (page: Page) => page.getByRole('alertdialog');
  let page = await opened(context, '/job/stair/lay-out');
  await page.getByText('Circuits and names').click();
  await types(page).getByRole('radio', { name: 'Standard' }).click();
  await kill(page);
  page = await opened(context, '/job/stair/lay-out');
  await expect(asks(page)).toContainText('Hall console: new finding. P03');
  await kill(page);
  page = await opened(context, '/job/stair/lay-out');
  await asks(page).getByRole('button', { name: 'Change it for all' }).click();
  await kill(page);
  // The same in the house: it is asked again there, and a no is kept too.
  page = await context.newPage();
  await page.goto('/house/alder-court-12');
  const nine = page.locator('[data-circuit="9"]');
  await expect(nine).not.toContainText('AFCI');
  await nine.getByText('Change circuit 9', { exact: true }).click();
  await nine.getByRole('radio', { name: '30 A' }).click();
  await kill(page);
  page = await context.newPage();
  await page.goto('/house/alder-court-12');
  await asks(page).getByRole('button', { name: 'Leave it as it is' }).click();
  await page.reload();
  await expect(page.locator('[data-circuit="9"]')).toContainText('15 A');
  await expect(asks(page)).toHaveCount(0);
});

test('two tabs tick and price one list: both are kept, and each shows the other’s', async ({ context }) => {
  const tab = async () => {
    const page = await context.newPage();
    await page.goto('/job/stair/take-off');
    return page;
  };
  const [a, b] = [await tab(), await tab()];
  const box = (page: Page, index: number) => page.locator('[data-line]').nth(index).getByRole('checkbox');
  await box(a, 0).check();
  await box(b, 1).check();
  await a.getByLabel('Tax on material, %').fill('5');
  await a.getByLabel('Tax on material, %').press('Enter');
  await b.getByLabel('Labor, an hour, $').fill('101');
  await b.getByLabel('Labor, an hour, $').press('Enter');
  for (const page of [a, b, await tab()]) {
    await expect(box(page, 0)).toBeChecked();
    await expect(box(page, 1)).toBeChecked();
    await expect(page.getByLabel('Tax on material, %')).toHaveValue('5');
    await expect(page.getByLabel('Labor, an hour, $')).toHaveValue('101');
  }
});

test('where there is no room left a figure of the house, a tick, a price are shown as they are stored', async ({
  page,
}) => {
  const full = () =>
    page.evaluate(() => {
      IDBObjectStore.prototype.add = () => {
        throw new DOMException('full', 'QuotaExceededError');
      };
    });
  await page.goto('/house/alder-court-12');
  await page.getByText('Change circuit 9', { exact: true }).click();
  const load = page.locator('[data-circuit="9"]').getByLabel('Existing load');
  const was = await load.inputValue();
  await full();
  await load.fill('77');
  await load.press('Enter');
  await expect(page.locator('[data-notice]')).toContainText('no room left in this browser');
  await expect(load).toHaveValue(was);
  await page.goto('/job/stair/take-off');
  const tick = page.locator('[data-line]').first().getByRole('checkbox');
  await tick.waitFor();
  await full();
  await tick.click();
  await expect(page.locator('[data-notice]')).toHaveCount(1);
  await expect(tick).not.toBeChecked();
  const tax = page.getByLabel('Tax on material, %');
  const rate = await tax.inputValue();
  await tax.fill('5');
  await tax.press('Enter');
  await expect(page.locator('[data-notice]')).toHaveCount(2);
  await expect(tax).toHaveValue(rate);
});

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

/** Fields that are typed in and not left: how each is reached. */
const TYPED = [
  ['a note of the record', '/job/stair/record', (page: Page) => page.getByLabel('Add a note')],
  ['the name of a new job', '/new?start=half-switched', (page: Page) => page.getByLabel('Name of the job')],
  [
    'a name in the house',
    '/house/alder-court-12',
    (page: Page) => page.getByRole('region', { name: 'People' }).getByLabel('Name'),
  ],
  ['a line of the plan', '/job/stair/brief', (page: Page) => page.getByLabel('Requirement')],
  ['what the customer wants', '/job/stair/brief', (page: Page) => page.getByLabel('What the customer wants')],
] as const;
test(
  'what is typed and not left is there again after the process was killed',
  { tag: '@once' },
  async ({ context }) => {
    for (const [name, path, fieldOf] of TYPED)
      await test.step(name, async () => {
        const page = await context.newPage();
        await page.goto(path);
        await fieldOf(page).fill('Half a thought');
        await kill(page);
        const again = await context.newPage();
        await again.goto(path);
        await expect(fieldOf(again)).toHaveValue('Half a thought');
        await again.close();
      });
  },
);

test(
  'another tab never takes the place of what is being typed; it is told beside it',
  { tag: '@once' },
  async ({ context }) => {
    const [a, b] = [await context.newPage(), await context.newPage()];
    for (const page of [a, b]) await page.goto('/job/stair/brief');
    const wish = (page: Page) => page.getByLabel('What the customer wants');
    await wish(a).fill('Half a thought');
    await wish(b).fill('Another thought');
    await wish(b).blur();
    await expect(a.locator('[data-meanwhile]')).toContainText('“Another thought”');
    await expect(wish(a)).toHaveValue('Half a thought');
    await wish(a).blur();
    await expect(wish(b)).toHaveValue('Half a thought');
  },
);
