import type { Highs } from 'highs';
import { betterPlacing, type PlacingAsked } from '../../core/plan/placing/Placing';
import { placeQuickly, type ScoredPlacing } from '../../core/plan/placing/placeQuickly';
import { takeWeek, weekProgram } from '../../core/plan/placing/weekProgram';

/** A placing made better, and how good any can be. */
export interface Improved {
  readonly placing: ScoredPlacing;
  /** No placing has more trays in their band, over all weeks. */
  readonly bound: number;
}

/** As long as one week is worked at, seconds; what is known by then bounds it. */
const WEEK_S = 4;
const ROUNDS = 80;

/**
 * Solves each week by itself to the end, which bounds the season (weeks don't bind each other in what can be in its band), and begins the
 * search anew from what was found.
 *
 * @param told  called after each week with the share that is done and the best so far
 */
export function improve(
  highs: Highs,
  asked: PlacingAsked,
  start: ScoredPlacing,
  told: (done: number, best: ScoredPlacing) => void,
): Improved {
  const weeks = asked.needs[0]?.length ?? 0;
  let best = start;
  let bound = 0;
  // Weeks in a row that ask the same are solved once.
  const known = new Map<string, { value: number; bound: number; chosen: ReadonlyMap<number, number> }>();
  for (let t = 0; t < weeks; t++) {
    const { text, variables } = weekProgram(asked, t);
    if (text === null) continue;
    let solved = known.get(text);
    if (!solved) {
      const answer = highs.solve(text, { time_limit: WEEK_S, mip_rel_gap: 0, output_flag: false });
      const chosen = new Map<number, number>();
      for (const [name, column] of Object.entries(answer.Columns ?? {})) {
        const of = variables.get(name);
        if (of && 'Primal' in column && (column.Primal ?? 0) > 0.5) chosen.set(of.batch, of.tier);
      }
      const trays = (b: number) => asked.needs[b]![t]!.trays;
      const value = [...chosen.keys()].reduce((sum, b) => sum + trays(b), 0);
      const all = asked.needs.reduce((sum, row) => sum + row[t]!.trays, 0);
      // A week that was not solved to its end is bounded by all that stands there.
      solved = { value, bound: answer.Status === 'Optimal' ? value : all, chosen };
      known.set(text, solved);
    }
    bound += solved.bound;
    const taken = placeQuickly(asked, { rounds: 0, start: takeWeek(asked, t, best.place, solved.chosen) });
    if (betterPlacing(taken, best)) best = taken;
    told((t + 1) / (weeks + 1), best);
  }
  const searched = placeQuickly(asked, { rounds: ROUNDS, start: best.place, seed: 2 });
  if (betterPlacing(searched, best)) best = searched;
  return { placing: best, bound };
}
