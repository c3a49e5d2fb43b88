import { chromium } from 'playwright-core';
const base = 'http://127.0.0.1:4401';
const shots = JSON.parse(process.argv[2]);
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
for (const [file, path, w, act, theme] of shots) {
  const c = await b.newContext({ viewport: { width: w, height: w < 500 ? 844 : 800 }, serviceWorkers: 'block', ...(w<500?{hasTouch:true}:{}) });
  const page = await c.newPage();
  await page.goto(base + path); await page.locator('[data-answer], h1').first().waitFor(); await page.waitForTimeout(700);
  if (theme) await page.evaluate((t) => (document.documentElement.dataset.theme = t), theme);
  if (act) await page.evaluate(act).catch((e) => console.log(file, e.message));
  await page.waitForTimeout(600);
  await page.screenshot({ path: file });
  await c.close();
}
await b.close();
