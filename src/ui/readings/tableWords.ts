import type { Problem } from '@/core/units/result';
import { numberWords } from '../parts/locale';

/** Why a table, or a line of it, can't be read, and how to mend it. */
export function tableProblemWords({ code, at, found, expected }: Problem): string {
  const where = at ? `${at.charAt(0).toUpperCase()}${at.slice(1)}: ` : '';
  switch (code) {
    case 'table/no-value':
      return 'No column holds what the meter showed. Say above which one does.';
    case 'table/too-long':
      return `${numberWords(Number(found))} lines; a tier holds ${numberWords(Number(expected))} readings. Remove the readings of other tiers.`;
    case 'table/too-wide':
      return `${where}${String(found)} columns; more than ${String(expected)} are no table of readings.`;
    case 'table/quotes':
      return `${where}a quotation mark is never closed.`;
    case 'table/empty':
      return 'There is nothing in it.';
    case 'table/no-light':
      return `${where}“${String(found)}” is no reading. A number, such as 850, 850 lx, 1.2klx or 120 µmol.`;
    case 'table/too-much':
      return `${where}no meter shows ${numberWords(Number(found))}.`;
    case 'table/nothing':
      return `${where}it shows nothing: was the lamp on?`;
    case 'table/no-unit':
      return `${where}“${String(found)}” is no unit of light. Such as lx, fc or µmol.`;
    case 'table/no-dark':
      return `${where}“${String(found)}” with the lamps off is no less than with them on, or no reading.`;
    case 'table/no-length':
      return `${where}“${String(found)}” is no place at a tier.`;
    case 'table/no-time':
      return `${where}“${String(found)}” is no time. Such as 2026-03-14 19:10.`;
    default:
      return `${where}${code}`;
  }
}
