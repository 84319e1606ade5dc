import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/**
 * Looks for what keeps people out. Of long lists, whose entries are all alike, the first of each group stands for the others. There are no
 * frames, so that it runs in the page itself.
 */
export function axe(page: Page, scheme: 'light' | 'dark' = 'light'): AxeBuilder {
  const builder = new AxeBuilder({ page })
    .options({ resultTypes: ['violations'] })
    .setLegacyMode(true)
    .exclude('[cmdk-item] ~ [cmdk-item]');
  return scheme === 'light' ? builder : builder.withRules(['color-contrast']);
}

/** What is wrong on a page in both themes, within a part of it. The dark one has the same elements: there only colours are looked at again. */
export async function wrongInBoth(page: Page, within: string | null = null): Promise<string[]> {
  const found: string[] = [];
  for (const scheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' });
    await page.waitForTimeout(150);
    const look = within === null ? axe(page, scheme) : axe(page, scheme).include(within);
    const { violations } = await look.analyze();
    found.push(...violations.map((v) => `${scheme} ${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`));
  }
  await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' });
  return found;
}
