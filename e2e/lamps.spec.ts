import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { axe } from './axe';
import { go } from './go';

/** Lamps as things of one's own: their hours, their dimmers, and what follows from them on other pages. */

test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}` });

test('lamps that hang are entered at once; hours are typed, and what is left of the light follows', async ({ page }) => {
  await page.goto('/lamps');
  const rows = page.getByTestId('own-lamp');
  await expect(rows.first()).toBeVisible();
  const before = await rows.count();
  const enter = page.getByRole('button', { name: /^Enter all/ });
  const more = Number((await enter.textContent())!.replace(/\D/g, ''));
  await enter.click();
  await expect(rows).toHaveCount(before + more);
  await page.getByRole('button', { name: /^Undo: enter the lamps/ }).click();
  await expect(rows).toHaveCount(before);

  await page.getByRole('link', { name: /^Shop light, front/ }).click();
  const hours = page.getByRole('textbox', { name: 'Hours burned until today' });
  await hours.fill('50000');
  await hours.press('Enter');
  // It is measured: by readings it stays as it was found, and its fading is at its end.
  await expect(page.getByRole('row', { name: /^70 % of new/ })).toContainText('already');
  await hours.fill('100');
  await hours.press('Enter');
  await expect(page.getByRole('row', { name: /^70 % of new/ })).not.toContainText('already');
  await page.reload();
  await expect(hours).toHaveValue('100');
  const { violations } = await axe(page, 'light').analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
});

test('a dimmed lamp gives and draws less, on the bench and on the bill', async ({ page }) => {
  const perDay = async () => {
    await page.goto('/lamps/bill');
    const row = page
      .getByTestId('bill-stand')
      .first()
      .getByRole('row', { name: /LED linkable bar 1.2 m, white, 24 W, tier 4/ });
    return Number((await row.getByRole('cell').nth(1).textContent())!.trim());
  };
  // Measured at full light: 23.1 W each.
  expect(await perDay()).toBe(46);
  await go(page, '/stands/demo-rack/bench');
  await page.getByTestId('tier-4').click();
  await page.getByRole('button', { name: /^Lamp: 2 × LED linkable bar 1.2 m, white, 24 W, tier 4/ }).click();
  const dimmer = page.getByRole('combobox', { name: 'dimmer' });
  await dimmer.selectOption('0.5');
  await expect(page.getByText('53 % of its light for 55 % of its power')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo: dim the lamp' })).toBeVisible();
  expect(await perDay()).toBeLessThan(40);
});

test('where no hours do, dimmers do: one press sets both, and the hang chart turns them on its visits', async ({ page }) => {
  await page.goto('/stands/demo-stacks/hours');
  const basil = page.getByRole('row', { name: /^Basil/ });
  await expect(basil).toContainText('too much');
  const offer = page.getByTestId('dimmed-times');
  await expect(offer).toContainText(/dim the lamps to \d+ %.*The tray is then in range\./);
  await offer.getByRole('button', { name: 'Set dimmers and hours' }).click();
  await expect(basil).toContainText('in range');
  await expect(offer).toHaveCount(0);
  await page.getByRole('button', { name: /^Undo: dim the lamps and set the hours/ }).click();
  await expect(basil).toContainText('too much');

  await go(page, '/stands/demo-stacks/hanging');
  const visit = page.getByTestId('visit').first();
  await expect(visit).toContainText(/both lamps dimmed to \d+ %/, { timeout: 30_000 });
  const to = Number(/dimmed to (\d+) %/.exec((await visit.textContent())!)![1]);
  await visit.getByRole('button', { name: 'All done' }).click();
  await go(page, '/stands/demo-stacks/bench');
  await page.getByTestId('tier-2').click();
  await page.getByRole('button', { name: /^Lamp: 2 × LED shop light.*tier 2/ }).click();
  await expect(page.getByRole('slider', { name: 'dimmer' })).toHaveValue(String(to));
});

test('the quick check turns a dimmer where nothing suits as it is set', async ({ page }) => {
  await page.goto('/check');
  await page.getByRole('button', { name: /^Lamp/ }).first().click();
  await page.getByRole('tab', { name: 'Its light' }).click();
  await page.getByRole('combobox', { name: 'Dimmer' }).selectOption({ label: 'a knob, freely' });
  await page.getByRole('slider', { name: 'dimmer' }).fill('10');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('button', { name: /^Lamp/ }).first()).toContainText('at 10 %');
  const answer = page.getByTestId('answer');
  await page.getByRole('radio', { name: 'distance' }).click();
  await expect(answer).toContainText('with the dimmer at 100 %');
  await page.getByRole('button', { name: 'Apply the closest setting' }).click();
  await expect(page.getByRole('button', { name: 'Already applied' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Lamp/ }).first()).not.toContainText('at 10 %');
  await page.getByRole('button', { name: /^Undo: apply the answer/ }).click();
  await expect(page.getByRole('button', { name: /^Lamp/ }).first()).toContainText('at 10 %');
});

test('the library is sorted and searched, lamps of it are compared, and one becomes the beginning of one’s own', async ({ page }) => {
  await page.goto('/lamps/library');
  const names = page.getByTestId('lamp-table').getByRole('rowheader');
  await page.getByRole('button', { name: /^Power/ }).click();
  const watts = async () =>
    Promise.all((await page.getByTestId('lamp-table').locator('tbody tr').all()).slice(0, 12).map(async (r) => Number(await r.getByRole('cell').nth(1).textContent()))); // prettier-ignore
  await expect(page.getByRole('columnheader', { name: /^Power/ })).toHaveAttribute('aria-sort', 'ascending');
  expect(await watts()).toEqual([...(await watts())].sort((a, b) => a - b));
  await page.getByRole('searchbox', { name: 'Search lamps' }).fill('linkable bar 1.2 white');
  await expect(names).toHaveCount(2);
  for (const box of await page.getByRole('checkbox').all()) await box.check();
  await page.getByRole('link', { name: 'Compare these 2' }).click();
  await expect(page.getByTestId('compared')).toHaveCount(2, { timeout: 60_000 });

  await go(page, '/lamps/library/led-bar-12-white-24');
  await page.getByRole('button', { name: 'Copy and change' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Keep as my own' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('LED linkable bar 1.2 m, white, 24 W, mine');
  await go(page, '/lamps/library');
  await page.getByRole('searchbox', { name: 'Search lamps' }).fill('mine');
  await expect(names).toHaveCount(1);
});

test('turning and swapping is planned with its effect; what is due while one is away stands on a sheet', async ({ page }) => {
  await page.goto('/stands/demo-rack/hanging');
  await page.locator('summary', { hasText: 'Tier 2' }).click();
  await expect(page.getByTestId('rotation-effect')).toContainText('changing places');
  await page.getByRole('combobox', { name: 'Plan', exact: true }).selectOption('swap');
  await expect(page.locator('summary', { hasText: 'Tier 2' })).toContainText('changing places every 3 days');
  await go(page, '/today/away');
  await expect(page.getByRole('heading', { name: /^Away/, level: 1 })).toBeVisible();
  await expect(page.getByTestId('away-days')).toContainText('Let each tray move on by one place', { timeout: 90_000 });
  await expect(page.getByRole('region', { name: 'Must be safe first' })).toContainText('Map-room rack');
  const { violations } = await axe(page, 'light').analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
});

test('a lamp that is worn out is replaced by a new one, or its place is left empty; either is one step back', async ({ page }) => {
  await page.goto('/lamps');
  await page.getByRole('link', { name: /^Landing lamp/ }).click();
  const burned = page.getByRole('textbox', { name: 'Hours burned until today' });
  await expect(burned).not.toHaveValue('0');
  const used = await burned.inputValue();
  await page.getByRole('button', { name: 'Replace it with a new one' }).click();
  await expect(page.getByText(/retired since /)).toBeVisible();
  const hung = page.locator('section').filter({ has: page.getByRole('heading', { name: /^On the stands/ }) });
  await go(page, '/lamps');
  await hung.getByRole('link', { name: /^Landing lamp/ }).click();
  await expect(burned).toHaveValue('0');
  await page.goBack();
  await page.getByRole('button', { name: /^Undo: replace the lamp/ }).click();
  await hung.getByRole('link', { name: /^Landing lamp/ }).click();
  await expect(burned).toHaveValue(used);
  // Put into the cupboard it leaves a place of which the plan has to know whether anything shines there.
  await page.getByRole('combobox', { name: 'Where it is' }).selectOption('in the cupboard');
  await page.getByRole('button', { name: 'Leave that place empty' }).click();
  await page.getByRole('button', { name: /^Undo: leave its place empty/ }).click();
  await page.getByRole('button', { name: /^Undo: say where the lamp is/ }).click();
  await page.getByRole('button', { name: 'Retire it, and leave its place empty' }).click();
  await expect(page.getByText('The lamp is retired. Nothing hangs in its place now.').first()).toBeVisible();
  await go(page, '/stands/demo-landing/bench');
  await expect(page.getByRole('heading', { name: /^Too little light everywhere/ })).toBeVisible({ timeout: 60_000 });
});

test('a journal goes out, loses an entry, and comes back whole', async ({ page }) => {
  await page.goto('/today/journal');
  const count = page.getByRole('status').filter({ hasText: /^\d+ entries$/ });
  const all = await count.textContent();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'JSON' }).click();
  const text = readFileSync((await (await download).path())!, 'utf8');
  await page.getByRole('button', { name: /^Delete:/ }).first().click(); // prettier-ignore
  await expect(count).not.toHaveText(all!);
  const open = (name: string, content: string) =>
    page.getByLabel('Open a journal: file').setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) });
  await open('broken.json', text.slice(0, 500));
  await expect(page.getByRole('alert').filter({ hasText: 'broken.json' })).toContainText('Nothing here has changed');
  await open('journal.json', text);
  await expect(count).toHaveText(all!);
});

test('what leaves show is written down with its place, and the clinic begins with it', async ({ page }) => {
  await page.goto('/tray/demo-rack-32');
  await page.locator('summary', { hasText: 'Leaves look wrong' }).click();
  await page.getByRole('button', { name: 'front left' }).click();
  await page.getByRole('button', { name: 'Pale', exact: true }).click();
  await expect(page.getByRole('list', { name: 'Written down' })).toContainText('pale, front left');
  await expect(page.getByTestId('so-far')).toContainText('kWh');
  await expect(page.getByTestId('so-far')).toContainText(/Light received\d+ mol\/m², [\d.]+ a day/);
  await go(page, '/clinic');
  await page.getByRole('button', { name: /^Parsley/ }).first().click(); // prettier-ignore
  await expect(page).toHaveURL(/\/clinic\/.+/);
  await expect(page.getByRole('button', { name: /front left/ }).first()).toHaveAttribute('aria-pressed', 'true');
});
