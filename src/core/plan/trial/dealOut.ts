import { mulberry } from '../../units/mulberry';
import type { Arm, TrialTrayRow } from '../../site/trial/Trial';

/** Whole numbers below `n` by chance, the same for the same seed. */
function chanceOf(seed: number): (n: number) => number {
  const random = mulberry(seed);
  return (n) => Math.floor(random() * n);
}

function shuffled<T>(list: readonly T[], below: (n: number) => number): T[] {
  const out = [...list];
  for (let i = out.length - 1; i > 0; i--) {
    const j = below(i + 1);
    [out[i], out[j]] = [out[j]!, out[i]!];
  }
  return out;
}

/** Letters and figures that can't be taken for each other. */
const LETTERS = 'ABCDEFHKMNPRTWXY';
const FIGURES = '346789';

/** A code for a tray that tells nothing of its arm; none of those that are taken. */
export function codeFor(taken: readonly string[], seed: number): string {
  const below = chanceOf(seed + taken.length);
  for (;;) {
    const code = LETTERS[below(LETTERS.length)]! + FIGURES[below(FIGURES.length)]!;
    if (!taken.includes(code)) return code;
    if (taken.length >= LETTERS.length * FIGURES.length) return `${code}${taken.length}`;
  }
}

/**
 * Deals the arms out to the trays by chance, as evenly as can be, within each block: so that shelves and windows fall on all arms alike.
 * The same seed deals the same way. Fisher 1935.
 */
export function dealOut(trays: readonly TrialTrayRow[], arms: readonly Arm[], seed: number): TrialTrayRow[] {
  const below = chanceOf(seed);
  const arm = new Map<string, Arm['id']>();
  const counts = new Map(arms.map((a) => [a.id, 0]));
  for (const block of [...new Set(trays.map((t) => t.block))]) {
    const within = shuffled(
      trays.filter((t) => t.block === block),
      below,
    );
    // Those with fewest trays so far come first, chance among equals.
    let hand: Arm['id'][] = [];
    for (const tray of within) {
      if (hand.length === 0)
        hand = shuffled(
          arms.map((a) => a.id),
          below,
        ).sort((a, b) => counts.get(a)! - counts.get(b)!);
      const id = hand.shift()!;
      counts.set(id, counts.get(id)! + 1);
      arm.set(tray.code, id);
    }
  }
  return trays.map((t) => ({ ...t, arm: arm.get(t.code)! }));
}
