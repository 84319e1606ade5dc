import { unparse } from 'papaparse';
import type { BatchCourse } from '../../core/plan/season/batchCourse';
import { datesOf, type SeasonDate } from '../../core/plan/season/seasonDates';
import { isoOf } from '../../core/units/day';

const COLUMNS = ['day', 'until', 'what', 'batch', 'crop', 'container', 'trays', 'plants'] as const;

/** The dates of a season as rows: one thing to do each. */
const seasonRows = (courses: readonly BatchCourse[]): Record<(typeof COLUMNS)[number], string | number>[] =>
  courses
    .flatMap((course) => datesOf(course).map((d): { d: SeasonDate; course: BatchCourse } => ({ d, course })))
    .sort((a, b) => a.d.day - b.d.day)
    .map(({ d, course }) => ({
      day: isoOf(d.day),
      until: isoOf(d.until),
      what: d.what,
      batch: course.batch.label || course.crop.name,
      crop: course.crop.id,
      container: d.containerId ?? '',
      trays: d.trays,
      plants: d.plants,
    }));

/** The dates as CSV. No text is left that a spreadsheet would take for a formula. */
export const seasonCsv = (courses: readonly BatchCourse[]): string =>
  `${unparse(seasonRows(courses), { columns: [...COLUMNS], newline: '\r\n', escapeFormulae: true })}\r\n`;
