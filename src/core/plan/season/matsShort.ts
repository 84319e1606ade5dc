import type { Site } from '../../site/stand/Site';
import type { Day } from '../../units/day';
import type { BatchCourse } from './batchCourse';
import { mondayOf } from './seasonLook';

/** The week in which the most trays of seed want warmth from below, where that is more than there are mats. */
export interface MatsShort {
  /** A Monday. */
  readonly week: Day;
  readonly trays: number;
  readonly mats: number;
}

/** Seed that wants warmth from below against the mats that are plugged in somewhere, a tray a mat; null: there are enough. */
export function matsShort(courses: readonly BatchCourse[], stands: Site['stands'], today: Day): MatsShort | null {
  const mats = stands.flatMap((s) => s.plugged).filter((p) => p.kind === 'mat').length;
  const sown = courses.filter((c) => c.crop.heatMat).flatMap((c) => c.parts.filter((p) => p.phase === 'sown' && p.until > today));
  const inWeek = (week: Day) => sown.reduce((sum, p) => sum + (p.from < week + 7 && p.until > week ? p.trays : 0), 0);
  // The most come together in a week in which some are sown.
  const [worst] = [...new Set(sown.map((p) => mondayOf(Math.max(today, p.from))))]
    .map((week) => ({ week, trays: inWeek(week) }))
    .sort((a, b) => b.trays - a.trays || a.week - b.week);
  return worst && worst.trays > mats ? { ...worst, mats } : null;
}
