import { wrongInBoth } from './axe';
import { go } from './go';
import { expect, test, type Page } from '@playwright/test';
import { doseInCheck as dose } from './dose';

/** The first visit, walked as a person would: choose, look, drag, come back. */

const lamp = (page: Page) => page.getByRole('slider', { name: 'Distance from lamp to leaves' });

/** Colour of the slice's picture at a share of its width and height from the top left. */
const pixel = (page: Page, x: number, y: number) =>
  page.getByTestId('slice').evaluate(
    (canvas, at) => {
      const c = canvas as HTMLCanvasElement;
      return [
        ...c
          .getContext('2d')!
          .getImageData(Math.floor(at.x * c.width), Math.floor(at.y * c.height), 1, 1)
          .data.slice(0, 3),
      ];
    },
    { x, y },
  );

test.beforeEach(async ({ page }) => {
  await page.goto('/');
  await expect(page.getByTestId('verdict')).toBeVisible();
});

async function choose(page: Page, part: 'Crop' | 'Tray' | 'Lamp', typed: string) {
  await page.getByRole('button', { name: new RegExp(`^${part}:`) }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('combobox').fill(typed);
  await page.keyboard.press('Enter');
  return sheet;
}

test('from the first visit to a verdict of one’s own, with a reload in the middle', async ({ page }) => {
  let sheet = await choose(page, 'Crop', 'celery');
  await sheet.getByRole('radio', { name: 'growing on' }).click();
  await sheet.getByRole('button', { name: 'Done' }).click();
  sheet = await choose(page, 'Tray', 'half');
  await sheet.getByRole('button', { name: 'Done' }).click();
  sheet = await choose(page, 'Lamp', 'clip');
  await sheet.getByRole('button', { name: 'lamps side by side: one more' }).click();
  await sheet.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('button', { name: /^Crop: Celery, growing on/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Tray: 1 × Half|^Tray: 2 × Half/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Lamp: 2 × .*clip/i })).toBeVisible();

  const mean = await dose(page, 'mean');
  const before = await page.getByTestId('verdict').textContent();
  await page.reload();
  await expect(page.getByTestId('verdict')).toHaveText(before!);
  expect(await dose(page, 'mean')).toBe(mean);
  await expect(page.getByRole('button', { name: /^Lamp: 2 × .*clip/i })).toBeVisible();
});

test('dragging the lamp down makes dose, picture and verdict follow, as one step of undo', async ({ page }) => {
  const before = await dose(page, 'strongest');
  const sky = await pixel(page, 0.5, 0.55);
  const box = (await lamp(page).boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 1; i <= 12; i++) await page.mouse.move(x, y + i * 3);
  await page.mouse.up();
  await expect(lamp(page)).not.toHaveAttribute('aria-valuetext', '15 cm');
  await expect.poll(() => dose(page, 'strongest')).toBeGreaterThan(before * 1.2);
  await expect.poll(() => pixel(page, 0.5, 0.55)).not.toEqual(sky);
  await page.getByRole('button', { name: 'Undo: move the lamp' }).click();
  await expect(lamp(page)).toHaveAttribute('aria-valuetext', '15 cm');
  await expect.poll(() => dose(page, 'strongest')).toBe(before);
});

test('the lamp moves by arrow keys, and by a number typed in either world', async ({ page }) => {
  await lamp(page).focus();
  await page.keyboard.press('ArrowUp');
  await expect(lamp(page)).toHaveAttribute('aria-valuetext', '16 cm');
  const field = page.getByRole('textbox', { name: 'lamp to leaves' });
  await field.fill('12in');
  await field.press('Enter');
  await expect(field).toHaveValue('30.5 cm');
  await field.fill('far');
  await field.press('Enter');
  await expect(page.getByText('A length, such as 30 cm or 12in.')).toBeVisible();
  await expect(field).toHaveValue('far');
  await field.press('Escape');
  await expect(field).toHaveValue('30.5 cm');
});

test('the wheel never moves the page away to an empty place', async ({ page }) => {
  await page.mouse.move(300, 400);
  await page.mouse.wheel(0, 900);
  await page.waitForTimeout(200);
  expect(await page.evaluate(() => window.scrollY)).toBe(0);
});

test('half the hours are half the dose and half the cost', async ({ page }) => {
  const before = await dose(page, 'mean');
  await expect(page.getByTestId('cost-day')).toHaveText('£0.17'); // 42 W × 16 h × £0.25
  const off = page.getByRole('textbox', { name: 'lamp off' });
  await off.fill('14:00');
  await off.press('Enter');
  await expect(page.getByTestId('hours')).toHaveText('8 h a day');
  await expect.poll(() => dose(page, 'mean')).toBeCloseTo(before / 2, 1);
  await expect(page.getByTestId('cost-day')).toHaveText('£0.084');
  await page.getByRole('slider', { name: 'Lamp off' }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('hours')).toHaveText('8 h 15 a day');
});

test('a lamp typed from its box is hung, kept and checked against physics', async ({ page }) => {
  await page.getByRole('button', { name: /^Lamp:/ }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('tab', { name: 'From the label' }).click();
  // Left empty, it is named by its figures.
  await expect(sheet.getByRole('textbox', { name: 'name' })).toHaveAttribute('placeholder', /^LED bar .*, \d+ W$/);
  const watts = sheet.getByRole('textbox', { name: /watts drawn/ });
  await watts.fill('20');
  await watts.press('Enter');
  const lumens = sheet.getByRole('textbox', { name: 'lumens' });
  await lumens.fill('20000');
  await lumens.press('Enter');
  await expect(sheet.getByText(/physics allows 4\.\d+ at most/)).toBeVisible();
  // What is wrong comes into view, whatever was looked at.
  await sheet.getByRole('button', { name: 'Hang this lamp' }).click();
  await expect(sheet.getByRole('alert').first()).toBeInViewport();
  await sheet.getByRole('textbox', { name: 'name' }).fill('Attic bar');
  await lumens.fill('2000');
  await lumens.press('Enter');
  await expect(sheet.getByTestId('box-check')).toContainText('28.2 µmol/s'); // 2000 lm at 5000 K: 71 lm for each µmol/s
  await sheet.getByRole('button', { name: 'Hang this lamp' }).click();
  await sheet.getByRole('button', { name: 'Done' }).click();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Lamp: 1 × Attic bar' })).toBeVisible();
});

test('pale sides give the edges light, stand in the picture, and are kept', async ({ page }) => {
  const weakest = await dose(page, 'weakest');
  await page.getByRole('button', { name: 'Place: in the open' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('radio', { name: 'white all round' }).click();
  await sheet.getByRole('combobox', { name: /^front/ }).selectOption({ label: 'open' });
  const depth = sheet.getByRole('textbox', { name: 'depth' });
  await depth.fill('50 cm');
  await depth.press('Enter');
  await sheet.getByRole('button', { name: 'Done' }).click();
  await expect.poll(() => dose(page, 'weakest')).toBeGreaterThan(1.2 * weakest);
  await page.getByRole('button', { name: /Where these numbers come from/ }).click();
  await expect(page.getByText('wall reflectance')).toBeVisible();
  const after = await dose(page, 'weakest');
  await page.waitForTimeout(400);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Place: white card or foam board on 4 sides' })).toBeVisible();
  await expect.poll(() => dose(page, 'weakest')).toBe(after);
  // Under a lid the lamp cannot hang above it: 45 cm clear, 5.5 cm of tray and leaves.
  const field = page.getByRole('textbox', { name: 'lamp to leaves' });
  await field.fill('90 cm');
  await field.press('Enter');
  await expect(page.getByText(/^Enter a length between .* and \d\d(\.\d)? cm/)).toBeVisible();
});

test('two changes in one breath both stand, however busy the page is', async ({ page }) => {
  await page.getByRole('button', { name: 'Place: in the open' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('combobox', { name: /^back/ }).waitFor();
  await sheet.evaluate(async (dialog) => {
    for (const side of ['back', 'left', 'right']) {
      const label = [...dialog.querySelectorAll('label')].find((l) => l.textContent!.startsWith(side))!;
      const select = label.querySelector('select')!;
      select.value = [...select.options].find((o) => o.textContent!.startsWith('white card'))!.value;
      select.dispatchEvent(new Event('change', { bubbles: true }));
      // No longer than it takes to show what was changed.
      for (let i = 0; i < 5; i++) await Promise.resolve();
    }
  });
  await sheet.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('button', { name: 'Place: white card or foam board on 3 sides' })).toBeVisible();
});

test('set-ups are named, copied and deleted, and a deletion is undone', async ({ page }) => {
  const name = page.getByRole('textbox', { name: 'Name of this set-up' });
  await name.fill('Top shelf');
  await name.press('Enter');
  await page.getByRole('button', { name: /^Set-ups/ }).click();
  await page.getByRole('menuitem', { name: 'Copy this one' }).click();
  await expect(name).toHaveValue('Top shelf 2');
  await page.getByRole('button', { name: /^Set-ups/ }).click();
  await page.getByRole('menuitem', { name: 'Delete this one' }).click();
  await expect(name).toHaveValue('Top shelf');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(name).toHaveValue('Top shelf 2');
  await page.getByRole('link', { name: 'Stands', exact: true }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Top shelf' })).toHaveCount(2);
});

test('cautions of the lamp stand beside it; a hot lamp too near is an alarm', async ({ page }) => {
  await expect(page.getByRole('heading', { name: 'Cautions' })).toBeVisible();
  await expect(page.getByText('Mains power near water.')).toBeVisible();
  const sheet = await choose(page, 'Lamp', 'metal halide 400');
  await sheet.getByRole('button', { name: 'Done' }).click();
  const field = page.getByRole('textbox', { name: 'lamp to leaves' });
  await field.fill('20 cm');
  await field.press('Enter');
  await expect(page.getByText(/The lamp is too close. Its heat can damage leaves./)).toBeVisible();
});

test('any point of the tray is read by the keyboard', async ({ page }) => {
  const tray = page.getByRole('application', { name: /Tray from above/ });
  await tray.focus();
  await page.keyboard.press('ArrowRight');
  await expect(tray).toHaveAttribute('aria-label', /mol\/m²\/day, \d/);
});

test('the person’s units are kept', async ({ page }) => {
  await page.getByRole('link', { name: 'Settings', exact: true }).click();
  await page.getByRole('radio', { name: 'inches' }).click();
  await page.getByRole('radio', { name: 'am and pm' }).click();
  await page.getByRole('link', { name: 'Check', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'lamp to leaves' })).toHaveValue('6 in');
  const off = page.getByRole('textbox', { name: 'lamp off' });
  // Half past ten in the morning, or in the evening? That is asked, not guessed.
  await off.fill('10:30');
  await off.press('Enter');
  await expect(page.getByText(/A time with am or pm, such as/)).toBeVisible();
  await off.fill('22:30');
  await off.press('Enter');
  await expect(off).toHaveValue(/^10:30\sPM$/i);
  await page.waitForTimeout(400);
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'lamp to leaves' })).toHaveValue('6 in');
});

test('a worker that cannot load is said, not waited for', async ({ page }) => {
  await page.route(/worker/, (route) => route.abort());
  await page.reload();
  await expect(page.getByText(/The light could not be computed/)).toBeVisible({ timeout: 60_000 });
});

test('axe finds nothing wrong on any screen, light or dark', async ({ page }) => {
  test.setTimeout(300_000);
  for (const path of [
    '/check',
    '/stands',
    '/lamps',
    '/lamps/library',
    '/season/crops',
    '/settings',
    '/settings/data',
    '/stands/nobody/bench',
    '/nowhere',
  ]) {
    await go(page, path);
    await page.getByRole('heading', { level: 1 }).waitFor({ state: 'attached' });
    await page.waitForTimeout(300);
    expect(await wrongInBoth(page), path).toEqual([]);
  }
  await go(page, '/');
  for (const part of ['Crop', 'Tray', 'Lamp', 'Place']) {
    await page.getByRole('button', { name: new RegExp(`^${part}:`) }).click();
    await page.waitForTimeout(200);
    expect(await wrongInBoth(page, '[role=dialog]'), part).toEqual([]);
    await page.keyboard.press('Escape');
  }
  await page.getByRole('button', { name: /^Lamp:/ }).click();
  for (const tab of ['From the label', 'Its light', 'Its age']) {
    await page.getByRole('tab', { name: tab }).click();
    expect(await wrongInBoth(page, '[role=dialog]'), tab).toEqual([]);
  }
});

test('no request leaves the machine, nothing is blocked by the policy, and the headers are strict', async ({ page, baseURL }) => {
  const elsewhere: string[] = [];
  const complaints: string[] = [];
  page.on('request', (r) => !r.url().startsWith(baseURL!) && !/^(blob|data):/.test(r.url()) && elsewhere.push(r.url()));
  page.on('console', (m) => m.type() === 'error' && complaints.push(m.text()));
  const response = await page.reload();
  await expect(page.getByTestId('verdict')).toBeVisible();
  await page.getByRole('button', { name: /^Lamp:/ }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  expect(elsewhere).toEqual([]);
  expect(complaints).toEqual([]);
  const policy = response!.headers()['content-security-policy']!;
  expect(policy).toContain("default-src 'self'");
  expect(policy).not.toContain('unsafe-eval');
  expect(policy).not.toMatch(/script-src[^;]*unsafe-inline/);
  expect(response!.headers()['x-content-type-options']).toBe('nosniff');
});
