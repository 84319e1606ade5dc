import { MOL_SECONDS } from '../../judge/dli/dli';
import type { Dli, Hours, Ppfd } from '../../units/quantities';

/** Between what hours and below what strength a plant is to be kept. */
export interface DliLimits {
  readonly hoursMin: Hours;
  readonly hoursMax: Hours;
  readonly ppfdMax: Ppfd;
}

/** What kept an answer from what was asked. */
export type DliLimit = 'longest-day' | 'shortest-day' | 'too-strong' | 'dark';

/** Strength, hours and the dose they make; with a limit it is the nearest that there is. */
export interface DliAnswer {
  readonly ppfd: Ppfd;
  readonly hours: Hours;
  readonly dli: Dli;
  readonly limit: DliLimit | null;
}

/** The dose of a strength and hours, and whether either is beyond what the plant bears. */
export function dliWithin(ppfd: Ppfd, hours: Hours, limits: DliLimits): DliAnswer {
  const limit =
    ppfd > limits.ppfdMax ? 'too-strong' : hours > limits.hoursMax ? 'longest-day' : hours < limits.hoursMin ? 'shortest-day' : null;
  return { ppfd, hours, dli: ppfd * hours * MOL_SECONDS, limit };
}

/** Hours that make a dose out of a strength: the nearest within the plant's day. */
export function hoursWithin(dose: Dli, ppfd: Ppfd, limits: DliLimits): DliAnswer {
  if (!(ppfd > 0)) return { ppfd: 0, hours: limits.hoursMax, dli: 0, limit: 'dark' };
  const wanted = dose / (ppfd * MOL_SECONDS);
  const hours = Math.min(limits.hoursMax, Math.max(limits.hoursMin, wanted));
  return { ppfd, hours, dli: ppfd * hours * MOL_SECONDS, limit: wanted > hours ? 'longest-day' : wanted < hours ? 'shortest-day' : null };
}

/** The strength that makes a dose in given hours: the nearest that the plant bears. */
export function ppfdWithin(dose: Dli, hours: Hours, limits: DliLimits): DliAnswer {
  if (!(hours > 0)) return { ppfd: limits.ppfdMax, hours: 0, dli: 0, limit: 'dark' };
  const wanted = dose / (hours * MOL_SECONDS);
  const ppfd = Math.min(limits.ppfdMax, wanted);
  return { ppfd, hours, dli: ppfd * hours * MOL_SECONDS, limit: wanted > ppfd ? 'too-strong' : null };
}
