import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { go } from './go';

/** The same screen in one hand. */

test.beforeEach(async ({ page }) => {
  await page.goto('/check');
  await expect(page.getByTestId('verdict')).toBeVisible();
});

test('the answer stands over the picture, where a hand that moves the lamp sees both', async ({ page }) => {
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toBeInViewport({ ratio: 1 });
  const lamp = page.getByRole('slider', { name: 'Distance from lamp to leaves' });
  await expect(lamp).toBeInViewport();
  expect((await verdict.boundingBox())!.y).toBeLessThan((await lamp.boundingBox())!.y);
  // On a wide screen it stands beside it, and nowhere twice.
  await page.setViewportSize({ width: 1280, height: 800 });
  await expect(verdict).toHaveCount(1);
  await expect.poll(async () => (await verdict.boundingBox())!.x).toBeGreaterThan(800);
});

test('nothing is wider than the phone, and fingers have room', async ({ page }) => {
  for (const path of [
    '/check',
    '/bench',
    '/readings',
    '/hours',
    '/stands',
    '/lamps',
    '/lamps/library',
    '/season/crops',
    '/settings',
    '/settings/data',
  ]) {
    await go(page, path);
    await page.getByRole('heading', { level: 1 }).waitFor({ state: 'attached' });
    await page.waitForTimeout(200);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  }
  await go(page, '/check');
  for (const name of [/^Crop:/, /^Tray:/, /^Lamp:/])
    expect((await page.getByRole('button', { name }).boundingBox())!.height).toBeGreaterThanOrEqual(44);
});

test('a finger drags the lamp and reads a point of the tray', async ({ page }) => {
  const lamp = page.getByRole('slider', { name: 'Distance from lamp to leaves' });
  const before = Number(await page.getByTestId('dose-mean').textContent());
  const box = (await lamp.boundingBox())!;
  const touch = await page.context().newCDPSession(page);
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const send = (type: string, dy: number) =>
    touch.send('Input.dispatchTouchEvent', { type: type as 'touchStart', touchPoints: type === 'touchEnd' ? [] : [{ x, y: y + dy }] });
  await send('touchStart', 0);
  for (let i = 1; i <= 8; i++) await send('touchMove', i * 2);
  await send('touchEnd', 16);
  await expect.poll(async () => Number(await page.getByTestId('dose-mean').textContent())).toBeGreaterThan(before * 1.1);
  const tray = page.getByRole('application', { name: /Tray from above/ });
  await tray.tap();
  await expect(tray).toHaveAttribute('aria-label', /mol\/m²\/day/);
});

test('a crop is chosen on a sheet that fills the phone', async ({ page }) => {
  await page.getByRole('button', { name: /^Crop:/ }).tap();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('combobox').fill('peace');
  await sheet.getByRole('option', { name: /Peace lily/ }).tap();
  await sheet.getByRole('button', { name: 'Done' }).tap();
  await expect(page.getByRole('button', { name: /^Crop: Peace lily/ })).toBeVisible();
});

test('sides are chosen and the lamp looked at with a thumb, and nothing is wider than the phone', async ({ page }) => {
  await page.getByRole('button', { name: /^Place:/ }).tap();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('radio', { name: 'white sides and back' }).tap();
  await sheet.getByRole('button', { name: 'Done' }).tap();
  await expect(page.getByRole('button', { name: 'Place: between white sides' })).toBeVisible();
  await page.getByRole('button', { name: /^Lamp:/ }).tap();
  for (const tab of ['From the label', 'Its light', 'Its age']) {
    await sheet.getByRole('tab', { name: tab }).tap();
    await page.waitForTimeout(150);
    expect(
      await sheet.evaluate((e) => Math.max(...[...e.querySelectorAll('*')].map((x) => x.getBoundingClientRect().right))),
    ).toBeLessThanOrEqual(391);
  }
});

test.describe('at the rack', () => {
  test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}` });

  test('hours, hang chart, a tray and its log, crops and outlets are used with a thumb, none of them wider than the phone', async ({
    page,
  }) => {
    const narrow = async () => expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    for (const path of [
      '/hours',
      '/hours/outlets',
      '/crops',
      '/lamps/compare',
      '/lamps/capacity',
      '/lamps/bill',
      '/lamps/box',
      '/season',
      '/season/trials',
    ]) {
      await go(page, path);
      await page.getByRole('heading', { level: 1 }).waitFor();
      await page.waitForTimeout(800);
      await narrow();
      // In the row of its place, however long that is, one sees where one is.
      for (const tab of await page.getByRole('navigation').filter({ visible: true }).locator('a[aria-current]').all())
        await expect(tab).toBeInViewport({ ratio: 0.9 });
    }
    // A handle at the very end of its way neither.
    await go(page, '/hours');
    const off = page.getByRole('slider', { name: /^Lamp off, Timer of tiers 4 and 5/ });
    for (let i = 0; i < 24 && (await off.getAttribute('aria-valuetext')) !== '00:00'; i++) await off.press('PageUp');
    await expect(off).toHaveAttribute('aria-valuetext', '00:00');
    await narrow();
    await go(page, '/hours/chart');
    const first = page.getByTestId('visit').first();
    await expect(first).toBeVisible({ timeout: 120_000 });
    await narrow();
    const done = first.getByRole('button', { name: 'All done' });
    expect((await done.boundingBox())!.height).toBeGreaterThanOrEqual(44);
    await done.tap();
    await expect(page.getByTestId('visit').first()).not.toContainText('today', { timeout: 120_000 });
    await page.getByRole('link', { name: /^Sage/ }).tap();
    await page.getByRole('button', { name: 'First true leaves' }).tap();
    await expect(page.getByRole('list', { name: 'Written down' })).toContainText('First true leaves');
    await page.getByTestId('plan-steady').getByRole('radio').tap();
    await expect(page.getByTestId('plan-steady').getByRole('radio')).toBeChecked();
    await narrow();
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
    // The season runs here too.
    await go(page, '/bench');
    await page.getByRole('button', { name: 'Season' }).tap();
    await expect(page.getByRole('slider', { name: 'Day of the season' })).toBeEnabled({ timeout: 120_000 });
    await narrow();
  });
});

test('axe finds nothing wrong on the phone', async ({ page }) => {
  expect((await new AxeBuilder({ page }).analyze()).violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).join(', ')}`)).toEqual(
    [],
  );
});

test.describe('the bench', () => {
  test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}` });

  test('is looked at, read and moved a little by finger', async ({ page }) => {
    await page.goto('/bench');
    await expect(page.getByTestId('stand-line')).toContainText('out of range');
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await page
      .getByRole('button', { name: /^Lamp: .*tier 4,/ })
      .first()
      .tap();
    const panel = page.getByRole('region', { name: 'The chosen lamp' });
    const lower = panel.getByRole('button', { name: /^Lower/ });
    expect((await lower.boundingBox())!.height).toBeGreaterThanOrEqual(44);
    const before = Number(await page.getByTestId('dose-mean').textContent());
    for (let i = 0; i < 3; i++) await lower.tap();
    await expect.poll(async () => Number(await page.getByTestId('dose-mean').textContent())).toBeGreaterThan(before);
    await page.getByTestId('above').tap({ position: { x: 60, y: 70 } });
    await expect(page.getByTestId('probe')).toContainText('mol/m²/day at');
  });
});

test.describe('readings', () => {
  test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}` });

  test('are walked in one hand: big digits, big buttons, nothing below the fold', async ({ page }) => {
    await page.goto('/readings');
    await page.getByLabel('tier', { exact: true }).selectOption({ index: 3 });
    await page.getByRole('button', { name: 'Start measuring' }).tap();
    await expect(page.getByText('Point 1 of 9')).toBeVisible();
    await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight));
    await page.getByTestId('big-digits').fill('8430');
    await expect(page.getByText(/^\d+ µmol\/m²\/s, \d+ % of the plan$/)).toBeVisible();
    const take = page.getByRole('button', { name: 'Add reading and continue' });
    const box = (await take.boundingBox())!;
    expect(box.height).toBeGreaterThanOrEqual(56);
    expect(box.y + box.height).toBeLessThanOrEqual(844 - 62); // above the way about
    expect(Number.parseFloat(await page.getByTestId('big-digits').evaluate((e) => getComputedStyle(e).fontSize))).toBeGreaterThanOrEqual(
      40,
    );
    await take.tap();
    await expect(page.getByText('Point 2 of 9')).toBeVisible();
    await page.getByRole('button', { name: /^Point 1: \d+ µmol/ }).tap();
    await expect(page.getByText('Taken here: 8,430 lx')).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    expect((await new AxeBuilder({ page }).analyze()).violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).join(', ')}`)).toEqual(
      [],
    );
  });
});
