import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/**
 * Looks for what keeps people out. The dark sheet has the same elements as the light one: there only colours are looked at again. Of long
 * lists, whose entries are all alike, the first of each group stands for the others. There are no frames, so that it runs in the page itself.
 */
export function axe(page: Page, scheme: 'light' | 'dark'): AxeBuilder {
  const builder = new AxeBuilder({ page })
    .options({ resultTypes: ['violations'] })
    .setLegacyMode(true)
    .exclude('[cmdk-item] ~ [cmdk-item]');
  return scheme === 'light' ? builder : builder.withRules(['color-contrast']);
}
