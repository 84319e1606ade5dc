import type { Trial } from '@/core/site/trial/Trial';

/** What a change of lamps, hours or places would do to trials. */
export function inTrialWords(running: readonly Trial[]): string {
  const names = running.map((t) => `“${t.name}”`).join(' and ');
  return running.length === 1
    ? `The trial ${names} runs here. A change here changes what it compares. Change all its arms in the same way, or none.`
    : `The trials ${names} run here. A change here changes what they compare. Change all their arms in the same way, or none.`;
}
