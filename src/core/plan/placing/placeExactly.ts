import {
  BAND_ONLY,
  bestLevel,
  OFF,
  scorePlacing,
  type LevelChosen,
  type PlacedNeed,
  type Placing,
  type PlacingAsked,
  type PlacingScore,
} from './Placing';

/** As many combinations of places in one week as are gone through. */
export const MOST_STATES = 3_000_000;

/** Where a batch may stand in a week; one that is pinned stays or stands nowhere. */
export const placesOf = (asked: PlacingAsked, batch: number, need: PlacedNeed): number[] => {
  const pinned = asked.pinned?.[batch] ?? null;
  if (pinned !== null && asked.settled?.[batch]) return [pinned];
  return [OFF, ...asked.tiers.keys()].filter((k) => {
    if (pinned !== null && k !== OFF && k !== pinned) return false;
    return k === OFF || (need.height_cm <= asked.tiers[k]!.clear_cm && need.trays <= asked.tiers[k]!.places);
  });
};

/** How many combinations of places the largest week has. */
export function statesOf(asked: PlacingAsked): number {
  const weeks = asked.needs[0]?.length ?? 0;
  return Math.max(
    1,
    ...Array.from({ length: weeks }, (_, t) =>
      asked.needs.reduce((n, row, b) => n * (row[t]!.trays > 0 ? placesOf(asked, b, row[t]!).length : 1), 1),
    ),
  );
}

/** A week on its own: the batches on the shelves, where each may stand, and for each combination what it gives. */
interface Week {
  readonly batches: readonly number[];
  readonly places: readonly (readonly number[])[];
  /** Power of each combination that is worth the most; ∞ for the others. */
  readonly cost: Float64Array;
  readonly value: number;
}

function weekOf(asked: PlacingAsked, t: number): Week {
  const batches = [...asked.needs.keys()].filter((b) => asked.needs[b]![t]!.trays > 0);
  const places = batches.map((b) => placesOf(asked, b, asked.needs[b]![t]!));
  const size = places.reduce((n, p) => n * p.length, 1);
  const cost = new Float64Array(size).fill(Infinity);
  const gain = new Float64Array(size).fill(-Infinity);
  const masks = asked.tiers.map((tier) =>
    levelOfSet(
      asked,
      tier,
      t,
      batches.map((b) => asked.needs[b]![t]!),
    ),
  );
  const at = new Array<number>(batches.length).fill(0);
  let most = -Infinity;
  for (let index = 0; index < size; index++) {
    const sets = asked.tiers.map(() => 0);
    let fits = true;
    for (let i = 0; i < batches.length; i++) {
      const k = places[i]![at[i]!]!;
      if (k !== OFF) sets[k]! |= 1 << i;
    }
    let [worth, wh] = [0, 0];
    for (let k = 0; k < sets.length && fits; k++) {
      const best = masks[k]!(sets[k]!);
      if (!best) fits = false;
      else {
        worth += best.value;
        wh += best.wh;
      }
    }
    if (fits) {
      gain[index] = worth;
      cost[index] = wh;
      if (worth > most) most = worth;
    }
    for (let i = 0; i < batches.length; i++) {
      at[i] = at[i]! + 1;
      if (at[i]! < places[i]!.length) break;
      at[i] = 0;
    }
  }
  for (let index = 0; index < size; index++) if (gain[index] !== most) cost[index] = Infinity;
  return { batches, places, cost, value: most };
}

/** The best level for a set of batches on a tier, remembered; null where they don't fit. */
function levelOfSet(asked: PlacingAsked, tier: PlacingAsked['tiers'][number], week: number, needs: readonly PlacedNeed[]) {
  const known = new Map<number, LevelChosen | null>();
  return (set: number) => {
    const before = known.get(set);
    if (before !== undefined) return before;
    const standing = needs.filter((_, i) => set & (1 << i));
    const trays = standing.reduce((sum, n) => sum + n.trays, 0);
    const best = trays > tier.places ? null : bestLevel(tier, week, standing, asked.counts ?? BAND_ONLY);
    known.set(set, best);
    return best;
  };
}

/** The most that a week can be worth, whatever was before or comes after. */
export const mostValue = (asked: PlacingAsked, week: number): number => weekOf(asked, week).value;

/**
 * The best placing there is: most tray-weeks in their band, then fewest moves, then least power. Weeks don't bind each other as far as the
 * band goes, so each week keeps its best combinations only; between weeks the cheapest way from combination to combination is found batch by
 * batch, as a move costs the same whatever else moves.
 *
 * @returns null where a week has more than `MOST_STATES` combinations
 */
export function placeExactly(asked: PlacingAsked): (Placing & PlacingScore) | null {
  const weeks = asked.needs[0]?.length ?? 0;
  if (statesOf(asked) > MOST_STATES) return null;
  const all = Array.from({ length: weeks }, (_, t) => weekOf(asked, t));
  // A move outweighs all the power that there can be.
  const dearest = all.reduce((sum, w) => sum + w.cost.reduce((m, c) => (Number.isFinite(c) && c > m ? c : m), 0), 1);
  const MOVE = 2 ** Math.ceil(Math.log2(dearest + 1));
  // From behind: the cheapest rest of the season for each combination of a week.
  const rest: Float64Array[] = new Array<Float64Array>(weeks);
  for (let t = weeks - 1; t >= 0; t--) {
    const own = all[t]!.cost.slice();
    if (t < weeks - 1) {
      const ahead = carry(all[t + 1]!, rest[t + 1]!, all[t]!, MOVE);
      for (let i = 0; i < own.length; i++) own[i]! += ahead[i]!;
    }
    rest[t] = own;
  }
  const place = asked.needs.map(() => new Array<number | null>(weeks).fill(null));
  let before: { week: Week; index: number } | null = null;
  for (let t = 0; t < weeks; t++) {
    const week = all[t]!;
    const were: readonly (number | null)[] = before
      ? wereAt(before.week, before.index, week)
      : week.batches.map((b) => asked.before?.[b] ?? null);
    const index: number = cheapestFrom(were, week, rest[t]!, MOVE);
    placesAt(week, index).forEach((k, i) => (place[week.batches[i]!]![t] = k));
    before = { week, index };
  }
  return { place, ...scorePlacing(asked, place) };
}

const placesAt = ({ places }: Week, index: number): number[] => {
  let left = index;
  return places.map((p) => {
    const at = left % p.length;
    left = (left - at) / p.length;
    return p[at]!;
  });
};

/** Where the batches of a week stood the week before; null: not on the shelves. */
function wereAt(before: Week, index: number, week: Week): (number | null)[] {
  const were = placesAt(before, index);
  return week.batches.map((b) => {
    const i = before.batches.indexOf(b);
    return i < 0 ? null : were[i]!;
  });
}

/** For each combination of the week before, the cheapest way on; worked out batch by batch. */
function carry(week: Week, rest: Float64Array, before: Week, MOVE: number): Float64Array {
  let values = rest;
  let batches = [...week.batches];
  let places = week.places.map((p) => [...p]);
  // Batches that are new this week are free to choose; the others pay for a place that differs.
  for (let i = 0; i < batches.length;) {
    const b = batches[i]!;
    const was = before.batches.indexOf(b);
    const to = was < 0 ? null : before.places[was]!;
    values = replaceAxis(
      values,
      places.map((p) => p.length),
      i,
      places[i]!,
      to,
      MOVE,
    );
    if (to) {
      places[i] = [...to];
      i++;
    } else {
      batches = batches.filter((_, j) => j !== i);
      places = places.filter((_, j) => j !== i);
    }
  }
  // The week before has them in its own order, and some that leave.
  const sizes = before.places.map((p) => p.length);
  const total = sizes.reduce((n, s) => n * s, 1);
  const out = new Float64Array(total);
  const strides = new Map<number, number>();
  let stride = 1;
  batches.forEach((b, i) => {
    strides.set(b, stride);
    stride *= places[i]!.length;
  });
  const steps = before.batches.map((b) => strides.get(b) ?? 0);
  const at = new Array<number>(sizes.length).fill(0);
  let from = 0;
  for (let index = 0; index < total; index++) {
    out[index] = values[from]!;
    for (let i = 0; i < sizes.length; i++) {
      at[i] = at[i]! + 1;
      from += steps[i]!;
      if (at[i]! < sizes[i]!) break;
      from -= steps[i]! * sizes[i]!;
      at[i] = 0;
    }
  }
  return out;
}

/** The least over one batch's places, seen from each of its places the week before; null: it was not there, so the axis goes. */
function replaceAxis(
  values: Float64Array,
  sizes: readonly number[],
  axis: number,
  places: readonly number[],
  to: readonly number[] | null,
  MOVE: number,
): Float64Array {
  const inner = sizes.slice(0, axis).reduce((n, s) => n * s, 1);
  const size = sizes[axis]!;
  const outer = sizes.slice(axis + 1).reduce((n, s) => n * s, 1);
  const width = to ? to.length : 1;
  const same = to ? to.map((k) => places.indexOf(k)) : [];
  const out = new Float64Array(inner * width * outer);
  for (let o = 0; o < outer; o++)
    for (let i = 0; i < inner; i++) {
      let least = Infinity;
      for (let s = 0; s < size; s++) {
        const v = values[(o * size + s) * inner + i]!;
        if (v < least) least = v;
      }
      if (!to) {
        out[o * inner + i] = least;
        continue;
      }
      for (let w = 0; w < width; w++) {
        const stay = same[w]! < 0 ? Infinity : values[(o * size + same[w]!) * inner + i]!;
        out[(o * width + w) * inner + i] = Math.min(stay, least + MOVE);
      }
    }
  return out;
}

function cheapestFrom(was: readonly (number | null)[], week: Week, rest: Float64Array, MOVE: number): number {
  let [best, least] = [0, Infinity];
  const at = new Array<number>(week.batches.length).fill(0);
  for (let i = 0; i < rest.length; i++) {
    if (rest[i]! < least) {
      let value = rest[i]!;
      for (let j = 0; j < at.length; j++) if (was[j] !== null && was[j] !== week.places[j]![at[j]!]) value += MOVE;
      if (value < least) [best, least] = [i, value];
    }
    for (let j = 0; j < at.length; j++) {
      at[j] = at[j]! + 1;
      if (at[j]! < week.places[j]!.length) break;
      at[j] = 0;
    }
  }
  return best;
}
