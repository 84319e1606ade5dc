import { expect, test, type Page } from '@playwright/test';
import { doseInCheck } from './dose';

/** What happens to a person when a worker dies: nothing that they notice, or a word. */

interface Marked {
  workers: Worker[];
  broken: boolean;
}

test.beforeEach(async ({ page }) => {
  await page.addInitScript(() => {
    const own = window.Worker;
    const marked = window as unknown as Marked;
    marked.workers = [];
    window.Worker = class extends own {
      constructor(url: string | URL, options?: WorkerOptions) {
        super(marked.broken ? 'data:text/javascript,throw new Error("no")' : url, options);
        marked.workers.push(this);
      }
    };
  });
  await page.goto('/');
  await expect(page.getByTestId('verdict')).toBeVisible();
});

const lamp = (page: Page) => page.getByRole('slider', { name: 'Distance from lamp to leaves' });
const kill = (page: Page) => page.evaluate(() => (window as unknown as Marked).workers.splice(0).forEach((w) => w.terminate()));
const dose = (page: Page) => doseInCheck(page, 'mean');

test('workers that end without a word have successors: the dose is that of the height on the screen', async ({ page }) => {
  await lamp(page).focus();
  const at15 = await dose(page);
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowUp');
  const higher = await dose(page);
  expect(higher).toBeLessThan(at15);
  await kill(page);
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowDown');
  await expect(lamp(page)).toHaveAttribute('aria-valuetext', '15 cm');
  expect(await dose(page)).toBe(at15);
});

test('when no worker can be had it is said, and no dose stands beside a height that it is not of', async ({ page }) => {
  await lamp(page).focus();
  await dose(page);
  await page.evaluate(() => ((window as unknown as Marked).broken = true));
  await kill(page);
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowUp');
  await expect(page.getByText(/could not be computed/)).toBeVisible();
  await expect(page.getByTestId('dose-mean')).toBeHidden();
  // It works again as soon as one can be had.
  await page.evaluate(() => ((window as unknown as Marked).broken = false));
  await page.keyboard.press('ArrowDown');
  expect(await dose(page)).toBeGreaterThan(0);
});
