/** What a batch needs in a week: 0 trays where it is not on the shelves. */
export interface PlacedNeed {
  readonly trays: number;
  readonly dliMin: number;
  readonly dliMax: number;
  readonly height_cm: number;
  /** Of the lamp's day; left out: any. */
  readonly hours?: { readonly least: number; readonly most: number };
  /** Strongest light at any leaf, µmol m⁻² s⁻¹; left out: any. */
  readonly spotMost_umol?: number;
}

/** A level that a tier's light can be set to, and what a day of it takes. */
export interface TierLevel {
  /** Where it is least, mol m⁻² d⁻¹. */
  readonly dli: number;
  readonly wh_per_day: number;
  /** Where it is most; left out: the same everywhere. */
  readonly dliMost?: number;
  readonly spot_umol?: number;
  /** Of the lamp's day. */
  readonly hours?: number;
  /** Leaf tops that this level leaves room for; left out: the tier's. */
  readonly clear_cm?: number;
}

/** A tier as places for trays. */
export interface PlacingTier {
  readonly places: number;
  readonly clear_cm: number;
  /** Daylight by week, mol m⁻² d⁻¹, on top of every level; left out: none. */
  readonly daylight?: readonly number[];
  /** Off first. */
  readonly levels: readonly TierLevel[];
}

/** What a tray's week on a tier is worth, whole numbers; nowhere: nothing. */
export interface CountWeights {
  readonly inBand: number;
  readonly below: number;
  readonly above: number;
}

/** Only the band counts. */
export const BAND_ONLY: CountWeights = { inBand: 1, below: 0, above: 0 };

/** Batches by weeks, on tiers. */
export interface PlacingAsked {
  /** Left out: only the band counts. */
  readonly counts?: CountWeights;
  readonly tiers: readonly PlacingTier[];
  /** By batch, by week. */
  readonly needs: readonly (readonly PlacedNeed[])[];
  /** Tiers that a batch must stand on, by batch; null: any. */
  readonly pinned?: readonly (number | null)[];
  /** What stays on its pinned tier whatever else would like its room; left out: nothing. Together they must fit. */
  readonly settled?: readonly boolean[];
  /** Where each stands before the first week: leaving it is a move; null: nowhere yet. */
  readonly before?: readonly (number | null)[];
}

/** Where a batch stands: a tier, or −1, nowhere. */
export const OFF = -1;

/** By batch and week where it stands (null: not on the shelves), by tier and week which level is set. */
export interface Placing {
  readonly place: readonly (readonly (number | null)[])[];
  readonly level: readonly (readonly number[])[];
}

/** How good a placing is: the first counts most. */
export interface PlacingScore {
  readonly value: number;
  /** Trays in their band, over all weeks. */
  readonly inBand: number;
  readonly moves: number;
  readonly energy_wh: number;
}

/** Whether one is better than another: by worth, then moves, then power. */
export const betterPlacing = (a: PlacingScore, b: PlacingScore): boolean =>
  a.value !== b.value ? a.value > b.value : a.moves !== b.moves ? a.moves < b.moves : a.energy_wh < b.energy_wh - 1e-9;

export const demandOf = ({ needs }: PlacingAsked): number => needs.reduce((sum, row) => sum + row.reduce((s, n) => s + n.trays, 0), 0);

const DAYS = 7;

/** What a tier gives in a week at its best level. */
export interface LevelChosen {
  readonly level: number;
  readonly value: number;
  readonly inBand: number;
  readonly wh: number;
}

/** What may not be done to a batch, whatever else would be gained by it: a day too long, a spot too strong, leaves in the lamp. */
export const isForbidden = (need: PlacedNeed, { spot_umol = 0, hours = 0, clear_cm = Infinity }: TierLevel): boolean =>
  spot_umol > (need.spotMost_umol ?? Infinity) || hours > (need.hours?.most ?? Infinity) || need.height_cm > clear_cm;

/** What a level's dose does to a batch: too little, too much, or as it should be. */
export function suits(need: PlacedNeed, level: TierLevel, daylight: number): 'in' | 'below' | 'above' {
  const { dli, dliMost = dli, hours } = level;
  if (isForbidden(need, level) || dliMost + daylight > need.dliMax) return 'above';
  return dli + daylight < need.dliMin || (hours !== undefined && hours < (need.hours?.least ?? 0)) ? 'below' : 'in';
}

/** The best level of a tier for what stands on it in a week, of those that none of it forbids: most worth, then the least power. */
export function bestLevel(tier: PlacingTier, week: number, standing: readonly PlacedNeed[], counts: CountWeights): LevelChosen {
  let best: LevelChosen = { level: 0, value: -Infinity, inBand: 0, wh: 0 };
  const daylight = tier.daylight?.[week] ?? 0;
  tier.levels.forEach((l, level) => {
    // Off is always allowed.
    if (standing.some((n) => isForbidden(n, l))) return;
    let [worth, inBand] = [0, 0];
    for (const n of standing) {
      const does = suits(n, l, daylight);
      if (does === 'in') inBand += n.trays;
      worth += n.trays * (does === 'in' ? counts.inBand : does === 'below' ? counts.below : counts.above);
    }
    const wh = l.wh_per_day * DAYS;
    if (worth > best.value || (worth === best.value && wh < best.wh)) best = { level, value: worth, inBand, wh };
  });
  return best;
}

/** How often batches change their place from a week to the next; coming and going is no move. */
export function movesIn(place: Placing['place'], before?: PlacingAsked['before']): number {
  let moves = place.filter((row, b) => before?.[b] != null && row[0] != null && row[0] !== before[b]).length;
  for (const row of place)
    for (let t = 1; t < row.length; t++) if (row[t] !== null && row[t - 1] !== null && row[t] !== row[t - 1]) moves++;
  return moves;
}

/** What a placing comes to, with the best level of each tier in each week. */
export function scorePlacing(asked: PlacingAsked, place: Placing['place']): PlacingScore & Pick<Placing, 'level'> {
  const weeks = asked.needs[0]?.length ?? 0;
  let [worth, inBand, energy_wh] = [0, 0, 0];
  const level = asked.tiers.map((tier, k) =>
    Array.from({ length: weeks }, (_, t) => {
      const standing = asked.needs.flatMap((row, b) => (place[b]![t] === k ? [row[t]!] : []));
      const best = bestLevel(tier, t, standing, asked.counts ?? BAND_ONLY);
      worth += best.value;
      inBand += best.inBand;
      energy_wh += best.wh;
      return best.level;
    }),
  );
  return { value: worth, inBand, moves: movesIn(place, asked.before), energy_wh, level };
}
