import { expect, test } from '@playwright/test';
import { go } from './go';

/** Every place has an address: it can be opened, opened twice, and old ones lead to the new. */

test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}` });

test('a stand keeps its address through its parts, and another one is a choice away', async ({ page, context }) => {
  await page.goto('/');
  await expect(page).toHaveURL(/\/today$/);
  await page.getByRole('link', { name: 'Stands', exact: true }).click();
  await expect(page).toHaveURL(/\/stands$/);
  await page.getByRole('button', { name: /^Map-room rack/ }).click();
  await expect(page).toHaveURL(/\/stands\/demo-rack\/bench$/);
  await expect(page.getByRole('textbox', { name: 'Name of this stand' })).toHaveValue('Map-room rack');
  const parts = page.getByRole('navigation', { name: 'This stand' });
  for (const [part, at] of [
    ['Readings', 'readings'],
    ['Hours', 'hours'],
    ['Hanging', 'hanging'],
    ['Daylight', 'daylight'],
    ['Power', 'power'],
  ] as const) {
    await parts.getByRole('link', { name: part }).click();
    await expect(page).toHaveURL(new RegExp(`/stands/demo-rack/${at}$`));
    await expect(page).toHaveTitle(`${part} · Copper Noon`);
    await expect(parts.getByRole('link', { name: part })).toHaveAttribute('aria-current', 'page');
  }
  await page.getByRole('combobox', { name: 'Stand' }).selectOption({ label: 'North-east sill' });
  await expect(page).toHaveURL(/\/stands\/demo-sill\/power$/);
  // The same address in another window shows the same stand, whatever the first one shows.
  const other = await context.newPage();
  await other.goto(page.url().replace('power', 'bench'));
  await expect(other.getByRole('textbox', { name: 'Name of this stand' })).toHaveValue('North-east sill');
  await page.goBack();
  await expect(page.getByRole('combobox', { name: 'Stand' })).toHaveValue('demo-rack');
});

test('a page of a stand scrolls by itself and cannot be scrolled past its end', async ({ page }) => {
  for (const [part, ready] of [
    ['hours', 'best-times'],
    ['hanging', 'visit'],
    ['power', 'outlets'],
  ] as const) {
    await go(page, `/stands/demo-rack/${part}`);
    await expect(page.getByTestId(ready).first()).toBeVisible({ timeout: 40_000 });
    expect(await page.evaluate(() => document.scrollingElement!.scrollHeight - innerHeight)).toBe(0);
  }
});

test('old addresses lead to where things are now', async ({ page }) => {
  for (const [old, now] of [
    ['/bench', '/stands/demo-rack/bench'],
    ['/readings', '/stands/demo-rack/readings'],
    ['/hours', '/stands/demo-rack/hours'],
    ['/hours/chart', '/stands/demo-rack/hanging'],
    ['/hours/outlets', '/stands/demo-rack/power'],
    ['/stands/demo-rack', '/stands/demo-rack/bench'],
    ['/bench/compare', '/stands/compare'],
    ['/setups', '/stands'],
    ['/crops', '/season/crops'],
  ] as const) {
    await page.goto(old);
    await expect(page).toHaveURL(new RegExp(`${now}$`));
    await expect(page.getByRole('heading', { level: 1 })).toBeAttached();
  }
});

test('an address of no stand says so and offers those that exist; one of no page leads on', async ({ page }) => {
  await page.goto('/stands/nobody/hours');
  await expect(page.getByRole('heading', { name: 'There is no stand at this address.' })).toBeVisible();
  await page.getByRole('link', { name: 'Landing shelf', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'Name of this stand' })).toHaveValue('Landing shelf');
  expect((await page.goto('/nowhere'))!.status()).toBe(404);
  await expect(page.getByRole('heading', { name: 'There is no page at this address.' })).toBeVisible();
  await page.getByRole('main').getByRole('link', { name: 'Check' }).click();
  await expect(page.getByTestId('verdict')).toBeVisible();
});

test('a deleted stand leads back to the others, and undo brings it back', async ({ page }) => {
  await page.goto('/stands/demo-sill/bench');
  await page.getByRole('button', { name: 'Stand', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Delete North-east sill' }).click();
  await expect(page).toHaveURL(/\/stands$/);
  await expect(page.getByRole('button', { name: /^North-east sill/ })).toBeHidden();
  await page.getByRole('button', { name: 'Undo: delete North-east sill' }).click();
  await expect(page.getByRole('button', { name: /^North-east sill/ })).toBeVisible();
});

test('every lamp is shown with where it hangs', async ({ page }) => {
  await page.goto('/lamps/library');
  await page.getByRole('searchbox', { name: 'Search lamps' }).fill('shop light two strips 42');
  await page.getByRole('link', { name: 'LED shop light 1.2 m, two strips, 42 W' }).click();
  const lamp = page.getByRole('article');
  await expect(lamp.getByRole('heading', { level: 1 })).toHaveText('LED shop light 1.2 m, two strips, 42 W');
  await expect(lamp).toContainText('65 µmol/s');
  await lamp.getByRole('link', { name: 'Map-room rack' }).first().click();
  await expect(page).toHaveURL(/\/stands\/demo-rack\/bench$/);
});

test('the palette goes anywhere by keyboard, and the list of keys is a key away', async ({ page }) => {
  await page.goto('/check');
  await expect(page.getByTestId('verdict')).toBeVisible();
  const go = async (typed: string, url: RegExp, first = new RegExp(typed, 'i')) => {
    await page.keyboard.press('Control+k');
    await page.getByRole('dialog').getByRole('combobox').fill(typed);
    // The list follows what is typed.
    await expect(page.getByRole('dialog').getByRole('option', { selected: true })).toHaveText(first);
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(url);
    await expect(page.getByRole('dialog')).toBeHidden();
  };
  await go('landing', /\/stands\/demo-shelf\/bench$|\/stands\/[^/]+\/bench$/);
  await go('tomatillo', /\/tray\//);
  await go('leek', /\/tray\/|crop=leek$/, /^Leek/);
  await go('your data', /\/settings\/data$/);
  await expect(page.getByRole('heading', { name: 'Your data' })).toBeFocused();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Go to a stand, a tray, a crop, a lamp or a page');
  await page.keyboard.press('Escape');
  // The first stop of the keyboard leads past the rail.
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Your data' })).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Skip to the content' })).toBeFocused();
});
