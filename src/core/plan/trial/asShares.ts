import type { Trial } from '../../site/trial/Trial';

/**
 * Of a count the share of what was sown, tray by tray, so that trays of other sizes can be held against each other; a tray that nobody
 * counted, or of which nobody knows what was sown, says nothing. Other trials as they are.
 */
export function asShares(trial: Trial): Trial {
  if (trial.outcome.kind !== 'counted') return trial;
  const shareOf = ({ sown, values: [counted] }: Trial['trays'][number]): number[] =>
    sown === null || counted == null ? [] : [Math.min(sown, Math.max(0, Math.round(counted))) / sown];
  return { ...trial, trays: trial.trays.map((t) => ({ ...t, values: shareOf(t) })) };
}
