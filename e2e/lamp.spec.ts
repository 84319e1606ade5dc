import { expect, test, type Page } from '@playwright/test';
import { doseInCheck as dose } from './dose';
import { readFileSync } from 'node:fs';

/** Lamps from files, from maps, with their colour and their age, as a person would bring them in. */

test.beforeEach(async ({ page }) => {
  await page.goto('/');
  await expect(page.getByTestId('verdict')).toBeVisible();
  await page.getByRole('button', { name: /^Lamp:/ }).click();
});

const sheet = (page: Page) => page.getByRole('dialog');
const openFile = (page: Page, label: string, name: string, text: string) =>
  page.getByLabel(`${label}: file`).setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });

test('a lamp goes out as an IES file, comes back as one, and gives the same light', async ({ page }) => {
  const before = await dose(page, 'mean');
  await sheet(page).getByRole('tab', { name: 'Its light' }).click();
  await expect(sheet(page).getByRole('img', { name: /How the lamp spreads its light/ })).toBeVisible();
  const [download] = await Promise.all([page.waitForEvent('download'), sheet(page).getByRole('button', { name: 'Save as IES' }).click()]);
  const text = readFileSync(await download.path(), 'utf8');
  expect(text).toContain('IESNA:LM-63-2002');
  await sheet(page).getByRole('tab', { name: 'From the label' }).click();
  await openFile(page, 'Photometric file', 'mine.ies', text);
  await expect(sheet(page).getByRole('radio', { name: 'as its file says' })).toBeChecked();
  await sheet(page).getByRole('button', { name: 'Hang this lamp' }).click();
  await sheet(page).getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('button', { name: /^Lamp: 1 × LED shop light/ })).toBeVisible();
  await expect.poll(() => dose(page, 'mean')).toBeGreaterThan(0.95 * before);
  expect(await dose(page, 'mean')).toBeLessThan(1.05 * before);
  await page.waitForTimeout(400);
  await page.reload();
  await expect.poll(() => dose(page, 'mean')).toBeGreaterThan(0.95 * before);
});

test('files that can’t be used are refused with the reason, and nothing changes', async ({ page }) => {
  await sheet(page).getByRole('tab', { name: 'From the label' }).click();
  await openFile(page, 'Photometric file', 'odd.ies', 'IESNA:LM-63-1995\nTILT=NONE\n1 1000 1 3 1 2 2 0 0 0\n1 1 20\n0 45 90\n0\n100 80 0');
  await expect(sheet(page).getByRole('alert')).toContainText('odd.ies can’t be used');
  await expect(sheet(page).getByRole('alert')).toContainText('It is of type B');
  await openFile(page, 'Spectrum', 'half.csv', '400,1\n500,2');
  await expect(sheet(page).getByRole('alert')).toContainText('It must cover 400–700 nm');
  await expect(sheet(page).getByRole('radio', { name: 'as its file says' })).toHaveCount(0);
});

test('its own spectrum converts its lumens, and is drawn', async ({ page }) => {
  await sheet(page).getByRole('tab', { name: 'From the label' }).click();
  const check = sheet(page).getByTestId('box-check');
  await expect(check).toContainText('71 lm for each µmol/s');
  // A lamp of one band at 555 nm: 683 lm/W · 0.2155 J/µmol = 147 lm for each µmol/s.
  const rows = Array.from({ length: 421 }, (_, i) => `${380 + i};${Math.exp(-(((380 + i - 555) / 4) ** 2)).toFixed(6)}`);
  await openFile(page, 'Spectrum', 'green.csv', ['nm;power', ...rows].join('\n'));
  await expect(check).toContainText(/14[5-8](\.\d)? lm for each µmol\/s/);
  await sheet(page).getByRole('textbox', { name: 'name' }).fill('Green one');
  await sheet(page).getByRole('button', { name: 'Hang this lamp' }).click();
  await sheet(page).getByRole('tab', { name: 'Its light' }).click();
  await expect(sheet(page).getByRole('img', { name: /Spectrum/ })).toBeVisible();
  await expect(sheet(page)).toContainText('100 % green');
});

test('a published map is pasted and the lamp fitted to it', async ({ page }) => {
  await sheet(page).getByRole('tab', { name: 'From the label' }).click();
  await sheet(page).getByRole('textbox', { name: 'name' }).fill('Leaflet lamp');
  await sheet(page).getByRole('radio', { name: 'panel', exact: true }).click();
  for (const [name, value] of [['lit length', '30 cm'], ['lit width', '30 cm'], ['watts drawn (not “equivalent”)', '100']] as const) {
    await sheet(page).getByRole('textbox', { name }).fill(value);
    await page.keyboard.press('Enter');
  } // prettier-ignore
  await sheet(page)
    .getByRole('button', { name: /PPFD map from the datasheet/ })
    .click();
  const map = sheet(page).getByRole('textbox', { name: /The numbers of the map/ });
  await map.fill('120 180 210 180 120\n160 260 310 260');
  await expect(sheet(page).getByText('line 2: 4 cells where the rows above have 5.')).toBeVisible();
  await map.fill('120 180 210 180 120\n160 260 310 260 160\n120 180 210 180 120');
  await expect(sheet(page).getByRole('radio', { name: 'a map' })).toBeChecked();
  await expect(sheet(page).getByTestId('box-check')).toContainText(/in a beam of \d+°/);
  await sheet(page).getByRole('button', { name: 'Hang this lamp' }).click();
  await expect(page.getByText('Leaflet lamp hangs over your tray.').first()).toBeVisible();
});

test('figures of one box that contradict each other are named', async ({ page }) => {
  await sheet(page).getByRole('tab', { name: 'From the label' }).click();
  const ppf = sheet(page).getByRole('textbox', { name: 'PPF', exact: true });
  await ppf.fill('130');
  await ppf.press('Enter');
  await expect(sheet(page).getByText(/The box contradicts itself: by its PPF it gives 2\.0 times what its lumens say/)).toBeVisible();
  await expect(sheet(page).getByRole('radio', { name: 'PPF' })).toBeChecked();
});

test('at the end of its life the lamp gives less, as one step that is undone', async ({ page }) => {
  const before = await dose(page, 'mean');
  await sheet(page).getByRole('tab', { name: 'Its age' }).click();
  // A lamp of unknown age is taken to be half-way through its life.
  await expect(sheet(page).getByText(/half-way through its life, giving 8\d % of its first light/)).toBeVisible();
  await sheet(page).getByRole('radio', { name: 'new', exact: true }).click();
  await expect.poll(() => dose(page, 'mean')).toBeGreaterThan(before * 1.1);
  const fresh = await dose(page, 'mean');
  await sheet(page).getByRole('radio', { name: 'at the end of its life' }).click();
  await expect.poll(() => dose(page, 'mean')).toBeCloseTo(fresh * 0.7, 1);
  await sheet(page).getByRole('radio', { name: 'as it is now' }).click();
  const hours = sheet(page).getByRole('textbox', { name: 'operating hours so far' });
  await hours.fill('45000');
  await hours.press('Enter');
  await expect(sheet(page).getByText(/After 45,000 h a lamp of its kind still gives \d+ %/)).toBeVisible();
  await sheet(page).getByRole('button', { name: 'Done' }).click();
  await expect.poll(() => dose(page, 'mean')).toBeLessThan(before);
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await expect.poll(() => dose(page, 'mean')).toBe(before);
});

test('what was typed of a lamp is still there after a look elsewhere', async ({ page }) => {
  await sheet(page).getByRole('tab', { name: 'From the label' }).click();
  await sheet(page).getByRole('textbox', { name: 'name' }).fill('Half typed');
  const watts = sheet(page).getByRole('textbox', { name: /watts drawn/ });
  await watts.fill('33');
  await watts.press('Enter');
  await sheet(page).getByRole('tab', { name: 'Its light' }).click();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Lamp:/ }).click();
  await sheet(page).getByRole('tab', { name: 'From the label' }).click();
  await expect(sheet(page).getByRole('textbox', { name: 'name' })).toHaveValue('Half typed');
  await expect(watts).toHaveValue('33');
});
