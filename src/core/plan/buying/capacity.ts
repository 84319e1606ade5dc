import { createCache, type Cache } from '../../light/scene/Cache';
import { tierAlone } from '../../answer/stand/benchStand';
import { sparesOf } from '../../site/ownLamps/hangingOf';
import { shelfStands } from '../../site/stand/shelfStands';
import type { Site, Tier } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Dli } from '../../units/quantities';
import { carryOf, type TierCarry } from '../season/carryOf';
import { hungOver, MOST_LAMPS, type TriedLamp } from './hungOver';
import { lit, litFor, isTolerated, servingOf, type LitFor, type Serving, type Wanted } from './serving';

export interface CropWanted {
  readonly cropId: string;
  readonly wanted: Wanted;
}

export interface CapacityAsked {
  readonly site: Site;
  readonly crops: readonly CropWanted[];
}

/** Lamps over a tier and what they can serve there. */
export interface TierCapacity {
  readonly tierId: string;
  /** By kind. */
  readonly lamps: readonly { readonly lampId: string; readonly count: number }[];
  /** They hang there; else they lie in the cupboard and the tier has none. */
  readonly isHung: boolean;
  /** Room for so many standard flats. */
  readonly places: number;
  /** For each crop that was asked for. */
  readonly servings: readonly Serving[];
}

/** Dark tiers that lamps from the cupboard are tried over, the largest first. */
const MOST_DARK = 3;

/**
 * What the lamps that a person owns can serve: every tier with its own, and the dark tiers with what lies in the cupboard. Each is hung
 * at the distance and lit for the hours that suit the crop; light from other tiers is left out.
 */
export function capacityOf({ site, crops }: CapacityAsked, tables: Tables): TierCapacity[] {
  const cache = createCache(256);
  const tiers = shelfStands(site).flatMap((s) => s.tiers);
  const of = (tier: Tier, carry: TierCarry, lamps: readonly string[], isHung: boolean): TierCapacity => ({
    tierId: tier.id,
    lamps: [...new Set(lamps)].map((lampId) => ({ lampId, count: lamps.filter((l) => l === lampId).length })),
    isHung,
    places: carry.places,
    servings: crops.map(({ wanted }) => servingOf(carry, wanted)),
  });
  const hung = tiers.flatMap((tier) => {
    if (tier.fittings.length === 0) return [];
    const carry = carryHere(site, tier, tables, cache);
    return carry.places > 0 ? [of(tier, carry, tier.fittings.map((f) => f.lampId), true)] : []; // prettier-ignore
  });
  const dark = tiers
    .filter((t) => t.fittings.length === 0)
    .sort((a, b) => b.width * b.depth - a.width * a.depth)
    .slice(0, MOST_DARK);
  const lying = sparesOf(site).filter((s) => s.count > 0);
  const spare = dark.flatMap((tier) =>
    lying.flatMap(({ lampId, count }) => {
      for (let n = Math.min(count, MOST_LAMPS); n > 0; n--) {
        const lamps = Array<string>(n).fill(lampId);
        const carry = hungOver(site, tier, lamps, tables, cache);
        if (carry) return carry.places > 0 ? [of(tier, carry, lamps, false)] : [];
      }
      return [];
    }),
  );
  return [...hung, ...spare];
}

function carryHere(site: Site, tier: Tier, tables: Tables, cache: Cache): TierCarry {
  return carryOf(tierAlone(site, { ...tier, trays: [] }, tables), cache);
}

/** So much more light is wanted for plants on a tier. */
export interface MoreAsked {
  readonly site: Site;
  readonly tierId: string;
  readonly wanted: Wanted;
  /** mol/m²/day, > 0 */
  readonly more: Dli;
}

/** A way to more light on a tier. */
export interface MoreWay extends LitFor {
  readonly how: 'longer' | 'nearer' | 'lamp';
}

/** What more light on a tier would take. */
export interface LightWays {
  readonly now: Serving;
  /** The ways to the dose that is wished; none where the plants would not bear it. */
  readonly ways: readonly MoreWay[];
  /** With one lamp more the same dose as now in a shorter day; null where there is no room for it. */
  readonly shorter: LitFor | null;
  /** The kind that one more of is counted with, and whether the tier has room for it and the others can be moved. */
  readonly lampId: string;
  readonly hasRoom: boolean;
}

/**
 * What it takes to give every place of a tier some moles more a day than its lamps give at their best: a longer day, lamps nearer, or
 * one lamp more beside them.
 *
 * @throws RangeError when the tier is not there or has no lamp: a caller's mistake
 */
export function moreLightOn({ site, tierId, wanted, more }: MoreAsked, tables: Tables): LightWays {
  const tier = site.stands.flatMap((s) => s.tiers).find((t) => t.id === tierId);
  const [first] = tier?.fittings ?? [];
  if (!tier || !first) throw new RangeError(`there is no lamp on tier ${tierId}`);
  const cache = createCache(64);
  const carry = carryHere(site, tier, tables, cache);
  const { at, daylight } = carry;
  const now = servingOf(carry, wanted);
  const goal = now.dli + more;
  const here = at.find((a) => a.distance === now.distance);
  const ways: MoreWay[] = [];
  const longer = here && litFor({ ...carry, at: [here] }, goal, wanted);
  if (longer) ways.push({ how: 'longer', ...longer });
  const nearer = at.findLast(
    (a) => a.distance < now.distance - 1e-9 && isTolerated(a, now.hours, carry, wanted) && lit(a, now.hours, carry).dli >= goal - 1e-9,
  );
  if (nearer) ways.push({ how: 'nearer', ...lit(nearer, now.hours, carry) });
  const lamps: TriedLamp[] = [...tier.fittings, first.lampId];
  // Lamps that are fixed make no room for another.
  const isFixed = tier.fittings.some((f) => f.hanger.kind === 'fixed');
  const withOne = isFixed ? null : hungOver(site, tier, lamps, tables, cache);
  const another = withOne && litFor(withOne, goal, wanted);
  if (another) ways.push({ how: 'lamp', ...another });
  return {
    now,
    ways,
    shorter: withOne && now.dli > daylight ? litFor(withOne, now.dli, wanted) : null,
    lampId: first.lampId,
    hasRoom: withOne !== null,
  };
}
