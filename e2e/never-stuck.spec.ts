import { readFile } from 'node:fs/promises';
import { expect } from '@playwright/test';
import { test } from './alive';
import { drawn } from './lay-out-page';
import { keptOffline } from './stored';
import { exportJob } from './export-job';

/* What fails says so, with a way on. */

test('a worker that cannot be loaded says so, and is tried again', { tag: '@once' }, async ({ page }) => {
  await page.route('**/core.worker*', (route) => route.abort());
  await page.goto('/job/hall-console/find');
  const failed = page.getByRole('alert').filter({ hasText: 'could not be analyzed' });
  await expect(failed).toContainText('it could not be loaded');
  await page.unroute('**/core.worker*');
  await failed.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('region', { name: 'Next test' }).filter({ visible: true })).toBeVisible();
  await expect(failed).toHaveCount(0);
});

test(
  'a job that cannot be worked out says so, and offers export and another try',
  { tag: '@once' },
  async ({ page }) => {
    await page.route('**/core.worker*', (route) =>
      route.fulfill({
        contentType: 'text/javascript',
        body: 'onmessage = () => { throw new Error("broken on purpose"); };',
      }),
    );
    await page.goto('/job/stair/lay-out');
    const broken = page.getByRole('alert').filter({ hasText: 'could not be worked out' });
    await expect(broken).toContainText('a fault of the program');
    await expect(broken).not.toContainText('on purpose');
    const text = await readFile(await exportJob(page), 'utf8');
    expect(JSON.parse(text)).toMatchObject({ design: { name: 'Stair' } });
    await page.unroute('**/core.worker*');
    await broken.getByRole('button', { name: 'Try again' }).click();
    await expect(page.locator('[data-answer]').first()).toContainText('Pull');
  },
);

test(
  'a browser that keeps nothing is told on the first screen, and where a job is opened',
  { tag: '@once' },
  async ({ page }) => {
    await page.addInitScript(() => {
      Object.defineProperty(window, 'indexedDB', { value: undefined });
    });
    await page.goto('/');
    await expect(page.getByRole('alert')).toContainText('This browser keeps nothing');
    await expect(page.getByRole('link', { name: /Sunroom plant shelf/ })).toBeVisible();
    await page.getByRole('link', { name: /Sunroom plant shelf/ }).click();
    // It is planned, changed, taken back and exported from memory all the same.
    const answer = page.locator('[data-answer]').first();
    await expect(answer).toContainText('Pull');
    await page.goto('/job/stair/make-up');
    await expect(page.getByRole('alert')).toContainText('this page is closed');
    await page
      .getByRole('button', { name: /^Check off:|^Done$/ })
      .filter({ visible: true })
      .first()
      .click();
    await expect(page.getByText(/, 1 of \d+ done/).first()).toBeVisible();
    const text = await readFile(await exportJob(page), 'utf8');
    expect(JSON.parse(text)).toMatchObject({ record: { ticks: [{ box: expect.any(String) }] } });
  },
);

test.describe(() => {
  test.use({ serviceWorkers: 'allow' });
  test(
    'once it was there, the app comes from what the browser kept: a network that answers nothing holds up nothing',
    { tag: '@once' },
    async ({ page, context }) => {
      await page.goto('/');
      await keptOffline(page);
      await context.setOffline(true);
      for (const address of ['/', '/job/stair/make-up', '/tables', '/new']) {
        await page.goto(address);
        await expect(page.getByRole('heading').first()).toBeVisible();
      }
      await context.setOffline(false);
    },
  );
});

test(
  'each stage has its name in the title of the tab; an address of nothing answers so',
  { tag: '@once' },
  async ({ page, request }) => {
    await page.goto('/job/stair/make-up');
    await expect(page).toHaveTitle('Make up · Stair · Split Tap');
    expect((await request.get('/no/such/page')).status()).toBe(404);
    expect((await request.get('/job/stair/energize')).status()).toBe(200);
    expect((await request.get('/robots.txt')).status()).toBe(200);
  },
);

test(
  'no script runs but those of the app: the policy is in the answer and in the page',
  { tag: '@once' },
  async ({ page, request }) => {
    const refused: string[] = [];
    page.on('console', (message) => {
      if (message.text().includes('Content Security Policy')) refused.push(message.text());
    });
    for (const address of ['/', '/job/sunroom-plant-shelf/energize', '/job/porch-soffit/check?view=load']) {
      const answer = await request.get(address);
      const policy = answer.headers()['content-security-policy'] ?? '';
      expect(policy).toContain("script-src 'self' 'sha256-");
      expect(policy).not.toMatch(/script-src[^;]*unsafe/);
      expect(policy).not.toMatch(/https?:/);
      expect(await answer.text()).toContain('http-equiv="Content-Security-Policy"');
      await page.goto(address);
      await expect(page.getByRole('heading').first()).toBeVisible();
    }
    expect(refused).toEqual([]);
    await page.evaluate(() => {
      const script = document.createElement('script');
      script.textContent = 'window.ran = true';
      document.body.append(script);
    });
    expect(await page.evaluate(() => 'ran' in window)).toBe(false);
  },
);

test(
  'a piece of the program that does not come is told, and what was tapped is kept',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/stair/packet');
    await page.route('**/standalone*', (route) => route.abort());
    await page
      .getByRole('button', { name: / as SVG$/ })
      .first()
      .click();
    const told = page.locator('[data-notice]');
    await expect(told).toContainText('A piece of the program could not be loaded. What you tapped is kept');
    await page.unroute('**/standalone*');
    await told.getByRole('button', { name: 'Load the page anew' }).click();
    await page.locator('[data-standing]').waitFor({ state: 'detached' });
    const saving = page.waitForEvent('download');
    await page
      .getByRole('button', { name: / as SVG$/ })
      .first()
      .click();
    expect((await saving).suggestedFilename()).toMatch(/\.svg$/);
  },
);

test(
  'what stood over the page gives the focus back to where it was: palette, keys, give, a job taken out, a breaker',
  { tag: '@once' },
  async ({ page }) => {
    const open = (name: string) => page.getByRole('button', { name, exact: true });
    await page.goto('/job/stair/lay-out');
    const stage = page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Options' });
    for (const key of ['Control+k', '?']) {
      await stage.focus();
      await page.keyboard.press(key);
      await expect(page.getByRole('dialog')).toBeVisible();
      await page.keyboard.press('Escape');
      await expect(stage).toBeFocused();
    }
    await open('Give').click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(open('Give')).toBeFocused();

    await page.goto('/house/alder-court-12');
    const out = open('Take out of this house: Stair');
    await out.click();
    await expect(page.getByRole('alertdialog')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(out).toBeFocused();
    await out.click();
    await page.getByRole('button', { name: 'Take it out' }).click();
    await expect(out).toHaveCount(0);
    // What stood beside it in the list has it then, and never the top of the page.
    await expect(page.locator('section[aria-labelledby="jobs"] :focus')).toBeVisible();
  },
);

test(
  'what stands over the page closes by Escape in the very moment it is seen',
  { tag: '@once' },
  async ({ page }) => {
    const over = '[role=dialog], [role=alertdialog], [role=menu]';
    await page.addInitScript((over) => {
      new MutationObserver(() => {
        const seen = document.querySelector(over);
        if (!seen || seen.hasAttribute('data-seen')) return;
        seen.setAttribute('data-seen', '');
        document.documentElement.dataset['seen'] = seen.getAttribute('role') ?? '';
        (document.activeElement ?? seen).dispatchEvent(
          new KeyboardEvent('keydown', { key: 'Escape', bubbles: true, cancelable: true }),
        );
      }).observe(document, { childList: true, subtree: true });
    }, over);
    const tap = (name: string) => page.getByRole('button', { name, exact: true }).click();
    const closes = async (role: string, open: () => Promise<void>) => {
      await open();
      await expect(page.locator(`html[data-seen="${role}"]`)).toHaveCount(1);
      await expect(page.locator(over)).toHaveCount(0);
      await page.evaluate(() => delete document.documentElement.dataset['seen']);
    };
    await page.goto('/job/stair/lay-out');
    await closes('dialog', () => page.keyboard.press('Control+k'));
    await closes('dialog', () => page.keyboard.press('?'));
    await closes('dialog', () => tap('Give'));
    await closes('menu', () => tap('More'));
    await page.goto('/job/sunroom-plant-shelf/lay-out');
    await closes('dialog', () => drawn(page).getByRole('button', { name: 'upper half' }).click());
    await page.goto('/house/alder-court-12');
    await closes('alertdialog', () => tap('Take out of this house: Stair'));
  },
);

test.describe(() => {
  test.use({ serviceWorkers: 'allow' });
  test(
    'a language that was never here is told without a network, and its pages stand in the one that is',
    { tag: '@once' },
    async ({ page, context }) => {
      await page.goto('/');
      await keptOffline(page);
      await context.setOffline(true);
      await page.getByRole('button', { name: 'Display and language' }).click();
      await page.getByRole('radio', { name: 'Español' }).click();
      await expect(page.getByRole('alert')).toContainText('Español is not on this device yet');
      await page.goto('/es/job/stair/make-up');
      await expect(page).toHaveURL(/\/job\/stair\/make-up\?in=en$/);
      await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
    },
  );
});
