import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { test } from './alive';
import { readPdf } from './read-pdf';
import { unzipSync } from 'fflate';
import { expectClean } from './clean';
import { exportJob, isPhone } from './export-job';
import { stored } from './stored';

/** A JPEG that says where it was taken, as a phone's does. */
async function photoWithPlace(page: Page): Promise<Buffer> {
  const plain = Buffer.from(
    await page.evaluate(() => {
      const canvas = document.createElement('canvas');
      canvas.width = 320;
      canvas.height = 240;
      canvas.getContext('2d')!.fillRect(40, 40, 200, 120);
      return canvas.toDataURL('image/jpeg').split(',')[1]!;
    }),
    'base64',
  );
  const place = Buffer.from('Exif\0\0MM\0*\0\0\0\b\0\0 41.4993N SECRET PLACE', 'latin1');
  const head = Buffer.from([0xff, 0xe1, (place.length + 2) >> 8, (place.length + 2) & 255]);
  return Buffer.concat([plain.subarray(0, 2), head, place, plain.subarray(2)]);
}

test(
  'from the request to the packet: asked, made up, tested, photographed, handed over as a PDF that can be searched',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/hall-console/brief');
    await page.getByLabel('What the customer wants').fill('An outlet below the hall switch, always on');
    await page.getByLabel('What the customer wants').blur();
    await page.getByRole('link', { name: /Record/ }).click();
    await page.getByLabel('Who is working').selectOption('Mara');
    await page.getByRole('link', { name: /Make up/ }).click();
    if (isPhone(page)) await page.getByRole('button', { name: 'Done', exact: true }).click();
    else
      await page
        .getByRole('button', { name: /^Check off:/ })
        .first()
        .click();
    await page.getByRole('link', { name: /^Test/ }).click();
    const card = page.locator('ol [data-test]').first();
    await card.getByRole('button').first().click();
    await expect(card).toHaveAttribute('data-read', 'fits');
    await page.getByRole('link', { name: /Record/ }).click();
    await expect(page.locator('[data-entry="check-off"]')).toContainText('Mara');
    await expect(page.locator('[data-entry="test"]')).toContainText('as it must');
    await page.getByLabel('Add a note').fill('Torqued to 14 in-lb');
    await page.getByRole('button', { name: 'Add note' }).click();
    const note = page.locator('[data-entry="note"]');
    await note.getByRole('button', { name: 'Correct' }).click();
    await note.getByLabel('What it should say').fill('Torqued to 18 in-lb');
    await note.getByRole('button', { name: 'Save the correction' }).click();
    await expect(note).toContainText('Said before: Torqued to 14 in-lb');

    const picture = await photoWithPlace(page);
    await page
      .getByLabel('Choose photos')
      .setInputFiles({ name: 'open-box.jpg', mimeType: 'image/jpeg', buffer: picture });
    const photo = page.locator('[data-photo]');
    await expect(photo).toContainText('320 × 240 px');
    await photo.getByRole('button', { name: 'Mark a cable or conductor' }).click();
    await photo.getByRole('button', { name: 'Tap the photo where it is.' }).click();
    await photo.getByLabel('Conductor').selectOption('white');
    await photo.getByRole('button', { name: 'Add mark' }).click();
    await expect(photo).toContainText('1 · The run from panel to Hall switch, white');
    // The mark lights its conductor in the drawing.
    await photo.getByRole('button', { name: 'Show mark 1 in the drawing' }).click();
    await expect(photo.locator('[data-marked-wire="1"]')).toBeVisible();
    await stored(page);
    const packed = unzipSync(readFileSync(await exportJob(page, 'Export with photos')));
    const [kept] = Object.keys(packed).filter((name) => name.startsWith('photos/'));
    expect(Buffer.from(packed[kept!]!).toString('latin1')).not.toContain('SECRET PLACE');
    expect(picture.toString('latin1')).toContain('SECRET PLACE');
    await photo.getByRole('button', { name: 'Remove photo' }).click();
    await page.getByRole('button', { name: 'Put back' }).click();
    await expect(photo).toContainText('320 × 240 px');
    await stored(page);
    await page.reload();
    await expect(photo.locator('img')).toBeVisible();
    await expectClean(page, ['light']);

    await page.getByRole('link', { name: 'Packet and owner’s sheet' }).click();
    await expect(page.locator('[data-section="cover"]')).toContainText('Verified: works as intended');
    await expectClean(page, ['light']);
    const saving = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as PDF' }).click();
    const bytes = readFileSync(await (await saving).path());
    const pdf = await readPdf(new Uint8Array(bytes));
    const texts: string[] = [];
    for (let number = 1; number <= pdf.numPages; number++) {
      const { items } = await (await pdf.getPage(number)).getTextContent();
      texts.push(
        items
          .map((item) => ('str' in item ? item.str : ''))
          .join(' ')
          .replace(/\s+/g, ' '),
      );
      expect(texts.at(-1)).toContain(`Page ${number} of ${pdf.numPages}`);
    }
    const all = texts.join('\n');
    for (const words of [
      'Hall console',
      'An outlet below the hall switch, always on',
      'As built: Console',
      'Box fill',
      'Verified: works as intended',
      'Torqued to 18 in-lb',
      'Torqued to 14 in-lb (corrected below)',
      'Mara',
      'Panel directory',
      'Kitchen counter, left of the sink',
    ])
      expect(all).toContain(words);
    // The drawing is drawn, not photographed: the letters of its conductors are text.
    expect(texts.find((text) => text.startsWith('As built: Console'))).toMatch(/\bW\b/);
    const outline = await pdf.getOutline();
    expect(outline.map(({ title }) => title)).toEqual(
      expect.arrayContaining([
        'Hall console',
        'Request and plan',
        'Box fill',
        'Load, VA',
        'Test results',
        'Photos',
        'Panel directory',
        'Log',
      ]),
    );

    await page.getByRole('radio', { name: 'The owner' }).click();
    await expect(page.locator('[data-section="owner"]')).toContainText('Press TEST on breaker 9');
    const calendar = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Calendar reminders' }).click();
    expect(readFileSync(await (await calendar).path(), 'utf8')).toContain('RRULE:FREQ=MONTHLY');
  },
);

test('a drawing goes out as SVG and PNG, and stands without the page', { tag: '@once' }, async ({ page }) => {
  await page.goto('/job/stair/packet');
  const drawing = page.locator('[data-drawing]').first();
  const saved = async (name: RegExp) => {
    const saving = page.waitForEvent('download');
    await drawing.getByRole('button', { name }).click();
    return readFileSync(await (await saving).path());
  };
  const svg = (await saved(/as SVG/)).toString();
  expect(svg).not.toMatch(/var\(--|class=|<script/);
  await page.setContent(svg.slice(svg.indexOf('<svg')));
  expect(await page.locator('svg text').count()).toBeGreaterThan(5);
  await page.goto('/job/stair/packet');
  const png = await saved(/as PNG/);
  expect(png.subarray(1, 4).toString()).toBe('PNG');
  expect(png.readUInt32BE(16)).toBeGreaterThan(600);
});
