import type { Uncertainty } from './Band';

/** How sure a word is: `sure` when at least 99 in 100 lamps as uncertain as this one would earn it, `likely` for 90, else `open`. */
export type Certainty = 'sure' | 'likely' | 'open';

const SURE = 0.99;
const LIKELY = 0.9;

export const certaintyFor = (probability: number): Certainty => (probability >= SURE ? 'sure' : probability >= LIKELY ? 'likely' : 'open');

/** How many possible worlds are looked at. */
export const WORLDS = 400;

/** Half-width of a nine-in-ten band of a normal distribution, in standard deviations. */
const NINE_IN_TEN = 1.645;

/** So many independent reasons for doubt are told apart; later ones share the numbers of the first. */
const WAYS = 12;

/**
 * Standard normal numbers for each world and reason, spread evenly (the ranks of a rank-one lattice with the generalised golden ratio) and
 * always the same: a verdict does not flicker.
 * Source: Roberts 2018, the R-sequence, for the lattice; Acklam's rational approximation of the normal quantile, error < 1.2e-9.
 */
const NORMALS: readonly Float64Array[] = Array.from({ length: WAYS }, (_, way) => {
  let ratio = 2;
  for (let i = 0; i < 40; i++) ratio = (1 + ratio) ** (1 / (WAYS + 1));
  const step = ratio ** -(way + 1);
  const places = Array.from({ length: WORLDS }, (__, world) => (0.5 + step * (world + 1)) % 1);
  // By their ranks, so that no reason has more of the tails than it should: three in four hundred had come out beyond 3.5 deviations.
  const ranks = new Map([...places].sort((a, b) => a - b).map((place, rank) => [place, rank]));
  return Float64Array.from(places, (place) => normalQuantile((ranks.get(place)! + 0.5) / WORLDS));
});

/** Logarithms of what a doubt does to the light at one half-width down and up. */
export interface DoubtLogs {
  readonly down: number;
  readonly up: number;
}

export const logsOf = ({ low, high }: Pick<Uncertainty, 'low' | 'high'>): DoubtLogs => ({
  down: Math.log(Math.max(1 - low, 1e-3)),
  up: Math.log(1 + high),
});

/** Adds the logarithms of the factors by which a doubt changes the light, world by world: as far down as up in rank, each side by its own half-width. */
export function addLogFactors(sums: Float64Array, way: number, { down, up }: DoubtLogs): void {
  const normals = NORMALS[way % WAYS]!;
  for (let world = 0; world < sums.length; world++) {
    const z = normals[world]! / NINE_IN_TEN;
    sums[world]! += z < 0 ? -z * down : z * up;
  }
}

/** A number of a standard normal distribution in a world, for what is not a factor: such as a hand's error in centimetres. */
export const normalIn = (world: number, way: number): number => NORMALS[way % WAYS]![world]!;

/** Half-width of nine in ten as a standard deviation. */
export const deviationOf = (halfWidth: number): number => halfWidth / NINE_IN_TEN;

function normalQuantile(p: number): number {
  const a = [-39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716, 2.506628277459239];
  const b = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572];
  const c = [-0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968, 2.938163982698783];
  const d = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416];
  const tail = (q: number) =>
    (((((c[0]! * q + c[1]!) * q + c[2]!) * q + c[3]!) * q + c[4]!) * q + c[5]!) / ((((d[0]! * q + d[1]!) * q + d[2]!) * q + d[3]!) * q + 1);
  if (p < 0.02425) return tail(Math.sqrt(-2 * Math.log(p)));
  if (p > 1 - 0.02425) return -tail(Math.sqrt(-2 * Math.log(1 - p)));
  const q = p - 0.5;
  const r = q * q;
  return (
    ((((((a[0]! * r + a[1]!) * r + a[2]!) * r + a[3]!) * r + a[4]!) * r + a[5]!) * q) /
    (((((b[0]! * r + b[1]!) * r + b[2]!) * r + b[3]!) * r + b[4]!) * r + 1)
  );
}
