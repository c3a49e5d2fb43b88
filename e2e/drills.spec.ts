import { expect } from '@playwright/test';
import { test } from './alive';
import { markOf, writeCode, type DrillKind } from '../core/handover/drills/code';
import { faultDrill } from '../core/handover/drills/fault-drill';
import { wallDrill, wallTruth } from '../core/handover/drills/wall-drill';
import { demoJob } from '../core/handover/jobs/demo-house';
import { planJob } from '../core/wiring/plan';
import { studyFaults } from '../core/site/script/script';
import { expectClean } from './clean';

const JOB = 'sunroom-plant-shelf';
function planned() {
  const job = demoJob(JOB);
  const outcome = job ? planJob(job) : null;
  if (!job || !outcome?.ok) throw new Error('no such plan');
  return { job, plan: outcome.plan };
}
const address = (kind: DrillKind, seed: number, level: 1 | 2 | 3 = 1) =>
  `/drills/${writeCode({ kind, level, seed, job: JOB, mark: markOf(planned().job) })}`;

test(
  'find the fault: tested, named wrongly, hinted, named right; the score is kept and drawn',
  { tag: '@once' },
  async ({ page }) => {
    const { plan } = planned();
    const drill = faultDrill(plan, studyFaults(plan), 1, 11);
    const [hidden] = drill?.hidden ?? [];
    if (!drill || !hidden) throw new Error('no drill');
    await page.goto(address('fault', 11));
    await expect(page.locator('[data-answer]')).toContainText('One mistake is hidden in this house');
    const count = page.locator('[data-count]');
    await expect(count).toContainText(`the best tester needs ${drill.best.tests}`);
    await page.getByRole('button', { name: 'Tester', exact: true }).click();
    await page
      .getByRole('group', { name: 'Plant shelf, energized' })
      .getByRole('button', { name: /^upper half/ })
      .click();
    await expect(page.locator('[data-tester]')).toBeVisible();
    await expect(count).toContainText(/^\d tests?;/);
    await expectClean(page);
    const naming = page.getByRole('group', { name: 'Mistake 1' });
    const names = await naming.getByLabel('What is wrong').locator('option').allInnerTexts();
    const wrong = names.slice(1).find((name) => name !== hidden.row.name) ?? '';
    await naming.getByLabel('What is wrong').selectOption(wrong);
    await page.getByRole('button', { name: 'That is it' }).click();
    await expect(page.getByRole('status').or(page.locator('[data-result]'))).toContainText(/Test on|Found/);
    await page.getByRole('button', { name: /A hint/ }).click();
    await expect(page.locator('[data-hint]')).toContainText('Look at');
    // Left, it is gone on with from the list: what was read, the wrong name and the hint still count.
    const read = await count.innerText();
    await page.goto('/drills');
    await page.getByRole('link', { name: /Go on with the drill that you left/ }).click();
    await expect(page.locator('[data-hint]')).toContainText('Look at');
    await expect(count).toHaveText(read);
    await expect(page.locator('[data-tester]')).toBeVisible();
    await naming.getByLabel('What is wrong').selectOption(hidden.row.name);
    await naming.getByRole('combobox').nth(1).selectOption(hidden.id);
    await page.getByRole('button', { name: 'That is it' }).click();
    const result = page.locator('[data-result]');
    await expect(result).toContainText(/Found\. \d+ of 100 points/);
    await expect(result).toContainText('1 hint');
    await expect(result).toContainText('Fix:');
    await expectClean(page);
    await page.getByRole('link', { name: 'All drills' }).click();
    await expect(page.locator('[data-played] li')).toHaveCount(1);
    await expect(page.getByRole('link', { name: /Go on with the drill/ })).toHaveCount(0);
    await expect(page.getByRole('img', { name: /1 drill, the last/ })).toBeVisible();
    await expectClean(page);
  },
);

test('what is in this wall: the simulator answers, by keyboard alone', { tag: '@once' }, async ({ page }) => {
  const { plan } = planned();
  const drill = wallDrill(plan, 3, 5);
  if (!drill) throw new Error('no drill');
  const truth = wallTruth(drill);
  await page.goto(address('wall', 5, 3));
  await expect(page.locator('[data-answer]')).toContainText('what comes in here?');
  const take = page.getByRole('button', { name: 'Take the reading' });
  await take.focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-count]')).toContainText('1 reading');
  await page.reload();
  await expect(page.locator('[data-count]')).toContainText('1 reading');
  for (const [name, is] of [
    ['A constant hot', truth.hot],
    ['Its neutral', truth.neutral],
    ['A ground to the panel', truth.ground],
  ] as const) {
    await page
      .getByRole('radiogroup', { name })
      .getByRole('radio', { name: is ? 'Yes' : 'No' })
      .focus();
    await page.keyboard.press('Space');
  }
  await page.getByRole('button', { name: 'That is what is here' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-result]')).toContainText('of 100 points');
  await expectClean(page);
});

test('make it up: wrong is explained, a hint says where an end goes, right is energized', async ({
  page,
}) => {
  await page.goto(address('make-up', 3));
  await expect(page.locator('[data-answer]')).toContainText('Make up');
  await page.getByRole('button', { name: 'Energize it' }).click();
  await expect(page.locator('[data-findings]')).toContainText('hangs bare');
  // Follow the hints to the end: each says which end, and where it goes.
  for (let step = 0; step < 40; step++) {
    if (/^Every end/.test(await page.locator('[data-left]').innerText())) break;
    await page.getByRole('button', { name: /A hint/ }).click();
    const hint = await page.locator('[data-hint]').innerText();
    const found = /^The (\S+).* at (.+): on the (.+)\.$/.exec(hint);
    if (!found) throw new Error(hint);
    const [, color = '', place = '', screw = ''] = found;
    const own = page.getByRole('group', { name: `${place}, energized` });
    await own
      .getByRole('button', { name: new RegExp(`^${color}`) })
      .first()
      .click();
    await own.getByRole('button', { name: screw, exact: true }).click();
  }
  const tab = page.getByRole('button', { name: 'whole tab' }).first();
  if (await tab.isVisible()) await tab.click();
  await page.getByRole('button', { name: 'Energize it' }).click();
  await expect(page.locator('[data-result]')).toContainText('It works, in every switch position');
  await expectClean(page);
});

test(
  'a code that is none, and one of a job that is not here, say so and lead back',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/drills');
    await page.getByLabel('Code of a drill').fill('<script>alert(1)</script>');
    await page.getByRole('button', { name: 'Open' }).click();
    await expect(page.locator('#code-wrong')).toContainText('is no drill code');
    await page.goto('/drills/fault-1-1-aaaa-no-such-job');
    await expect(page.getByRole('alert').first()).toContainText('not here');
    await page.goto(`/drills/fault-1-1-0000-${JOB}`);
    await expect(page.getByRole('alert').first()).toContainText('not the one');
    await page.getByRole('link', { name: 'All drills' }).click();
    await expect(page.getByRole('button', { name: 'Start: Find the fault' })).toBeVisible();
  },
);
