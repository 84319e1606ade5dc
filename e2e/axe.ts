import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/** Looks for what keeps people out. The dark sheet has the same elements as the light one: there only colours are looked at again. */
export const axe = (page: Page, scheme: 'light' | 'dark'): AxeBuilder =>
  scheme === 'light' ? new AxeBuilder({ page }) : new AxeBuilder({ page }).withRules(['color-contrast']);
