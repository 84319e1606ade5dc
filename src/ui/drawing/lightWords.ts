import { MOL_SECONDS } from '@/core/judge/dli/dli';
import type { Hours, Ppfd } from '@/core/units/quantities';
import type { MapShows } from '@/store/settings/settingsStore';
import { besideWords } from '../parts/besideWords';

/** What a number of a map is in, for the numbers' own steps: so many of it for one µmol m⁻² s⁻¹. */
export function perPpfd(hours: Hours, shows: MapShows, target: Ppfd): number {
  return shows === 'ppfd' ? 1 : shows === 'dli' ? hours * MOL_SECONDS : 100 / target;
}

/**
 * A strength of light as a person wants to see it: the day's dose, the strength now, or the share of what suits the crop best.
 *
 * @param target  what suits it best at these hours
 */
export function lightWords(ppfd: Ppfd, hours: Hours, shows: MapShows, target: Ppfd): { number: string; unit: string } {
  const value = ppfd * perPpfd(hours, shows, target);
  if (shows === 'ppfd') return { number: String(Math.round(value)), unit: 'µmol/m²/s' };
  if (shows === 'share') return { number: Number.isFinite(value) ? `${Math.round(value)} %` : '–', unit: 'of the best' };
  return { number: dliNumber(value), unit: 'mol/m²/day' };
}

/** A DLI beside the end of a range that it does not reach. */
export const dliBeside = (dli: number, end: number): string => besideWords(dli, end, dliNumber);

/** A DLI beside the range that it should be in: what is just outside is not to look as if it were its end. */
export const dliAgainst = (dli: number, low: number, high: number): string => dliBeside(dli, dli < low ? low : dli > high ? high : dli);

/** From the weakest to the strongest spot of a tray, beside its range. */
export const dliSpanWords = (v: { readonly weakest: number; readonly strongest: number }, low: number, high: number): string =>
  `${dliAgainst(v.weakest, low, high)}–${dliAgainst(v.strongest, low, high)}`;

/** Doses to a tenth, small ones to a hundredth. */
export function dliNumber(dli: number): string {
  return dli < 0.995 ? dli.toFixed(2) : dli.toFixed(1);
}
