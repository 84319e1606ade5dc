import { lampOf } from '../../answer/stand/benchStand';
import { replacementsIn } from '../../judge/cost/lampLife';
import { MOL_SECONDS } from '../../judge/dli/dli';
import { createCache } from '../../light/scene/Cache';
import type { Site } from '../../site/stand/Site';
import type { Stage } from '../../things/crop/Crop';
import type { Tables } from '../../things/tables/Tables';
import type { Dli, Hours, Kilograms, Metres, Ppfd, Share, Watts } from '../../units/quantities';
import { hungOver, MOST_LAMPS } from './hungOver';

/** Over which tier, for plants of which stage. */
export interface CompareAsked {
  readonly site: Site;
  readonly tierId: string;
  readonly lampIds: readonly string[];
  readonly stage: Pick<Stage, 'dliMin' | 'dliTarget' | 'dliMax' | 'ppfdMax' | 'hoursMax'>;
}

/** So many lamps of a kind over the whole tier, at their best distance and hours. */
export interface LampFit {
  readonly lampId: string;
  readonly count: number;
  readonly distance: Metres;
  readonly hours: Hours;
  /** Mean over the place that gets least and most; strongest spot. */
  readonly weakest: Ppfd;
  readonly strongest: Ppfd;
  readonly spot: Ppfd;
  /** Dimmest spot against the mean. */
  readonly uniformity: Share;
  /** Dose of the place that gets least. */
  readonly dli: Dli;
  /** The target is reached everywhere, and nothing is stronger or longer than the plants bear. */
  readonly reaches: boolean;
  readonly power: Watts;
  readonly weight: Kilograms;
}

/**
 * Makes lamps equal in light: for each kind the fewest that bring the weakest place of a tier to the crop's target, hung as well as they can
 * be, their hours cut to that dose. Where not even the most do, the best that they reach.
 *
 * @throws RangeError when the tier or a lamp is not there: a caller's mistake
 */
export function compareLamps({ site, tierId, lampIds, stage }: CompareAsked, tables: Tables): LampFit[] {
  const tier = site.stands.flatMap((s) => s.tiers).find((t) => t.id === tierId);
  if (!tier) throw new RangeError(`there is no tier ${tierId}`);
  const cache = createCache(64);
  return lampIds.map((lampId) => {
    const lamp = lampOf(site, lampId, tables);
    let best: LampFit | null = null;
    for (let count = 1; count <= MOST_LAMPS; count++) {
      const carry = hungOver(site, tier, Array<string>(count).fill(lampId), tables, cache);
      if (!carry) break;
      for (const a of carry.at) {
        const wanted = stage.dliTarget / (a.weakest * MOL_SECONDS);
        const hours = Math.min(wanted, stage.hoursMax);
        const dose = a.weakest * hours * MOL_SECONDS;
        const bears = a.spot <= stage.ppfdMax && a.strongest * hours * MOL_SECONDS <= stage.dliMax;
        const fit: LampFit = {
          lampId,
          count,
          distance: a.distance,
          hours,
          weakest: a.weakest,
          strongest: a.strongest,
          spot: a.spot,
          uniformity: a.dimmest / a.mean,
          dli: dose,
          reaches: bears && wanted <= stage.hoursMax + 1e-9,
          power: count * lamp.power,
          weight: count * lamp.weight_kg,
        };
        if (bears && (best === null || better(fit, best))) best = fit;
      }
      if (best?.reaches) break;
    }
    return best ?? none(lampId);
  });
}

/** Reaching comes first, then the shorter day, which is the cheaper one; of those that don't reach the greater dose. */
const better = (a: LampFit, b: LampFit): boolean =>
  a.reaches !== b.reaches ? a.reaches : a.reaches ? a.power * a.hours < b.power * b.hours - 1e-9 : a.dli > b.dli + 1e-9;

/** Nowhere over the tier can it hang without being too strong somewhere. */
const none = (lampId: string): LampFit => ({
  lampId,
  count: 0,
  distance: 0,
  hours: 0,
  weakest: 0,
  strongest: 0,
  spot: 0,
  uniformity: 0,
  dli: 0,
  reaches: false,
  power: 0,
  weight: 0,
});

/** What owning lamps costs over the years. */
export interface CostAsked {
  readonly price: number;
  readonly life_h: Hours;
  readonly price_per_kWh: number;
  /** By how much power gets dearer each year, a share. */
  readonly dearerPerYear: number;
  readonly daysPerYear: number;
  readonly years: number;
}

/** Money spent by the end of each year, beginning with the purchase. */
export function spentByYear({ count, power, hours }: Pick<LampFit, 'count' | 'power' | 'hours'>, asked: CostAsked): number[] {
  const { price, life_h, price_per_kWh, dearerPerYear, daysPerYear, years } = asked;
  const kWh = (power * hours * daysPerYear) / 1000;
  let energy = 0;
  return Array.from({ length: years + 1 }, (_, y) => {
    if (y > 0) energy += kWh * price_per_kWh * (1 + dearerPerYear) ** (y - 1);
    const replaced = y === 0 || hours === 0 ? 0 : replacementsIn(y, life_h, hours, daysPerYear);
    return count * price * (1 + replaced) + energy;
  });
}

/** The first year by whose end the one that was dearer to buy has cost no more than the other; null: not within the years. */
export function breaksEvenIn(dear: readonly number[], cheap: readonly number[]): number | null {
  if (dear[0]! <= cheap[0]!) return null;
  const year = dear.findIndex((d, y) => y > 0 && d <= cheap[y]!);
  return year < 0 ? null : year;
}
