import { test as base, type Page } from '@playwright/test';

/*
 * Stories begin where a hand could: once the live page has taken the place of what stood before it. (`standing.spec.ts` looks
 * at what stands before.)
 */

const patched = new WeakSet<Page>();

function onceAlive(page: Page): Page {
  if (patched.has(page)) return page;
  patched.add(page);
  const [goTo, reload] = [page.goto.bind(page), page.reload.bind(page)];
  const alive = () => page.locator('[data-standing]').waitFor({ state: 'detached' });
  page.goto = async (...given) => {
    const response = await goTo(...given);
    await alive();
    return response;
  };
  page.reload = async (...given) => {
    const response = await reload(...given);
    await alive();
    return response;
  };
  return page;
}

export const test = base.extend({
  context: async ({ context }, use) => {
    const newPage = context.newPage.bind(context);
    context.newPage = async () => onceAlive(await newPage());
    await use(context);
  },
  page: async ({ page }, use) => {
    await use(onceAlive(page));
  },
});
