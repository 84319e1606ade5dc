import { chromium, expect, test } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { go } from './go';
import { CHROMIUM } from '../test/chromium';

test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}` });

test('what the browser does not give out is left alone, said, and there again the next time', async ({ page, context }) => {
  await page.goto('/settings');
  const price = page.getByRole('textbox', { name: 'price per kWh' });
  await price.fill('0.41');
  await price.press('Enter');
  await page.reload();
  await expect(price).toHaveValue('0.41');
  const broken = await context.newPage();
  await broken.addInitScript(() => {
    IDBObjectStore.prototype.get = () => {
      throw new DOMException('The disk does not answer.', 'UnknownError');
    };
  });
  await broken.goto('/settings');
  await expect(broken.getByRole('alert').filter({ hasText: 'could not read what it keeps' })).toBeVisible();
  await broken.getByRole('textbox', { name: 'price per kWh' }).fill('0.77');
  await broken.keyboard.press('Enter');
  const download = broken.waitForEvent('download');
  await broken.getByRole('button', { name: 'Save what is here as a file' }).click();
  expect((await download).suggestedFilename()).toBe('copper-noon.json');
  await broken.close();
  await page.reload();
  await expect(price).toHaveValue('0.41');
});

test('no more is put up than can be read back, and that is said', async ({ page }) => {
  await page.goto('/bench');
  await expect(page.getByTestId('stand-line')).toContainText('5 of 5 tiers');
  const more = page.getByRole('button', { name: 'Add a tier on top' });
  for (let i = 0; i < 15; i++) await more.click();
  await expect(page.getByTestId('stand-line')).toContainText('20 tiers');
  await more.click();
  await expect(page.getByText('No more than 20 tiers on a stand can be kept. Nothing has changed.', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByTestId('stand-line')).toContainText('20 tiers');
});

test('two windows show the same, nothing is written over, and undo stays in its own window', async ({ page, context }) => {
  await page.goto('/settings');
  const other = await context.newPage();
  await other.goto('/settings');
  const price = (of: typeof page) => of.getByRole('textbox', { name: 'price per kWh' });
  const currency = (of: typeof page) => of.getByRole('textbox', { name: 'currency' });
  await price(page).fill('0.52');
  await price(page).press('Enter');
  await expect(price(other)).toHaveValue('0.52');
  await currency(other).fill('SEK');
  await currency(other).press('Enter');
  await expect(currency(page)).toHaveValue('SEK');
  await expect(price(page)).toHaveValue('0.52');
  // Undo in the first window takes back its price and leaves the currency of the second.
  await page.locator('h1').click();
  await page.keyboard.press('Control+z');
  await expect(price(other)).not.toHaveValue('0.52');
  await expect(currency(page)).toHaveValue('SEK');
  await page.reload();
  await expect(currency(page)).toHaveValue('SEK');
  await expect(price(page)).not.toHaveValue('0.52');
  // The other window goes on where it was.
  await price(other).fill('0.61');
  await price(other).press('Enter');
  await expect(price(page)).toHaveValue('0.61');
});

test('a backup brings back what was deleted, and that can be undone', async ({ page }) => {
  await page.goto('/stands');
  await expect(page.getByRole('button', { name: 'Delete Landing shelf', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Delete Landing shelf', exact: true }).click();
  await go(page, '/settings');
  await page.getByRole('link', { name: 'Backups and files' }).click();
  await expect(page.getByRole('heading', { name: 'Your data' })).toBeVisible();
  const backup = page.getByRole('list', { name: 'Backups' }).getByRole('listitem').last();
  await expect(backup).toContainText('It has “Landing shelf”, which is not here now.');
  await backup.getByRole('button', { name: /^Restore everything/ }).click();
  await expect(page.getByText(/Everything is as it was on/).first()).toBeVisible();
  await expect(page.getByText(/^10 set-ups/).first()).toBeVisible();
  await page.reload();
  await expect(page.getByText(/^10 set-ups/).first()).toBeVisible();
  // A backup of how it was before was made first.
  await expect(page.getByRole('list', { name: 'Backups' })).toContainText('before a restore');
  await go(page, '/stands');
  await expect(page.getByRole('button', { name: 'Delete Landing shelf', exact: true })).toBeVisible();
});

test('a full disk is said at once, work goes on, and it is over when there is room again', async ({ page }) => {
  await page.goto('/settings');
  const price = page.getByRole('textbox', { name: 'price per kWh' });
  await expect(price).toBeVisible();
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    (window as unknown as { room: () => void }).room = () => (IDBObjectStore.prototype.put = put);
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('The disk is full.', 'QuotaExceededError');
    };
  });
  await price.fill('0.44');
  await price.press('Enter');
  const line = page.getByRole('alert').filter({ hasText: 'does not let the page keep' });
  await expect(line).toBeVisible();
  await expect(line.getByRole('button', { name: 'Save everything as a file' })).toBeVisible();
  await price.fill('0.45');
  await price.press('Enter');
  await expect(price).toHaveValue('0.45');
  await page.evaluate(() => (window as unknown as { room: () => void }).room());
  await expect(line).toBeHidden();
  await page.reload();
  await expect(price).toHaveValue('0.45');
});

/** The processes of a group that are alive. */
const livingOf = (group: number): string[] =>
  readdirSync('/proc').filter((pid) => {
    if (!/^\d+$/.test(pid)) return false;
    try {
      const [state, , pgrp] = readFileSync(`/proc/${pid}/stat`, 'utf8')
        .replace(/^.*\) /s, '')
        .split(' ');
      return Number(pgrp) === group && state !== 'Z';
    } catch {
      return false; // it has ended meanwhile
    }
  });

/** Twice and more what a change takes to be written on two cores that nine processes share. */
const A_MOMENT = 1500;

test('what was typed a moment before the browser is killed is there again', async () => {
  const profile = mkdtempSync(join(tmpdir(), 'killed-'));
  const start = async () => {
    const browser = spawn(CHROMIUM.executablePath, ['--headless', ...CHROMIUM.args, '--remote-debugging-port=0', `--user-data-dir=${profile}`, 'about:blank'], { stdio: ['ignore', 'ignore', 'pipe'], detached: true }); // prettier-ignore
    const address = await new Promise<string>((found) => {
      let said = '';
      browser.stderr.on('data', (text) => {
        said += String(text);
        const at = /ws:\/\/\S+/.exec(said);
        if (at) found(at[0]);
      });
    });
    const connected = await chromium.connectOverCDP(address);
    const page = await connected.contexts()[0]!.newPage();
    await page.goto(`http://localhost:${process.env.E2E_DEMO_PORT}/settings`);
    const price = page.getByRole('textbox', { name: 'price per kWh' });
    await expect(price).toBeVisible();
    const kill = async () => {
      const ended = new Promise((end) => browser.once('exit', end));
      browser.kill('SIGKILL');
      await ended;
      // What the browser had started ends by itself a moment later, and holds the profile until then.
      await expect.poll(() => livingOf(browser.pid!)).toEqual([]);
    };
    return { page, price, kill };
  };
  const first = await start();
  // Once when it is quiet …
  await first.price.fill('0.93');
  await first.price.press('Enter');
  await first.page.waitForTimeout(A_MOMENT);
  await first.kill();
  const second = await start();
  await expect(second.price).toHaveValue('0.93');
  // … and once while changes go on and on.
  const typed: string[] = [];
  const until = Date.now() + 2500;
  for (let i = 0; Date.now() < until; i++) {
    typed.push(`0.${100 + i}`);
    await second.price.fill(typed.at(-1)!);
    await second.price.press('Enter');
  }
  const written = typed.at(-1)!;
  await second.page.waitForTimeout(A_MOMENT);
  await second.kill();
  const third = await start();
  await expect(third.price).toHaveValue(String(Number(written)));
  await third.kill();
  try {
    rmSync(profile, { recursive: true, force: true });
  } catch {
    // Its helpers may write on for a moment.
  }
});
