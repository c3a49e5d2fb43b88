import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { jsPDF, type jsPDFOptions } from 'jspdf';
import { test } from './alive';
import { exportJob, isPhone } from './export-job';
import { stored } from './stored';

const BARE = '/job/attic-hatch-switch/plan';
const STAIR = '/job/stair/plan';

type Point = readonly [x: number, y: number];
interface Kept {
  readonly design: {
    readonly rooms: readonly {
      name: string;
      wallsFt: number[];
      openings: { kind: string; wall: number }[];
    }[];
    readonly boxes: readonly { id: string; spot: { wall: number; alongFt: number } | null }[];
    readonly runs: readonly { id: string; route: string; lengthFt?: number }[];
    readonly sheets: readonly { name: string; picture: { id: string } | null }[];
    readonly panelAt: object | null;
  };
  readonly record: {
    readonly brief: { readonly lines: { says: string; stamped: string | null; pin: object | null }[] };
  };
}
const kept = async (page: Page): Promise<Kept> => {
  await stored(page);
  return JSON.parse(readFileSync(await exportJob(page), 'utf8')) as Kept;
};

/** A sheet drawn by the test: a room of 14 by 11 ft in a frame of 40 by 30, seen by a lens that stands askew. */
const [WIDE, HIGH] = [1600, 1200];
const eye = ([xFt, yFt]: Point): Point => {
  const [x, y] = [xFt - 20, yFt - 15];
  const [c, s] = [Math.cos(0.06), Math.sin(0.06)];
  const [tx, ty] = [x * c - y * s, x * s + y * c];
  const far = 60 / (60 + 0.3 * ty - 0.15 * tx);
  return [WIDE / 2 + tx * far * 27, HIGH / 2 + ty * 0.95 * far * 27];
};
const FRAME: readonly Point[] = [
  [0, 0],
  [40, 0],
  [40, 30],
  [0, 30],
];
const ROOM: readonly Point[] = [
  [6, 8],
  [20, 8],
  [20, 19],
  [6, 19],
];

async function askew(page: Page): Promise<Buffer> {
  const drawn = [FRAME, ROOM].map((shape) => shape.map(eye));
  const data = await page.evaluate(
    ([shapes, wide, high]) => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [wide, high];
      const ink = canvas.getContext('2d')!;
      ink.fillStyle = '#f4f1e8';
      ink.fillRect(0, 0, wide, high);
      ink.lineWidth = 3;
      for (const shape of shapes) {
        ink.beginPath();
        for (const [x, y] of shape) ink.lineTo(x, y);
        ink.closePath();
        ink.stroke();
      }
      return canvas.toDataURL('image/jpeg', 0.9).split(',')[1]!;
    },
    [drawn, WIDE, HIGH] as const,
  );
  return Buffer.from(data, 'base64');
}

/** Taps a point of the picture, as a finger or a mouse does. */
async function tap(page: Page, [x, y]: Point): Promise<void> {
  // There is nothing to tap before the picture is read.
  await expect(page.locator('[data-surface] :is(image, path)').first()).toBeAttached();
  const at = await page.locator('svg[data-sheet]').evaluate(
    (svg, [px, py]) => {
      const own = svg as SVGSVGElement;
      own.scrollIntoView({ block: 'center' });
      const seen = new DOMPoint(px, py).matrixTransform(own.getScreenCTM()!);
      return [seen.x, seen.y] as const;
    },
    [x, y] as const,
  );
  if (isPhone(page)) await page.touchscreen.tap(at[0], at[1]);
  else await page.mouse.click(at[0], at[1]);
}
async function tool(page: Page, name: string): Promise<void> {
  if (isPhone(page))
    await page.getByRole('combobox', { name: 'What a tap means' }).selectOption({ label: name });
  else
    await page
      .getByRole('group', { name: 'What a tap means' })
      .getByRole('button', { name, exact: true })
      .click();
}
const near = (is: number | undefined, was: number) =>
  expect(Math.abs((is ?? 0) - was)).toBeLessThanOrEqual(Math.max(was / 100, 2 / 12));

test('a photo taken askew is straightened by its frame, traced, tapped and measured', async ({ page }) => {
  await page.goto(BARE);
  await page.getByLabel('Picture or PDF').setInputFiles({
    name: 'attic.jpg',
    mimeType: 'image/jpeg',
    buffer: await askew(page),
  });
  await expect(page.locator('[data-answer]')).toHaveText('Say one length on the sheet first.');
  await tool(page, 'Straighten');
  for (const corner of FRAME) await tap(page, eye(corner));
  await page.getByLabel('Upper side').fill('40');
  await page.getByLabel('Other side').fill('thirty');
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(page.getByRole('alert').filter({ hasText: '▲' })).toBeVisible();
  await page.getByLabel('Other side').fill(`30'`);
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  // A second length, across the first.
  await tap(page, eye(FRAME[1]!));
  await tap(page, eye(FRAME[2]!));
  await page.getByLabel('How far apart').fill(`30'0"`);
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(page.getByText(/It fits: the sheet shows/)).toBeVisible();

  await tool(page, 'Room');
  for (const corner of ROOM) await tap(page, eye(corner));
  await page.getByLabel('Name', { exact: true }).fill('Attic');
  await page.getByRole('button', { name: /Close the room with 4/ }).click();
  await tool(page, 'Door, window');
  await tap(page, eye([9, 8]));
  await tap(page, eye([11.67, 8]));
  await page.getByRole('button', { name: 'Put it there' }).click();
  await expect(page.getByText(/Door of 2′-/)).toBeVisible();
  await tool(page, 'Box');
  await page.getByLabel('Which box').selectOption({ label: 'Attic hatch' });
  await tap(page, eye([19.5, 12]));
  await page.getByRole('button', { name: 'Attic hatch is there' }).click();
  await tap(page, eye([10, 13]));
  await page.getByRole('button', { name: 'Attic light is there' }).click();
  // A symbol that is in no list yet is a box.
  await page.getByLabel('Which box').selectOption({ label: 'A new box' });
  await tap(page, eye([13, 18.6]));
  await page.getByLabel('Fed from').selectOption({ label: 'Attic light' });
  await page.getByRole('button', { name: 'Outlet', exact: true }).click();
  await tool(page, 'Panel');
  await tap(page, eye([30, 25]));
  await page.getByRole('button', { name: 'The panel is there' }).click();
  await page.getByRole('button', { name: 'Take lengths from the sheet' }).click();

  const { design } = await kept(page);
  const [attic] = design.rooms.filter(({ name }) => name === 'Attic');
  [14, 11, 14, 11].forEach((ft, wall) => near(attic?.wallsFt[wall], ft));
  expect(attic?.openings).toMatchObject([{ kind: 'door', wall: 0 }]);
  const hatch = design.boxes.find(({ id }) => id === 'hatch')?.spot;
  expect(hatch?.wall).toBe(1);
  near(hatch?.alongFt, 4);
  expect(design.boxes.at(-1)?.spot?.wall).toBe(2);
  expect(design.panelAt).not.toBeNull();
  // Measured by its route: the file leaves the length out.
  expect(design.runs.at(-1)).toMatchObject({ route: 'over' });
  expect(design.runs.at(-1)?.lengthFt).toBeUndefined();
});

test('the stair: all call-outs are met; one made false is found by its pin, settled with a tap, or stamped', async ({
  page,
}) => {
  await page.goto(STAIR);
  await expect(page.locator('[data-answer]')).toHaveText('5 of 5 plan lines met, 5 pinned.');
  await expect(page.locator('svg[data-sheet] image')).toBeVisible();
  await page.goto('/job/stair/brief');
  await page.getByLabel('Ground pin').getByRole('radio', { name: 'Up' }).click();
  await stored(page);
  await page.getByRole('link', { name: 'The sheet, with its call-outs pinned' }).click();
  await expect(page.locator('[data-answer]')).toHaveText(/One of 5 plan lines not met/);
  const pin = page.locator('svg[data-sheet]').getByRole('button', { name: '5: ground pins down, not met' });
  await pin.click();
  await expect(page.getByText('ground pins are up')).toBeVisible();
  await page.getByRole('button', { name: 'Set the ground pins down' }).click();
  await expect(page.locator('[data-answer]')).toHaveText('5 of 5 plan lines met, 5 pinned.');
  await page.getByRole('banner').getByRole('button', { name: /Undo/ }).first().click();
  await expect(page.locator('[data-answer]')).toHaveText(/One of 5 plan lines not met/);
  await page.getByLabel('The plan was changed, stamped on').fill('2026-05-29');
  await page.getByRole('button', { name: 'Take that as the plan' }).click();
  await expect(page.getByText('the plan was stamped anew on 2026-05-29: ground pins are up')).toBeVisible();
  await expect(page.locator('[data-answer]')).toHaveText('5 of 5 plan lines met, 5 pinned.');

  // A call-out more, pinned beside the box it is about.
  await tool(page, 'Pin a call-out');
  await tap(page, [560, 210]);
  await page.getByLabel('What it asks').selectOption({ label: 'height' });
  await expect(page.getByRole('combobox', { name: 'Box', exact: true })).toHaveValue('stair-foot');
  await page.getByLabel('Height, in').fill('48');
  await page.getByRole('button', { name: 'Pin it', exact: true }).click();
  await expect(page.locator('[data-answer]')).toHaveText('5 of 6 plan lines met, 6 pinned, 1 to decide.');
  const { record } = await kept(page);
  expect(record.brief.lines.at(-1)).toMatchObject({ says: 'Stair foot: 48 in high', pin: { sheet: 'e-1' } });
  expect(record.brief.lines.find(({ says }) => says === 'ground pins down')?.stamped).toBe('2026-05-29');
});

test(
  'a page of a PDF; one that is locked, broken or none is told, and nothing is lost',
  { tag: '@once' },
  async ({ page }) => {
    const pdf = (options: jsPDFOptions = {}) => {
      const doc = new jsPDF({ unit: 'in', format: [36, 24], orientation: 'landscape', ...options });
      doc.text('Cover', 3, 3);
      doc.addPage([36, 24], 'landscape').setLineWidth(0.05).rect(4, 4, 7, 5.5);
      return Buffer.from(doc.output('arraybuffer'));
    };
    const give = (name: string, buffer: Buffer) =>
      page.getByLabel('Picture or PDF').setInputFiles({ name, mimeType: 'application/pdf', buffer });
    await page.goto(BARE);
    for (const [name, buffer, says] of [
      [
        'locked.pdf',
        pdf({ encryption: { userPassword: 'a', ownerPassword: 'b' } }),
        'locked with a password',
      ],
      ['broken.pdf', Buffer.from('%PDF-1.7 and no more'), 'no PDF that can be read'],
      ['text.pdf', Buffer.from('<svg onload="alert(1)">'), 'locked|picture|JPEG'],
    ] as const) {
      await give(name, buffer);
      await expect(page.getByText(new RegExp(`${name}.*(${says})`)).first()).toBeVisible();
    }
    await expect(page.locator('[data-answer]')).toHaveText('No sheet is on the table yet.');
    await give('plans.pdf', pdf());
    const dialog = page.getByRole('dialog');
    await expect(dialog.getByRole('status')).toHaveText('Page 1 of 2');
    await dialog.getByRole('button', { name: 'Next page' }).click();
    await expect(dialog.getByRole('status')).toHaveText('Page 2 of 2');
    await dialog.getByRole('button', { name: 'Take this page' }).click();
    await expect(page.locator('svg[data-sheet] image')).toBeVisible();
    // Half an inch to the foot: the rectangle of 7 by 5.5 in is 14 by 11 ft; 36 in are 4096 pixels.
    const px = (x: number, y: number): Point => [(x * 4096) / 36, (y * 4096) / 36];
    await tap(page, px(4, 4));
    await tap(page, px(11, 4));
    await page.getByLabel('How far apart').fill('14');
    await page.getByRole('button', { name: 'Set', exact: true }).click();
    await tool(page, 'Room');
    for (const corner of [px(4, 4), px(11, 4), px(11, 9.5), px(4, 9.5)]) await tap(page, corner);
    await page.getByRole('button', { name: /Close the room with 4/ }).click();
    const { design } = await kept(page);
    [14, 11, 14, 11].forEach((ft, wall) => near(design.rooms[0]?.wallsFt[wall], ft));
    expect(design.sheets).toMatchObject([{ name: 'plans' }]);
  },
);

test(
  'a plan of one’s own by keyboard on an empty sheet, and by pulling rectangles; it goes out and comes in with its pictures',
  { tag: '@once' },
  async ({ page, browser, baseURL }) => {
    await page.goto(BARE);
    await page.getByRole('button', { name: 'Draw on an empty sheet' }).click();
    await tool(page, 'Room');
    const surface = page.locator('[data-surface]');
    await surface.focus();
    // The crosshair starts in the middle; each corner is some steps along the grid.
    await surface.press('Enter');
    for (const [key, times] of [
      ['ArrowRight', 9],
      ['ArrowDown', 6],
      ['ArrowLeft', 9],
    ] as const) {
      for (let step = 0; step < times; step++) await surface.press(key);
      await surface.press('Enter');
    }
    await page.getByRole('button', { name: /Close the room with 4/ }).click();
    await tool(page, 'Rectangle');
    const box = await page.locator('svg[data-sheet]').boundingBox();
    const at = (part: Point): Point => [box!.x + box!.width * part[0], box!.y + box!.height * part[1]];
    await page.mouse.move(...at([0.3, 0.2]));
    await page.mouse.down();
    await page.mouse.move(...at([0.4, 0.4]), { steps: 4 });
    await page.mouse.up();
    await page.getByRole('button', { name: 'Make it a room' }).click();
    const { design } = await kept(page);
    const drawn = design.rooms.slice(-2);
    for (const { wallsFt } of drawn) {
      expect(wallsFt).toHaveLength(4);
      expect(wallsFt[0]).toBe(wallsFt[2]);
      for (const ft of wallsFt) expect(Number.isInteger(ft * 2)).toBe(true);
    }

    await page.goto(STAIR);
    const zip = await exportJob(page, 'Export with photos');
    const other = await (
      await browser.newContext({ baseURL: baseURL ?? '', serviceWorkers: 'block' })
    ).newPage();
    await other.goto('/');
    await other.locator('[data-standing]').waitFor({ state: 'detached' });
    await other.getByLabel('File to import').setInputFiles(zip);
    await other.getByRole('alertdialog').getByRole('button', { name: 'Import', exact: true }).click();
    await other.waitForURL(/lay-out/);
    await other.goto(other.url().replace(/lay-out.*/, 'plan'));
    await expect(other.locator('svg[data-sheet] image')).toBeVisible();
    await expect(other.locator('[data-answer]')).toHaveText('5 of 5 plan lines met, 5 pinned.');
  },
);
