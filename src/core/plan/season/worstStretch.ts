import type { SeasonWeek } from './seasonLook';

/** Weeks on end with too little light, with the worst of them. */
export interface WorstStretch {
  readonly from: SeasonWeek;
  readonly until: SeasonWeek;
  readonly worst: SeasonWeek;
}

/** The stretch of weeks with too little light that holds the worst one, the first of equals; null: every week has enough. */
export function worstStretch(weeks: readonly SeasonWeek[]): WorstStretch | null {
  const at = weeks.reduce((best, w, i) => (w.over > (weeks[best]?.over ?? 0) ? i : best), 0);
  if (!weeks[at] || weeks[at].over === 0) return null;
  let [a, b] = [at, at];
  while (a > 0 && weeks[a - 1]!.over > 0) a--;
  while (b + 1 < weeks.length && weeks[b + 1]!.over > 0) b++;
  return { from: weeks[a]!, until: weeks[b]!, worst: weeks[at] };
}
