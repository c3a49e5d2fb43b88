import { readdirSync, readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { test } from './alive';
import { DEMO_LIST } from '../core/handover/jobs/demo-list';
import { isPhone } from './export-job';

test.use({ locale: 'es-US' });

/** Every word of a language's catalogs, in lower case. */
function wordsOf(language: 'en' | 'es'): Set<string> {
  const words = new Set<string>();
  for (const folder of ['core/base/words', 'app/words'])
    for (const file of readdirSync(`${folder}/${language}`))
      for (const sentence of Object.values(
        JSON.parse(readFileSync(`${folder}/${language}/${file}`, 'utf8')) as Record<string, string>,
      ))
        for (const [word] of sentence.matchAll(/[\p{L}]{2,}/gu)) words.add(word.toLowerCase());
  return words;
}
const spanish = wordsOf('es');
/** Words that are English and not Spanish. Single words that a device bears (LINE, TEST) are both. */
const english = [...wordsOf('en')].filter((word) => !spanish.has(word));

/** All that can be read on a page, or heard. */
const texts = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const found = [document.title];
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walk.nextNode()) {
      const { parentElement, textContent } = walk.currentNode;
      if (!/^(SCRIPT|STYLE)$/.test(parentElement?.tagName ?? '') && !parentElement?.closest('[lang="en"]'))
        found.push(textContent ?? '');
    }
    for (const name of ['aria-label', 'title', 'placeholder', 'alt', 'aria-description'])
      for (const one of document.querySelectorAll(`[${name}]:not([lang="en"])`))
        found.push(one.getAttribute(name) ?? '');
    return found.filter((text) => text.trim() !== '');
  });

/** Nothing on the page is English, what is folded away included; `given`: names that somebody gave. */
async function expectSpanish(page: Page, given: readonly string[] = []): Promise<void> {
  await page.evaluate(() => document.querySelectorAll('details').forEach((one) => (one.open = true)));
  const strange = new RegExp(`(?<![\\p{L}])(${english.join('|')})(?![\\p{L}])`, 'iu');
  const own = (text: string) => given.reduce((rest, name) => rest.replaceAll(name, ''), text);
  expect((await texts(page)).filter((text) => strange.test(own(text)))).toEqual([]);
}

/** Nothing sticks out: not of the page, not of its button, not of its drawing. */
async function expectFits(page: Page): Promise<void> {
  const out = await page.evaluate(() => {
    const found: string[] = [];
    if (document.documentElement.scrollWidth > window.innerWidth) found.push('the page scrolls sideways');
    for (const one of document.querySelectorAll<HTMLElement>(
      'button, a, h1, h2, h3, p, li, dt, dd, legend',
    )) {
      if (one.closest('svg') || getComputedStyle(one).overflowX !== 'visible') continue;
      const own = one.getBoundingClientRect();
      const walk = document.createTreeWalker(one, NodeFilter.SHOW_TEXT);
      while (walk.nextNode()) {
        // What is there for ears alone takes a pixel.
        if ((walk.currentNode.parentElement?.clientWidth ?? 0) === 1) continue;
        const inner = document.createRange();
        inner.selectNodeContents(walk.currentNode);
        const words = inner.getBoundingClientRect();
        if (own.width > 1 && words.width > 0 && (words.right > own.right + 1 || words.left < own.left - 1))
          found.push(`${one.tagName} ${walk.currentNode.textContent}`);
      }
    }
    for (const text of document.querySelectorAll('svg text')) {
      const own = text.getBoundingClientRect();
      const around = text.closest('svg')?.getBoundingClientRect();
      if (around && own.width > 0 && (own.left < around.left - 1 || own.right > around.right + 1))
        found.push(`svg ${text.textContent}`);
    }
    return found;
  });
  expect(out).toEqual([]);
}

const answer = (page: Page) => page.locator('[data-answer]').first();
const stage = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Etapas' }).getByRole('link', { name: new RegExp(`^${name}`) });

test('the first job, from the home page to its record, without an English word', async ({ page }) => {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  // A browser that speaks Spanish is shown Spanish.
  await page.goto('/');
  await expect(page).toHaveURL(/\/es\/$/);
  await expect(page.locator('html')).toHaveAttribute('lang', 'es-US');
  await page.getByRole('link', { name: 'Trabajo nuevo' }).click();
  await expect(page.getByRole('heading', { name: '¿Qué es?' })).toBeVisible();
  await expectSpanish(page);
  await expectFits(page);
  await page.getByRole('link', { name: /^Tomacorriente con una mitad controlada/ }).click();
  await expect(page.getByText('Se da por hecho')).toBeVisible();
  await page.getByLabel('Nombre del trabajo').fill('Lámpara de la sala');
  await expectSpanish(page);
  await expectFits(page);
  await page.getByRole('button', { name: 'Mostrar la conexión' }).click();
  await expect(page.getByRole('group', { name: 'La caja abierta en Tomacorriente' })).toBeVisible();
  await expect(answer(page)).toHaveText(/Jale 1[24]-3, \d+ ft\. Rompa la lengüeta de latón\./);

  // Every stage, with what it folds away.
  for (const name of [
    'Pedido',
    'Averiguar',
    'Distribución',
    'Opciones',
    'Revisar',
    'Conectar',
    'Energizar',
    'Probar',
    'Jornada',
    'Registro',
  ]) {
    await stage(page, name).click();
    await expect(stage(page, name)).toHaveAttribute('aria-current', 'page');
    // Studies run in the background until they have their answer.
    if (name === 'Probar') await expect(answer(page)).toContainText(/errores posibles/);
    if (name === 'Opciones') await expect(page.getByText(/opciones lado a lado/)).toBeVisible();
    if (name === 'Jornada') await expect(answer(page)).toContainText('para una persona');
    if (name === 'Energizar') await expect(answer(page)).toContainText('Verificado');
    await expectSpanish(page);
    await expectFits(page);
  }

  // What is noted is noted in Spanish too.
  await stage(page, 'Conectar').click();
  await page.getByRole('button', { name: /^Marcar: Rompa/ }).click();
  await expect(page.getByRole('button', { name: /^Hecho: Rompa/ })).toBeVisible();
  await stage(page, 'Registro').click();
  await expect(page.getByText(/^Paso marcado/)).toBeVisible();
  await expectSpanish(page);

  // Cautions, keys and what this device is set to.
  await page.getByRole('button', { name: 'Precauciones' }).click();
  await expect(page.getByRole('dialog')).toContainText('Trabaje en un circuito desenergizado.');
  await expectSpanish(page);
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toBeVisible();
  await expectSpanish(page);
  expect(errors).toEqual([]);
});

test('Spanish stays Spanish on every page of the demo house, and fits', async ({ page }) => {
  for (const path of ['/es/tables', '/es/drills', '/es/nothing-here']) {
    await page.goto(path);
    await expect(page.locator('h1')).toBeVisible();
    await expectSpanish(
      page,
      DEMO_LIST.map(({ name }) => name),
    );
    await expectFits(page);
  }
  // Names that somebody gave stay as they were given; what the program says fits beside them.
  for (const path of [
    'lay-out',
    'check',
    'check?view=protection',
    'make-up',
    'energize',
    'take-off',
    'day',
    'brief',
    'plan',
  ]) {
    await page.goto(`/es/job/stair/${path}`);
    await expect(answer(page)).toBeVisible();
    await page.evaluate(() => document.querySelectorAll('details').forEach((one) => (one.open = true)));
    await expectFits(page);
  }
});

test('sheets fit the paper in Spanish', { tag: '@once' }, async ({ page }) => {
  // Letter paper with half an inch around, at 96 px an inch.
  await page.setViewportSize({ width: 720, height: 960 });
  for (const id of ['sunroom-plant-shelf', 'stair', 'laundry-counter', 'den-media-wall']) {
    await page.goto(`/es/job/${id}/print`);
    await expect(page.getByText('Guion de pruebas')).toBeVisible();
    await expect(page.getByText(/Ensayando/)).toHaveCount(0);
    await page.emulateMedia({ media: 'print' });
    await expectFits(page);
    // Of the page nothing is printed but its sheets.
    await expect(page.getByRole('navigation')).toHaveCount(0);
    await expect(page.getByRole('banner')).toHaveCount(0);
    await page.emulateMedia({ media: null });
  }
});

test('the language is chosen on the device, and for one sheet', { tag: '@once' }, async ({ page }) => {
  await page.goto('/es/job/stair/print');
  await expect(page.getByRole('button', { name: /^Imprimir \d+ páginas/ })).toBeVisible();
  // One sheet in English for the inspector: the device still speaks Spanish.
  await page.getByRole('link', { name: 'English' }).click();
  await expect(page).toHaveURL(/\/job\/stair\/print\?in=en$/);
  await expect(page.getByRole('button', { name: /^Print \d+ pages/ })).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Trabajo nuevo' })).toBeVisible();

  // The device is told to speak English from now on, whatever its browser speaks.
  if (isPhone(page)) {
    await page.getByRole('button', { name: 'Más' }).click();
    await page.getByRole('menuitem', { name: 'Pantalla e idioma' }).click();
  } else await page.getByRole('button', { name: 'Pantalla e idioma' }).click();
  await page.getByRole('radio', { name: 'English' }).click();
  await expect(page.getByRole('link', { name: 'New job' })).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('lang', 'en-US');
  await page.goto('/es/tables');
  await expect(page).toHaveURL(/\/tables$/);
  await expect(page.getByRole('heading', { level: 1, name: 'Tables' })).toBeVisible();
});

test('a job is one job in both languages', { tag: '@once' }, async ({ page }) => {
  await page.goto('/es/new?start=half-switched');
  await page.getByLabel('Nombre del trabajo').fill('Recámara');
  await page.getByRole('button', { name: 'Mostrar la conexión' }).click();
  await expect(answer(page)).toContainText('Rompa la lengüeta de latón');
  await page.evaluate(() => localStorage.setItem('language', 'en'));
  await page.goto('/');
  await page.getByRole('link', { name: /^Recámara/ }).click();
  await expect(answer(page)).toContainText('Break the brass tab');
});
