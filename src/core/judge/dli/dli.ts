import type { Dli, Hours, Ppfd } from '../../units/quantities';

/** mol for each µmol, times seconds for each hour: DLI = PPFD · h · 0.0036. */
export const MOL_SECONDS = 0.0036; // exact

/**
 * Daily light integral of a lamp that burns evenly.
 *
 *     DLI = PPFD · hours · 3600 / 10⁶
 *
 * @param ppfd   ≥ 0
 * @param hours  0 … 24
 * @throws RangeError outside
 * Source: definition; Torres & Lopez 2010, Purdue Extension HO-238-W.
 */
export function dliOf(ppfd: Ppfd, hours: Hours): Dli {
  if (!(ppfd >= 0)) throw new RangeError(`ppfd must be ≥ 0, got ${ppfd}`);
  if (!(hours >= 0 && hours <= 24)) throw new RangeError(`hours must be between 0 and 24, got ${hours}`);
  return ppfd * hours * MOL_SECONDS;
}

/** PPFD that makes a dose in the given hours; Infinity for no hours and some dose. */
export function ppfdFor(dli: Dli, hours: Hours): Ppfd {
  if (!(dli >= 0)) throw new RangeError(`dli must be ≥ 0, got ${dli}`);
  if (!(hours >= 0 && hours <= 24)) throw new RangeError(`hours must be between 0 and 24, got ${hours}`);
  return dli === 0 ? 0 : dli / (hours * MOL_SECONDS);
}
