/**
 * What a figure on a box or in an advert is a figure of, with the unit it is kept in. Lengths are in metres, areas in m²; shares of one.
 */
export const CLAIM_KINDS = [
  'claimedWatts',
  'drawnWatts',
  'wattsPerArea',
  'diodeWatts',
  'diodes',
  'tubeWatts',
  'tubes',
  'amps',
  'volts',
  'lumens',
  'lumensPerTube',
  'lumensPerFixture',
  'lumensPerWatt',
  'kelvin',
  'ppf',
  'ppfd',
  'ppfdCentre',
  'efficacy',
  'dli',
  'hours',
  'lifeHours',
  'lifeYears',
  'side',
  'area',
  'distance',
  'distanceAfter',
  'sourceSize',
  'shareKept',
  'lux',
  'footCandles',
  'luxFactor',
  'costPerDay',
  'costPerMonth',
  'costPerYear',
  'pricePerKWh',
  'purchase',
  'timesPower',
] as const;
export type ClaimKind = (typeof CLAIM_KINDS)[number];

/** One figure, as read out of a text or typed. */
export interface Claim {
  readonly kind: ClaimKind;
  readonly value: number;
  /** The words it was read from; empty when typed. */
  readonly words: string;
}

/** What kind of lamp the text speaks of, where it says so. */
export type ClaimedTechnology = 'led' | 'fluorescent' | 'filament';

/** All that a box or advert says. */
export interface Claims {
  readonly figures: readonly Claim[];
  readonly technology: ClaimedTechnology | null;
  /** Red and blue diodes without white. */
  readonly isPink: boolean;
  /** The strength is said to be that of the sun. */
  readonly isOfSun: boolean;
  /** Said of two lamps: that the one which draws less costs more to run. */
  readonly lessCostsMore: boolean;
}

/** The figures of a kind, in the order in which they stand. */
export function allOf({ figures }: Claims, kind: ClaimKind): number[] {
  return figures.filter((f) => f.kind === kind).map((f) => f.value);
}

/** The first figure of a kind, or null. */
export function oneOf(claims: Claims, kind: ClaimKind): number | null {
  return allOf(claims, kind)[0] ?? null;
}
