import { MOL_SECONDS } from '../../judge/dose/dli';
import type { Dli, Hours, Ppfd } from '../../units/quantities';

/** Between what hours and below what strength a plant is to be kept. */
export interface DoseLimits {
  readonly hoursMin: Hours;
  readonly hoursMax: Hours;
  readonly ppfdMax: Ppfd;
}

/** What kept an answer from what was asked. */
export type DoseLimit = 'longest-day' | 'shortest-day' | 'too-strong' | 'dark';

/** Strength, hours and the dose they make; with a limit it is the nearest that there is. */
export interface DoseAnswer {
  readonly ppfd: Ppfd;
  readonly hours: Hours;
  readonly dose: Dli;
  readonly limit: DoseLimit | null;
}

/** The dose of a strength and hours, and whether either is beyond what the plant bears. */
export function doseFrom(ppfd: Ppfd, hours: Hours, limits: DoseLimits): DoseAnswer {
  const limit =
    ppfd > limits.ppfdMax ? 'too-strong' : hours > limits.hoursMax ? 'longest-day' : hours < limits.hoursMin ? 'shortest-day' : null;
  return { ppfd, hours, dose: ppfd * hours * MOL_SECONDS, limit };
}

/** Hours that make a dose out of a strength: the nearest within the plant's day. */
export function hoursFor(dose: Dli, ppfd: Ppfd, limits: DoseLimits): DoseAnswer {
  if (!(ppfd > 0)) return { ppfd: 0, hours: limits.hoursMax, dose: 0, limit: 'dark' };
  const wanted = dose / (ppfd * MOL_SECONDS);
  const hours = Math.min(limits.hoursMax, Math.max(limits.hoursMin, wanted));
  return { ppfd, hours, dose: ppfd * hours * MOL_SECONDS, limit: wanted > hours ? 'longest-day' : wanted < hours ? 'shortest-day' : null };
}

/** The strength that makes a dose in given hours: the nearest that the plant bears. */
export function strengthFor(dose: Dli, hours: Hours, limits: DoseLimits): DoseAnswer {
  if (!(hours > 0)) return { ppfd: limits.ppfdMax, hours: 0, dose: 0, limit: 'dark' };
  const wanted = dose / (hours * MOL_SECONDS);
  const ppfd = Math.min(limits.ppfdMax, wanted);
  return { ppfd, hours, dose: ppfd * hours * MOL_SECONDS, limit: wanted > ppfd ? 'too-strong' : null };
}
