import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { axe } from './axe';
import { typeDate } from './dates';
import { go } from './go';

/** A season is planned, overflows, is put right, and goes otherwise, as a person would meet it. */

const DEMO = `http://localhost:${process.env.E2E_DEMO_PORT}`;
const panel = (page: Page) => page.getByRole('complementary');
const bar = (page: Page, name: string) => page.getByRole('button', { name: new RegExp(`^${name}: `) });
/** The light is worked out for what is on the screen. */
const settled = (page: Page) => expect(panel(page)).toHaveAttribute('aria-busy', 'false');

test.describe('from nothing', () => {
  test.use({ timezoneId: 'Europe/Lisbon' });

  test('frost is said, a crop added by its name; its dates are counted back, its bar is moved by keys, and undone', async ({ page }) => {
    await page.clock.setFixedTime(new Date('2027-01-15T10:00:00Z'));
    await page.goto('/season');
    await page.getByRole('button', { name: 'Plan a season' }).click();
    await page.getByRole('button', { name: 'Frost and nights' }).click();
    await page.getByRole('radio', { name: 'One day' }).click();
    await typeDate(page, 'Last frost', '03052027');
    await page.getByRole('button', { name: 'Done' }).click();
    await page.getByRole('banner').or(page.locator('header')).getByRole('button', { name: 'Add a batch' }).click();
    await page.getByRole('combobox').fill('tomatillo');
    await page.keyboard.press('Enter');
    // Four to six weeks before 3 May, and out a week after it.
    await expect(page.getByRole('dialog')).toContainText(
      'Sow between 22 Mar and 5 Apr; plant out from Mon 10 May, when frost is over for it.',
    );
    await page.getByRole('button', { name: 'Add Tomatillo' }).click();
    await expect(panel(page).getByRole('heading', { name: 'Tomatillo' })).toBeVisible();
    await expect(panel(page)).toContainText('35–49');
    const sow = panel(page).getByRole('group', { name: 'Sow on' });
    const before = (await sow.textContent())!;
    await bar(page, 'Tomatillo').focus();
    await page.keyboard.press('Shift+ArrowRight');
    await expect(sow).not.toHaveText(before);
    await expect(bar(page, 'Tomatillo')).toBeFocused();
    await page.getByRole('button', { name: /^Undo: move Tomatillo/ }).click();
    await expect(sow).toHaveText(before);

    // What can't be is refused in words, and stays as it was.
    await typeDate(page, 'Plant out on', '01022027');
    await expect(page.getByRole('alert').filter({ hasText: 'Not before' })).toBeVisible();
    await page.getByRole('textbox', { name: 'Cells sown' }).fill('1000000');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Enter a number between 1 and 100000.')).toBeVisible();
    await page.keyboard.press('Escape');

    // It is kept, and the list says what it takes.
    await page.reload();
    await expect(bar(page, 'Tomatillo')).toBeVisible();
    await go(page, '/season/list');
    await expect(page.getByRole('row', { name: /Tomatillo/ })).toContainText('1 × 72-cell insert in a 1020 flat');
  });

  test('a plan goes out as a file and comes in again; a broken one is refused with the field, and nothing changes', async ({ page }) => {
    await page.clock.setFixedTime(new Date('2027-01-15T10:00:00Z'));
    await page.goto('/season');
    await page.getByRole('button', { name: 'Plan a season' }).click();
    await page.locator('header').getByRole('button', { name: 'Add a batch' }).click();
    await page.getByRole('combobox').fill('leek');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Add Leek' }).click();
    await page.getByRole('button', { name: 'Export' }).click();
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'The plan as JSON' }).click()]);
    const text = readFileSync(await download.path(), 'utf8');
    const [csv] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Dates as CSV' }).click()]);
    expect(readFileSync(await csv.path(), 'utf8').split('\r\n')[0]).toBe('day,until,what,batch,crop,container,trays,plants');
    const [ics] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Calendar (.ics)' }).click()]);
    expect(readFileSync(await ics.path(), 'utf8')).toContain('SUMMARY:Sow Leek');
    const give = (name: string, body: string) =>
      page.getByLabel('Import another plan: file').setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(body) });
    await give('bad.json', text.replace('"cells": 36', '"cells": 1000000'));
    await expect(
      page
        .getByRole('alert')
        .filter({ hasText: 'season.batches[0].cells' })
        .or(page.getByText(/batches\[0\]\.cells.*Nothing was changed/)),
    ).toBeVisible();
    // Last year's plan comes in with its dates moved.
    const last = JSON.parse(text.replaceAll('2027-', '2026-')) as { season: { year: number } };
    last.season.year = 2026;
    await give('last.json', JSON.stringify(last));
    await expect(page.getByText(/^1 batch, moved from 2026 to 2027/)).toBeVisible();
  });
});

test.describe('the demo', () => {
  test.use({ baseURL: DEMO, timezoneId: 'Europe/Lisbon' });

  test('an overflow is met, a way out taken and undone; a late emergence moves the dates', async ({ page }) => {
    await page.goto('/season');
    const headline = panel(page).getByRole('heading', { level: 2 });
    await expect(headline).toContainText(/trays get too little light/, { timeout: 90_000 });
    await settled(page);
    const inAll = async () => Number(/in all: (\d+) tray-weeks?/.exec((await panel(page).textContent())!)?.[1] ?? 0);
    const before = await inAll();
    expect(before).toBeGreaterThan(0);
    await page.getByRole('button', { name: 'Look for ways out' }).press('Enter');
    const first = page
      .getByRole('region', { name: 'Ways out' })
      .getByRole('button', { name: /^Apply: / })
      .first();
    await expect(first).toBeVisible({ timeout: 120_000 });
    // The keys go on where the ways are.
    await expect(page.getByRole('heading', { name: 'Ways out' })).toBeFocused();
    await first.click();
    await expect(page.getByText(/^Done: /)).toBeVisible();
    await settled(page);
    await expect.poll(inAll, { timeout: 60_000 }).toBeLessThan(before);
    await page.locator('header').getByRole('button', { name: /^Undo/ }).click();
    await settled(page);
    await expect.poll(inAll, { timeout: 60_000 }).toBe(before);

    // Lost, a batch makes room in the plan and on the bench; one step back and it stands there again.
    await bar(page, 'Sage').click();
    await panel(page).locator('summary', { hasText: 'Leggy, or lost?' }).click();
    await panel(page).getByRole('button', { name: 'It is lost' }).click();
    await expect(panel(page)).toContainText(/Lost on /);
    await go(page, '/stands');
    const sage = page.getByRole('cell', { name: 'Sage', exact: true });
    await expect(page.getByRole('cell', { name: 'Leek', exact: true })).toBeVisible();
    await expect(sage).toHaveCount(0);
    await page.getByRole('button', { name: /^Undo: Sage is lost/ }).click();
    await expect(sage).toBeVisible();
    await go(page, '/season');

    // Basil should have been up: it comes up today, late.
    await bar(page, 'Basil').click();
    await expect(panel(page).getByRole('heading', { name: 'Basil' })).toBeVisible();
    const out = panel(page).getByRole('group', { name: 'Plant out on' });
    const planned = (await out.textContent())!;
    await page.getByRole('button', { name: 'It is up today' }).click();
    await expect(panel(page)).toContainText(/Came up /);
    await page.getByRole('button', { name: 'The whole season' }).click();
    await expect(panel(page)).toContainText(/Basil came up \d+ days later than expected\. Its date still holds\./);
    // The frost does not let it: that is put right, and not asked again.
    const frost = page.getByRole('listitem').filter({ hasText: /^Basil goes out / });
    await frost.getByRole('button', { name: /^Apply/ }).click();
    await expect(frost).toHaveCount(0);
    await bar(page, 'Basil').click();
    await expect(out).not.toHaveText(planned);
  });

  test('axe finds nothing wrong with the plan, a batch and the list; on the phone nothing is wider than it', async ({ page }) => {
    for (const path of ['/season', '/season?batch=plan-basil', '/season/list']) {
      await go(page, path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      if (path === '/season') await expect(panel(page)).toContainText('Ways out', { timeout: 90_000 });
      for (const colorScheme of ['light', 'dark'] as const) {
        await page.emulateMedia({ colorScheme });
        await page.waitForTimeout(200);
        const { violations } = await axe(page, colorScheme).analyze();
        expect(violations.map((v) => `${path} ${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
      }
      await page.setViewportSize({ width: 390, height: 844 });
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
      await page.setViewportSize({ width: 1280, height: 800 });
    }
  });
});
