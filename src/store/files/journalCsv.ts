import { unparse } from 'papaparse';
import type { Site } from '../../core/site/stand/Site';
import { isoOf } from '../../core/units/day';

const COLUMNS = [
  'id',
  'day',
  'batch',
  'crop',
  'what',
  'height_m',
  'stage',
  'weight_g',
  'low_C',
  'high_C',
  'humidity_percent',
  'ec_mS_per_cm',
  'ph',
  'sign',
  'place',
  'text',
] as const;

/** Everything that was written down, as CSV, the oldest first. No text is left that a spreadsheet would take for a formula. */
export function journalCsv(site: Pick<Site, 'batches'>): string {
  const rows = site.batches
    .flatMap((b) => b.log.map((l) => ({ l, b })))
    .sort((x, y) => x.l.day - y.l.day)
    .map(({ l, b }) => ({
      id: l.id,
      day: isoOf(l.day),
      batch: b.id,
      crop: b.cropId,
      what: l.what,
      height_m: l.height ?? '',
      stage: l.stage ?? '',
      weight_g: l.weight_g ?? '',
      low_C: l.air?.low ?? '',
      high_C: l.air?.high ?? '',
      humidity_percent: l.air?.humidity ?? '',
      ec_mS_per_cm: l.solution?.ec ?? '',
      ph: l.solution?.ph ?? '',
      sign: l.sign ?? '',
      place: l.place ?? '',
      text: l.text ?? '',
    }));
  return `${unparse(rows, { columns: [...COLUMNS], newline: '\r\n', escapeFormulae: true })}\r\n`;
}
