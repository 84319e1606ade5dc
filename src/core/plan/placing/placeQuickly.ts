import { mulberry } from '../../units/mulberry';
import { placesOf } from './placeExactly';
import {
  BAND_ONLY,
  bestLevel,
  betterPlacing,
  OFF,
  scorePlacing,
  suits,
  type LevelChosen,
  type PlacedNeed,
  type Placing,
  type PlacingAsked,
  type PlacingScore,
} from './Placing';

/** A placing with what it comes to. */
export type ScoredPlacing = Placing & PlacingScore;

/** When to stop and what to say meanwhile. */
export interface Search {
  /** Rounds of taking some batches out and putting them back. */
  readonly rounds: number;
  /** Of a hundred rounds how many are done; false stops. */
  readonly onRound?: (done: number, best: ScoredPlacing) => boolean;
  readonly seed?: number;
  /** Where to begin; left out: from nothing. */
  readonly start?: Placing['place'];
}

/**
 * A good placing at once: batches are put in one after another, each on its best way through the weeks given where the others stand (a
 * shortest path over its tiers, so no better way of one batch alone is left); then some are taken out, often those that are out of their
 * band and what stands in their way, and put back in another order, as long as it gets better. The same question gives the same answer.
 */
export function placeQuickly(asked: PlacingAsked, { rounds, onRound, seed = 1, start }: Search): ScoredPlacing {
  const weeks = asked.needs[0]?.length ?? 0;
  const counts = asked.counts ?? BAND_ONLY;
  const batches = [...asked.needs.keys()];
  const may = asked.needs.map((row, b) => row.map((need) => (need.trays > 0 ? placesOf(asked, b, need) : [])));
  const stays = (b: number) => (asked.settled?.[b] ? (asked.pinned?.[b] ?? OFF) : OFF);
  const place = asked.needs.map((row, b) => row.map((n): number | null => (n.trays > 0 ? stays(b) : null)));
  const random = mulberry(seed);

  /** What a tier in a week gives with one batch more than stands there; null where it does not fit. */
  const known = new Map<string, LevelChosen | null>();
  const standingOn = (k: number, t: number) => batches.filter((b) => place[b]![t] === k);
  function gives(k: number, t: number, who: readonly number[]): LevelChosen | null {
    const key = `${k},${t},${who.join()}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    const standing = who.map((b) => asked.needs[b]![t]!);
    const trays = standing.reduce((sum, n) => sum + n.trays, 0);
    const best = trays > asked.tiers[k]!.places ? null : bestLevel(asked.tiers[k]!, t, standing, counts);
    if (known.size > 200_000) known.clear();
    known.set(key, best);
    return best;
  }

  // A move weighs more than all the power, and a tray's worth more than all the moves.
  const power = 1 + asked.tiers.reduce((sum, tier) => sum + 7 * weeks * Math.max(0, ...tier.levels.map((l) => l.wh_per_day)), 0);
  const MOVE = power;
  const WORTH = MOVE * (1 + batches.length * weeks);

  /** The best way of one batch through its weeks, all others standing where they are. */
  function route(b: number) {
    const row = asked.needs[b]!;
    const first = row.findIndex((n) => n.trays > 0);
    if (first < 0) return;
    for (let t = 0; t < weeks; t++) if (place[b]![t] !== null) place[b]![t] = OFF;
    // From behind: the best rest from each place of a week.
    const gains: number[][] = [];
    const rest: number[][] = new Array<number[]>(weeks);
    for (let t = weeks - 1; t >= 0; t--) {
      const here = may[b]![t]!;
      gains[t] = here.map((k) => {
        if (k === OFF) return 0;
        const others = standingOn(k, t);
        const with_ = gives(
          k,
          t,
          [...others, b].sort((x, y) => x - y),
        );
        if (!with_) return -Infinity;
        const without = gives(k, t, others)!;
        return WORTH * (with_.value - without.value) - (with_.wh - without.wh);
      });
      const next = may[b]![t + 1] ?? [];
      rest[t] = here.map(
        (k, i) => gains[t]![i]! + (next.length > 0 ? Math.max(...next.map((to, j) => rest[t + 1]![j]! - (to === k ? 0 : MOVE))) : 0),
      );
    }
    let was = asked.before?.[b] ?? null;
    for (let t = 0; t < weeks; t++) {
      const here = may[b]![t]!;
      if (here.length === 0) {
        was = null;
        continue;
      }
      let [best, most] = [0, -Infinity];
      here.forEach((k, i) => {
        const value = rest[t]![i]! - (was === null || was === k ? 0 : MOVE);
        if (value > most) [best, most] = [i, value];
      });
      place[b]![t] = here[best]!;
      was = here[best]!;
    }
  }

  const weight = (b: number) => asked.needs[b]!.reduce((sum, n) => sum + n.trays * (1 + n.dliMin), 0);
  const movable = batches.filter((b) => stays(b) === OFF);
  const order = [...movable].sort((a, b) => weight(b) - weight(a));
  if (start) start.forEach((row, b) => row.forEach((k, t) => (place[b]![t] = k)));
  else for (const b of order) route(b);
  for (const b of order) route(b);
  const snapshot = () => place.map((row) => [...row]);
  const scored = (): ScoredPlacing => ({ place: snapshot(), ...scorePlacing(asked, place) });
  let best = scored();
  for (let round = 0; round < rounds; round++) {
    if (onRound && !onRound(round / rounds, best)) break;
    // One that is out of its band somewhere, or any; with some that stand where it could.
    const troubled = movable.filter((b) => asked.needs[b]!.some((n, t) => n.trays > 0 && !isWell(asked, best, b, t, n)));
    const from = troubled.length > 0 && random() < 0.7 ? troubled : movable;
    const seedBatch = from[Math.floor(random() * from.length)];
    if (seedBatch === undefined) break;
    const others = movable
      .filter((b) => b !== seedBatch)
      .map((b) => ({ b, at: random() }))
      .sort((x, y) => x.at - y.at);
    const out = [seedBatch, ...others.slice(0, 1 + Math.floor(random() * Math.min(4, others.length))).map((o) => o.b)];
    for (const b of out) for (let t = 0; t < weeks; t++) if (place[b]![t] !== null) place[b]![t] = OFF;
    for (const b of out) route(b);
    for (const b of out) route(b);
    const now = scored();
    // As good is good enough: the search drifts over plans that are alike.
    if (!betterPlacing(best, now)) best = now;
    else best.place.forEach((row, b) => row.forEach((k, t) => (place[b]![t] = k)));
  }
  return best;
}

/** Whether a batch is in its band in a week of a placing. */
export function isWell(asked: PlacingAsked, { place, level }: Placing, b: number, t: number, need: PlacedNeed): boolean {
  const k = place[b]![t];
  if (k === null || k === undefined || k === OFF) return false;
  const tier = asked.tiers[k]!;
  return suits(need, tier.levels[level[k]![t]!]!, tier.daylight?.[t] ?? 0) === 'in';
}
