import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { doseInCheck as dose } from './dose';

test.beforeEach(async ({ page }) => {
  await page.goto('/');
  await expect(page.getByTestId('verdict')).toBeVisible();
});

/** Peace lilies under a small bar: a set-up that has an answer. */
async function lilies(page: Page) {
  for (const [part, typed] of [
    ['Crop', 'peace lily'],
    ['Tray', '15 cm pot'],
    ['Lamp', 'linkable bar 0.6 white'],
  ] as const) {
    await page.getByRole('button', { name: new RegExp(`^${part}:`) }).click();
    await page.getByRole('dialog').getByRole('combobox').fill(typed);
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Done' }).click();
  }
}

test('the answer is applied with one press, keeps its word, and is undone with one press', async ({ page }) => {
  await lilies(page);
  const field = page.getByRole('textbox', { name: 'lamp to leaves' });
  await field.fill('180 cm');
  await field.press('Enter');
  // The lamp burns 16 h, and lilies bear 14.
  await expect(page.getByTestId('verdict')).toHaveText(/day is too long/);
  const answer = page.getByTestId('answer');
  await expect(answer).toContainText(/Hang it .* above the leaves/);
  const promised = (await answer.textContent())!
    .match(/weakest spot then gets ([\d.]+), the mean ([\d.]+), the strongest ([\d.]+)/)!
    .slice(1)
    .map(Number);
  await page.getByRole('button', { name: /^Set \d/ }).click();
  await expect(page.getByTestId('verdict')).toHaveText(/Good: the whole tray is in the target range/);
  for (const [i, which] of (['weakest', 'mean', 'strongest'] as const).entries())
    // On the tape and in two digits each.
    expect(Math.abs((await dose(page, which)) - promised[i]!)).toBeLessThan(Math.max(0.06 * promised[i]!, 0.11));
  await page.keyboard.press('Control+z');
  await expect(field).toHaveValue('180 cm');
});

test('what cannot be is said, with the limit that binds and by how much', async ({ page }) => {
  await expect(page.getByTestId('answer')).toContainText('No setting puts the whole tray in the target range');
  await expect(page.getByTestId('limit').first()).toContainText(/gets (at most )?\d+ % of the 10 mol/);
  await page.getByRole('radio', { name: 'DLI', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'mean DLI' })).toHaveValue('14');
});

test('a right reading narrows the band and scales every number', async ({ page }) => {
  const mean = await dose(page, 'mean');
  const width = async () => {
    const [low, high] = (await page
      .getByText(/^\d+(\.\d+)?–\d+(\.\d+)?$/)
      .nth(1)
      .textContent())!
      .split('–')
      .map(Number);
    return (high! - low!) / (await dose(page, 'mean'));
  };
  const before = await width();
  await page.getByRole('button', { name: /^Readings/ }).click();
  await page.getByLabel('it shows').fill('12 klx');
  await page.keyboard.press('Enter');
  const words = await page.getByTestId('calibration').textContent();
  const scale = Number(words!.match(/gives (\d+) %/)![1]) / 100;
  // Unmeasured, it was taken to be half-way through its life, at whose end it gives 70 %.
  await expect.poll(async () => (await dose(page, 'mean')) / mean).toBeCloseTo(scale / Math.sqrt(0.7), 1);
  await expect.poll(width).toBeLessThan(before);
  await page.reload();
  await expect(page.getByTestId('calibration')).toHaveText(words!);
});

test('a reading on the wrong range is questioned, left out, and put right with a press', async ({ page }) => {
  const mean = await dose(page, 'mean');
  await page.getByRole('button', { name: /^Readings/ }).click();
  await page.getByLabel('it shows').fill('1300');
  await page.keyboard.press('Enter');
  await expect(page.getByText('the range switch: it shows too little, by 10 times')).toBeVisible();
  expect(await dose(page, 'mean')).toBe(mean);
  await page.getByRole('button', { name: 'It was 13,000 lx' }).click();
  await expect(page.getByTestId('calibration')).toBeVisible();
  await page.getByRole('button', { name: 'Undo: put a reading right' }).click();
  await expect(page.getByText('This lamp can’t give that. Likely:')).toBeVisible();
  await page.getByLabel('it shows').fill('bright');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/What the meter shows, such as 850 lx/)).toBeVisible();
  await expect(page.getByLabel('it shows')).toHaveValue('bright');
});

test('a lamp of unknown make is right by its readings alone', async ({ page }) => {
  await page.getByRole('button', { name: /^Lamp:/ }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('tab', { name: 'From the label' }).click();
  await sheet.getByRole('textbox', { name: 'name' }).fill('From the attic');
  await sheet.getByRole('radio', { name: /No value: I will measure/ }).click();
  await sheet.getByRole('button', { name: 'Hang this lamp' }).click();
  await sheet.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('button', { name: /^Readings/ }).click();
  await page.getByLabel('Meter', { exact: true }).selectOption('quantum-par');
  await page.getByLabel('it shows').fill('150');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('calibration')).toBeVisible();
  await page.getByRole('radio', { name: 'µmol/m²/s' }).click();
  await page.getByRole('button', { name: /Where these numbers come from/ }).click();
  await expect(page.getByText(/at the middle 15\d,/)).toBeVisible();
});

test('rules of thumb and schools of hours stand beside the answer', async ({ page }) => {
  await page.getByRole('button', { name: /rules of thumb/ }).click();
  await expect(page.getByText(/lm\/m² here; the rule asks for/)).toBeVisible();
  await expect(page.getByRole('img', { name: /Light below the middle by distance/ })).toBeVisible();
  await page.getByRole('button', { name: /^Other ways to set the hours/ }).click();
  await expect(page.getByRole('table', { name: 'Photoperiod strategies' })).toContainText('refused');
  await expect(page.getByText(/continuous light injures these plants \(Velez-Ramirez/)).toBeVisible();
});

test('a set-up goes out as a file and comes back; a broken one changes nothing', async ({ page }) => {
  await page.getByRole('link', { name: 'Stands', exact: true }).click();
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Export everything' }).click()]);
  const text = readFileSync(await download.path(), 'utf8');
  expect(JSON.parse(text)).toMatchObject({ format: 'copper-noon/site', version: 19 });

  const open = (name: string, content: string) =>
    page.getByLabel('File to open').setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) });
  await page.getByRole('button', { name: 'Import', exact: true }).focus();
  await open('mine.json', text);
  const asked = page.getByRole('dialog', { name: 'Import mine.json' });
  await expect(asked).toContainText('It holds 1 set-up, ');
  await asked.getByRole('button', { name: 'Add to what is here' }).click();
  await expect(page.getByRole('button', { name: 'Import', exact: true })).toBeFocused();
  await expect(page.getByRole('listitem').filter({ hasText: 'First set-up' })).toHaveCount(2);
  await open('cut.json', text.slice(0, 700));
  await expect(page.getByRole('dialog', { name: 'cut.json can’t be opened.' })).toContainText('Was it cut short');
  await page.getByRole('button', { name: 'Close' }).click();
  await open('odd.json', text.replace('"seedling"', '"flying"'));
  await expect(page.getByRole('dialog')).toContainText('batches[0].stage: “flying”');
  await page.getByRole('button', { name: 'Close' }).click();
  await open('newer.json', text.replace('"version": 19', '"version": 20'));
  await expect(page.getByRole('dialog')).toContainText('written by a newer version');
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'First set-up' })).toHaveCount(2);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('listitem').filter({ hasText: 'First set-up' })).toHaveCount(1);
});

test('the light map is saved as CSV, and one sheet is printed in both worlds', async ({ page }) => {
  await page.getByRole('button', { name: /^Set-ups/ }).click();
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('menuitem', { name: /light map, CSV/ }).click()]);
  const lines = readFileSync(await download.path(), 'utf8')
    .trimEnd()
    .split('\r\n');
  expect(lines[0]).toBe('x_m,y_m,z_m,ppfd_umol_per_m2_s,dli_mol_per_m2_d');
  expect(lines.length).toBeGreaterThan(1000);
  await page.emulateMedia({ media: 'print' });
  const sheet = page.getByTestId('print-sheet');
  await expect(sheet).toContainText('15 cm (6 in)');
  await expect(sheet).toContainText('Mains power near water');
  expect((await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(1);
});
