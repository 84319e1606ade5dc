import { expect, type Page } from '@playwright/test';

/** Reads a dose of the check, of what is on the screen now: while it is being worked out the last one still stands there. */
export async function doseInCheck(page: Page, which: 'weakest' | 'mean' | 'strongest'): Promise<number> {
  // Not by its role: behind an open sheet it has none.
  await expect(page.locator('[aria-label="Verdict"]')).toHaveAttribute('aria-busy', 'false');
  return Number(await page.getByTestId(`dose-${which}`).textContent());
}
