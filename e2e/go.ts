import { expect, type Page } from '@playwright/test';

type InNext = Window & { readonly next: { readonly router: { push(path: string): void } } };

/**
 * Opens a place of the application: in an empty window by its address, else as a press on a link does. Where what was kept is to be read
 * again, `page.goto` does that.
 */
export async function go(page: Page, path: string): Promise<void> {
  const from = page.url();
  if (from === 'about:blank') {
    await page.goto(path);
    return;
  }
  const push = () => page.evaluate((to) => (window as unknown as InNext).next.router.push(to), path);
  if (new URL(path, from).href === from) return push();
  // A page that is still coming to life hears nothing: it is told again.
  await expect(async () => {
    await push();
    await page.waitForURL((url) => url.href !== from, { waitUntil: 'commit', timeout: 10_000 });
  }).toPass();
}
