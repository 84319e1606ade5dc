import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { toBuffer } from 'qrcode';
import { axe } from './axe';
import { go } from './go';

/** A day's walk with a phone in the hand: what is to be done, ticked by thumb; what is seen is written down, and found again. */

test.use({
  baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}`,
  viewport: { width: 390, height: 844 },
  hasTouch: true,
  timezoneId: 'Europe/Lisbon',
});

const jobs = (page: Page) => page.getByRole('list', { name: 'Jobs of today' });
const settled = (page: Page) => expect(page.getByText(/^Working out/)).toHaveCount(0, { timeout: 120_000 });
const open = async (page: Page) => Number(/^(\d+) job/.exec((await page.getByRole('heading', { level: 1 }).textContent())!)?.[1] ?? 0);

test('jobs stand in the order of the walk; they are done, put off and undone by thumb', async ({ page }) => {
  await page.goto('/today');
  await settled(page);
  const before = await open(page);
  expect(before).toBeGreaterThan(4);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);

  // The parsley has not been thinned: the reason is one press away, the tick is thumb-sized.
  const thin = jobs(page).getByRole('listitem').filter({ hasText: 'Thin Parsley' });
  await thin.getByRole('button', { name: /^Thin Parsley/ }).tap();
  await expect(thin).toContainText('neighbours shade each other');
  const tick = thin.getByRole('checkbox', { name: /^Done: Thin Parsley/ });
  expect((await tick.boundingBox())!.height).toBeGreaterThanOrEqual(44);
  await tick.tap();
  await expect(tick).toBeChecked();
  await expect.poll(() => open(page)).toBe(before - 1);

  // One is put off until tomorrow, and comes back by Undo.
  const water = jobs(page).getByRole('listitem').filter({ hasText: 'water of Leek' });
  await water.getByRole('button', { name: /water of Leek/ }).tap();
  await expect(water).toContainText('about every 3 days');
  await water.getByRole('button', { name: 'Later' }).tap();
  await expect(water).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).last().tap();
  await expect(water).toHaveCount(1);

  // Basil is up: the job is done, and the batch knows.
  const basil = jobs(page).getByRole('listitem').filter({ hasText: 'seedlings of Basil' });
  await basil.getByRole('button', { name: 'Up', exact: true }).tap();
  await expect(page.getByText('Up: noted. Lamp on, cover and mat off.', { exact: true })).toBeVisible();

  // Potted on, the batch stands in other trays: the bench knows them.
  await jobs(page)
    .getByRole('checkbox', { name: /^Done: Pot on Physalis/ })
    .tap();
  await expect(
    page.getByText('Physalis is potted on. Its trays on the bench are now: 50-cell insert in a 1020 flat.', { exact: true }),
  ).toBeVisible();

  // All of it is in the journal, and stays there.
  await go(page, '/today/journal');
  const entries = page.getByRole('list', { name: 'Entries' });
  await expect(entries).toContainText('Parsley: Thinned');
  await expect(entries).toContainText('Basil: up');
  await page.getByRole('searchbox', { name: 'Search' }).fill('lean right');
  await expect(entries.getByRole('listitem')).toHaveCount(1);
  await expect(entries).toContainText(/day \d+ since it came up/);
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'CSV' }).tap()]);
  expect(readFileSync(await download.path(), 'utf8')).toContain('trouble');
});

test('what is seen of a tray is written with one press and a few words, dated back, and can be deleted', async ({ page }) => {
  await page.goto('/today/journal');
  await page.getByRole('link', { name: 'Sage' }).first().tap();
  await expect(page).toHaveURL(/\/tray\//);
  await page.getByRole('button', { name: 'Watered', exact: true }).tap();
  await page.getByRole('textbox', { name: 'In your own words' }).fill('Lower leaves pale');
  await page.getByRole('button', { name: 'Trouble', exact: true }).tap();
  const written = page.getByRole('list', { name: 'Written down' });
  await expect(written).toContainText('Trouble: Lower leaves pale');
  await expect(page.getByRole('textbox', { name: 'In your own words' })).toHaveValue('');
  await page.locator('summary', { hasText: /^Harvest$/ }).tap();
  await page.getByRole('textbox', { name: 'weighed' }).fill('42');
  await page.getByRole('textbox', { name: 'weighed' }).press('Enter');
  await page.getByRole('button', { name: 'Add harvest' }).tap();
  await expect(written).toContainText('Harvest, 42 g');
  await page.reload();
  await expect(written).toContainText('Trouble: Lower leaves pale');
  await go(page, '/today/journal');
  await page.getByRole('button', { name: /Delete: Sage, Trouble/ }).tap();
  const entries = page.getByRole('list', { name: 'Entries' });
  await expect(entries).not.toContainText('Lower leaves pale');
  // The last of it is cut: its tray makes room on the shelves, the journal keeps it.
  await page.getByRole('link', { name: 'Sage' }).first().tap();
  await page.locator('summary', { hasText: /^Harvest$/ }).tap();
  await page.getByRole('textbox', { name: 'weighed' }).fill('97');
  await page.getByRole('textbox', { name: 'weighed' }).press('Enter');
  await page.getByRole('checkbox', { name: /^This was the last harvest/ }).check();
  await page.getByRole('button', { name: 'Add harvest' }).tap();
  await expect(entries).toContainText('Sage: Harvest, 97 g');
  await expect(entries).toContainText('Moved or turned: off the shelves');
  await go(page, '/stands');
  await expect(page.getByRole('cell', { name: 'Leek', exact: true })).toBeVisible();
  await expect(page.getByRole('cell', { name: 'Sage', exact: true })).toHaveCount(0);
});

test('air written down for a whole stand is told on each of its trays with what it does to the stems', async ({ page }) => {
  await page.goto('/today/journal');
  await page.getByRole('link', { name: 'Sage' }).first().tap();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Sage');
  await page.locator('summary', { hasText: 'Temperature, humidity' }).tap();
  await page.getByRole('textbox', { name: 'lowest' }).fill('25');
  await page.getByRole('textbox', { name: 'highest' }).fill('27');
  await page.getByRole('checkbox', { name: /the same for all on Map-room rack/ }).check();
  await page.getByRole('button', { name: 'Add air' }).tap();
  await expect(page.getByTestId('air-word')).toContainText('Nights of 25 °C are warm for this crop');
  await go(page, '/today/journal');
  await page.getByRole('link', { name: 'Parsley' }).first().tap();
  await expect(page.getByTestId('air-word')).toContainText('are warm for this crop');
});

test('a label is scanned: a picture of its code leads to its tray; other codes and other pictures are refused in words', async ({
  page,
}) => {
  await page.goto('/today/journal');
  const href = (await page.getByRole('link', { name: 'Sage' }).first().getAttribute('href'))!;
  await go(page, '/today');
  await page.getByRole('button', { name: 'Scan a label' }).tap();
  const picture = page.getByLabel('Picture of a label');
  const code = async (text: string) =>
    picture.setInputFiles({ name: 'c.png', mimeType: 'image/png', buffer: await toBuffer(text, { scale: 6 }) });
  const said = page.getByRole('dialog').getByRole('alert');
  await code('https://elsewhere.example/');
  await expect(said).toHaveText('This code is not of a tray label.');
  await code('http://localhost/tray/none');
  await expect(said).toContainText('a tray that is not in this browser');
  await picture.setInputFiles({ name: 'c.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(said).toContainText('This file is not a picture');
  await code(`http://my-computer:4310${href}`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Sage');
});

test('axe finds nothing wrong with Today and the journal', async ({ page }) => {
  for (const path of ['/today', '/today/journal']) {
    await go(page, path);
    if (path === '/today') await settled(page);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.waitForTimeout(200);
    const { violations } = await axe(page, 'light').analyze();
    expect(violations.map((v) => `${path} ${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
  }
});
