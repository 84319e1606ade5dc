import type { Trial } from '@/core/site/trial/Trial';

/** What a change of lamps, hours or places would do to trials. */
export const inTrialWords = (running: readonly Trial[]): string =>
  `${running.map((t) => `“${t.name}”`).join(' and ')} ${running.length === 1 ? 'is' : 'are'} under way here: what is changed changes what ${running.length === 1 ? 'it compares' : 'they compare'}. Change all arms alike, or leave them.`;
