import { CAUSES, type Cause } from './Cause';
import type { Circumstances } from './Circumstances';
import { factsOf, type Fact } from './facts';
import { SIGNS, type Sign } from './signs';

/** How often each is met before anything is known, against each other; growers' consensus, set by us. */
export const PRIORS: Readonly<Record<Cause, number>> = {
  'light-too-weak': 10,
  'hours-too-few': 3,
  'light-on-late': 4,
  'uneven-coverage': 4,
  'one-sided-light': 3,
  'wrong-spectrum': 2,
  'too-warm': 5,
  'mat-left-on': 3,
  crowding: 4,
  'still-air': 3,
  overwatering: 6,
  underwatering: 4,
  'light-too-strong': 4,
  'sudden-change': 3,
  'hot-spot': 2,
  'lamp-heat': 2,
  'continuous-light-injury': 1,
  'nitrogen-short': 4,
  'iron-or-ph': 2,
  'magnesium-short': 1.5,
  'phosphorus-short': 1.5,
  'cold-roots': 2,
  overfed: 3,
  'damping-off': 3,
  'tip-burn-calcium': 1.5,
  'cold-draught': 0.8,
  oedema: 1,
  'normal-for-kind': 2,
  'old-leaf-ageing': 2,
  'root-bound': 3,
  'transplant-shock': 2,
  'lamp-ageing': 1.5,
  'timer-fault': 1.5,
  'dry-air': 2,
  'long-days': 1,
  'intended-blackout': 1,
  'too-cold': 2,
  'seed-coat': 1,
};

/** A sign that a cause does not explain makes it this many times less likely. */
export const UNEXPLAINED = 0.35;

/** A sign or a fact, and how much it speaks for a cause; below 1 it speaks against. */
export interface Ground {
  readonly of: Sign | Fact;
  readonly factor: number;
}

export interface WeighedCauses {
  readonly cause: Cause;
  /** Of all causes together; they add up to 1. */
  readonly share: number;
  readonly grounds: readonly Ground[];
}

/**
 * Weighs all causes: how often each is met, times what every sign and every fact speaks for it, taken as independent (naive Bayes).
 * The order of signs does not matter, what is not known moves nothing but the few causes that are rare unless something points at them, and a ground that speaks for a cause never lowers its weight.
 *
 * @returns all causes, the likeliest first; their shares add up to 1
 */
export function weighCauses(circumstances: Circumstances, facts: readonly Fact[] = factsOf(circumstances)): WeighedCauses[] {
  const weighed = logsOf(circumstances, facts);
  const total = logTotal(weighed);
  return weighed
    .map(({ cause, grounds, log }) => ({ cause, grounds, share: Math.exp(log - total) }))
    .sort((a, b) => b.share - a.share || CAUSES.indexOf(a.cause) - CAUSES.indexOf(b.cause));
}

/** How well some facts go with the signs, all causes together, as a logarithm: to be held against other facts of the same signs. */
export const fitOf = (circumstances: Circumstances, facts: readonly Fact[]): number => logTotal(logsOf(circumstances, facts));

function logTotal(weighed: readonly { readonly log: number }[]): number {
  const most = Math.max(...weighed.map((w) => w.log));
  return most + Math.log(weighed.reduce((sum, w) => sum + Math.exp(w.log - most), 0));
}

function logsOf(circumstances: Circumstances, facts: readonly Fact[]) {
  const signs = [...new Set(circumstances.signs)];
  return CAUSES.map((cause) => {
    const grounds: Ground[] = [
      ...signs.map((of) => ({ of, factor: factorOf(of, cause) })),
      ...facts.flatMap((of) => {
        const factor = of.factors[cause];
        return factor === undefined || factor === 1 ? [] : [{ of, factor }];
      }),
    ];
    return { cause, grounds, log: grounds.reduce((sum, g) => sum + Math.log(g.factor), Math.log(PRIORS[cause])) };
  });
}

/** How much a sign speaks for a cause. */
export function factorOf(sign: Sign, cause: Cause): number {
  return (SIGNS[sign].speaksFor as Partial<Record<Cause, number>>)[cause] ?? UNEXPLAINED;
}
