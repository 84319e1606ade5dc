import { expect, test, type Page } from '@playwright/test';
import { statSync } from 'node:fs';
import { axe } from './axe';
import { go } from './go';

/** Photos at the rack: taken, looked through, measured on, deleted and brought back, carried to another browser. */

test.use({
  baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}`,
  viewport: { width: 390, height: 844 },
  hasTouch: true,
  timezoneId: 'Europe/Lisbon',
});

/** A drawn test picture, 900 × 1200: a white label 400 px tall, a green stem of so many pixels beside it. */
async function picture(page: Page, stem: number): Promise<Buffer> {
  const text = await page.evaluate(async (tall) => {
    const canvas = new OffscreenCanvas(900, 1200);
    const g = canvas.getContext('2d')!;
    g.fillStyle = '#d8d0c0';
    g.fillRect(0, 0, 900, 1200);
    g.fillStyle = '#fff';
    g.fillRect(150, 600, 60, 400);
    g.fillStyle = '#285';
    g.fillRect(520, 1000 - tall, 14, tall);
    const blob = await canvas.convertToBlob({ type: 'image/png' });
    return btoa(String.fromCharCode(...new Uint8Array(await blob.arrayBuffer())));
  }, stem);
  return Buffer.from(text, 'base64');
}

async function openSage(page: Page) {
  await page.goto('/today/journal');
  await page.getByRole('link', { name: 'Sage' }).first().tap();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Sage');
}

async function take(page: Page, stem: number) {
  await page.getByRole('button', { name: 'Photo', exact: true }).tap();
  await page.getByLabel('Picture file').setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: await picture(page, stem) });
  await expect(page.getByRole('dialog')).toHaveCount(0);
}

/** The file that a button gives; pressed once more when nothing comes, as one would. */
async function exported(page: Page, button: string) {
  const press = async (timeout: number) => {
    const [download] = await Promise.all([
      page.waitForEvent('download', { timeout }).catch(() => null),
      page.getByRole('button', { name: button }).tap(),
    ]);
    return download;
  };
  const download = (await press(20_000)) ?? (await press(60_000));
  expect(download, await page.getByRole('region', { name: /notifications/i }).innerText()).not.toBeNull();
  return download!;
}

test('a height is measured on a photo: two taps on a label, two on the plant', async ({ page }) => {
  await openSage(page);
  await take(page, 240);
  await page.getByRole('button', { name: /^Photo of/ }).tap();
  await page.getByRole('button', { name: 'Measure a plant' }).tap();
  const box = (await page.getByRole('application').boundingBox())!;
  for (const [x, y] of [
    [180, 600],
    [180, 1000],
    [527, 1000],
    [527, 760],
  ] as const)
    // prettier-ignore
    await page.touchscreen.tap(box.x + (x / 900) * box.width, box.y + (y / 1200) * box.height);
  // 240 of 400 pixels of a label of 10 cm.
  await expect(page.getByTestId('measure-says')).toContainText(/^(6|5\.9|6\.1) cm ± 0\.\d cm tall/);
  await page.getByRole('button', { name: 'Save the height' }).tap();
  await page.getByRole('button', { name: 'Close' }).tap();
  await expect(page.getByRole('list', { name: 'Written down' })).toContainText(/(6|5\.9|6\.1) cm ± 0\.\d cm tall, measured on a photo/);
  await page.reload();
  await expect(page.getByRole('button', { name: /^Photo of/ })).toBeVisible();
  const { violations } = await axe(page, 'light').analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
});

test('a picture that is none is refused in words; a deleted photo comes back; all goes to another browser in one file', async ({
  page,
  browser,
}) => {
  await openSage(page);
  await page.getByRole('button', { name: 'Photo', exact: true }).tap();
  await page.getByLabel('Picture file').setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert').filter({ hasText: 'Choose a JPEG, PNG or WebP file' })).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).tap();
  await take(page, 100);
  await take(page, 200);
  const thumbs = page.getByRole('button', { name: /^Photo of/ });
  await expect(thumbs).toHaveCount(2);
  await thumbs.last().tap();
  await page.getByRole('button', { name: 'Delete' }).tap();
  await expect(thumbs).toHaveCount(1);
  await page.getByRole('button', { name: 'Undo', exact: true }).last().tap();
  await expect(thumbs).toHaveCount(2);

  await page.goto('/settings/data');
  const download = await exported(page, 'Export with 2 photos');
  const path = await download.path();
  expect(statSync(path).size).toBeGreaterThan(10_000);
  const other = await (await browser.newContext({ baseURL: `http://localhost:${process.env.E2E_PORT}` })).newPage();
  await other.goto('/settings/data');
  await other.getByLabel('File to open').setInputFiles(path);
  await other.getByRole('button', { name: 'Use it instead' }).click();
  await expect(other.getByText(/^Everything is as in .* 2 photos came along\.$/)).toBeVisible();
  await expect(other.getByRole('list', { name: 'Backups' })).toContainText('First set-up'); // what was there before
  await go(other, '/today/journal');
  const found = other.getByRole('button', { name: /^Photo of Sage/ });
  await expect(found).toHaveCount(2);
  await expect(found.first().locator('img')).toBeVisible();
  await other.context().close();
});

test('an entry is corrected, and what stood there is still to be read; a note for next time comes back', async ({ page }) => {
  await openSage(page);
  await page.getByRole('textbox', { name: 'In your own words' }).fill('Sow a week later');
  await page.getByRole('button', { name: 'Next time', exact: true }).tap();
  await expect(page.getByRole('complementary', { name: 'Next time' })).toContainText('Sow a week later');
  await page.locator('summary', { hasText: /^Harvest$/ }).tap();
  await page.getByRole('textbox', { name: 'weighed' }).fill('142');
  await page.getByRole('textbox', { name: 'weighed' }).press('Enter');
  await page.getByRole('button', { name: 'Add harvest' }).tap();
  await page.locator('summary', { hasText: /^Temperature, humidity/ }).tap();
  await page.getByRole('textbox', { name: 'lowest' }).fill('12');
  await page.getByRole('textbox', { name: 'highest' }).fill('12');
  await page.getByRole('textbox', { name: 'lowest' }).fill('');
  await page.getByRole('button', { name: 'Add air' }).tap();
  await page.goto('/today/journal');
  const entry = page.getByRole('list', { name: 'Entries' }).getByRole('listitem').filter({ hasText: 'Harvest, 142 g' });
  await entry.getByRole('button', { name: /^Correct: Sage, Harvest/ }).tap();
  await page.getByRole('textbox', { name: 'Fresh weight' }).fill('124');
  await page.getByRole('textbox', { name: 'Fresh weight' }).press('Tab');
  await page.getByRole('button', { name: 'Save the correction' }).tap();
  const corrected = page.getByRole('list', { name: 'Entries' }).getByRole('listitem').filter({ hasText: 'Harvest, 124 g' });
  await expect(corrected).toContainText('Corrected; it said: Harvest, 142 g');
  const air = page.getByRole('list', { name: 'Entries' }).getByRole('listitem').filter({ hasText: 'Sage: highest 12' });
  await air.getByRole('button', { name: /^Correct: Sage, highest/ }).tap();
  await page.getByRole('textbox', { name: 'highest' }).fill('21');
  await page.getByRole('textbox', { name: 'lowest' }).fill('22');
  await page.getByRole('textbox', { name: 'lowest' }).press('Tab');
  await expect(page.getByText('The lowest is above the highest. Swap them.')).toBeVisible();
  await page.getByRole('textbox', { name: 'lowest' }).fill('12');
  await page.getByRole('textbox', { name: 'lowest' }).press('Tab');
  await page.getByRole('button', { name: 'Save the correction' }).tap();
  const mended = page.getByRole('list', { name: 'Entries' }).getByRole('listitem').filter({ hasText: 'Sage: 12 °C to 21 °C' });
  await expect(mended).toContainText('Corrected; it said: highest 12 °C');
});
