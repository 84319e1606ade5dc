import type { Page } from '@playwright/test';

/** The parts of a date field, in the order of the page's place. */
const partsOf = (page: Page, label: string) => page.getByRole('group', { name: label }).first().getByRole('spinbutton');

/** Types a date by its digits, in the order of the page's place, and takes it with Enter. */
export async function typeDate(page: Page, label: string, digits: string): Promise<void> {
  await partsOf(page, label).first().focus();
  await page.keyboard.type(digits);
  await page.keyboard.press('Enter');
}
