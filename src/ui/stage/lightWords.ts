import { MOL_SECONDS } from '@/core/dose/dli';
import type { Hours, Ppfd } from '@/core/quantities';

/** A strength of light as a person wants to see it: the day's dose or the strength now, with its unit. */
export function lightWords(ppfd: Ppfd, hours: Hours, shows: 'dli' | 'ppfd'): { number: string; unit: string } {
  if (shows === 'ppfd') return { number: String(Math.round(ppfd)), unit: 'µmol/m²/s' };
  return { number: doseNumber(ppfd * hours * MOL_SECONDS), unit: 'mol a day' };
}

/** Doses to a tenth, small ones to a hundredth. */
export function doseNumber(dli: number): string {
  return dli < 0.995 ? dli.toFixed(2) : dli.toFixed(1);
}
