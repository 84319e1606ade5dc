import type { Day } from '../../units/day';

/** What is known of a tray of seed. */
export interface WatchAsked {
  readonly temperature: { readonly least: number; readonly best: number; readonly most: number };
  readonly days: { readonly first: number; readonly last: number };
  readonly needsLight: boolean;
  readonly compost_C: number;
  readonly sown: Day;
}

/** When it may be up. */
export interface EmergenceWindow {
  readonly first: Day;
  readonly last: Day;
  readonly lampBy: Day;
}

/** Growth stops so far below the least temperature of a table, °C: our own simplification of linear thermal time. */
const BELOW_LEAST = 2;

/**
 * Between which days seed comes up. From the best temperature up to the most the table's days hold; below it they lengthen as the warmth
 * above a base falls short (linear thermal time, our simplification). Null: too cold or too hot to come up at all.
 */
export function emergenceWindow({ temperature, days, needsLight, compost_C, sown }: WatchAsked): EmergenceWindow | null {
  const { least, best, most } = temperature;
  if (compost_C < least || compost_C > most) return null;
  const base = least - BELOW_LEAST;
  const slower = compost_C >= best ? 1 : (best - base) / (compost_C - base);
  const first = sown + Math.floor(days.first * slower + 1e-9);
  return { first, last: sown + Math.ceil(days.last * slower - 1e-9), lampBy: needsLight ? sown : first - 1 };
}

export type WatchVerdict =
  | 'no-emergence-expected'
  | 'lamp-on-in-time'
  | 'switch-on-now'
  | 'switch-on-before-leaving'
  | 'nothing-before-return'
  | 'lamp-comes-on-too-late';

/** What a trip means for a tray of seed. */
export interface AwayWatch {
  readonly window: EmergenceWindow | null;
  readonly mayEmerge: boolean;
  /** Days in the dark of the first that may be up, by the lamp or the return. */
  readonly worstDarkDays: number;
  readonly verdict: WatchVerdict;
  readonly warnings: readonly ('mat-may-run-under-seedlings' | 'cover-may-stay-on-seedlings')[];
}

/** @param lampFrom  from which day on the lamp burns daily; null: it is off, and at home one can switch it on up to the day of leaving */
export function awayWatch(
  asked: WatchAsked,
  { lampFrom, leave, back, mat, cover }: { lampFrom: Day | null; leave: Day; back: Day; mat: boolean; cover: boolean },
): AwayWatch {
  const window = emergenceWindow(asked);
  if (!window) return { window, mayEmerge: false, worstDarkDays: 0, verdict: 'no-emergence-expected', warnings: [] };
  // Somebody is there again on the day of return.
  const mayEmerge = window.first < back;
  const lit = lampFrom ?? back;
  const verdict = (): WatchVerdict => {
    if (lampFrom !== null && lampFrom <= window.lampBy) return 'lamp-on-in-time';
    if (window.first <= leave) return 'switch-on-now';
    if (!mayEmerge) return 'nothing-before-return';
    return lampFrom === null ? 'switch-on-before-leaving' : 'lamp-comes-on-too-late';
  };
  const said = verdict();
  return {
    window,
    mayEmerge,
    worstDarkDays: mayEmerge ? Math.max(0, lit - window.first) : 0,
    verdict: said,
    warnings: [
      ...(mayEmerge && mat ? (['mat-may-run-under-seedlings'] as const) : []),
      ...(mayEmerge && cover ? (['cover-may-stay-on-seedlings'] as const) : []),
    ],
  };
}
