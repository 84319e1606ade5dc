import type { Stage } from '../../things/crop/Crop';
import { ppfdFor } from '../../judge/dli/dli';
import type { Hours, Metres, Share } from '../../units/quantities';
import { atDistance, type AtDistance, type Profile } from '../solve/Profile';

/** What the rule of lumens on the tray asks for, lm m⁻²: 2000–3000 lm for each square foot. */
export const LUMENS_RULE = { low: 21_500, high: 32_300 } as const; // growers' consensus

/** What the rule of a hand's width asks for. */
export const HAND_WIDTH: Metres = 0.075; // 5–10 cm; growers' consensus

/** How often the lamps' lumens are in the tray, and what the rule would say. */
export interface LumensRule {
  readonly lumensPerArea: number;
  /** Lamps, in number of those that hang there, that the middle of the rule would ask for. */
  readonly lampsAsked: number;
}

export function lumensRule(lumens: number, lamps: number, plantArea_m2: number): LumensRule {
  if (!(plantArea_m2 > 0)) throw new RangeError(`plantArea_m2 must be > 0, got ${plantArea_m2}`);
  const lumensPerArea = lumens / plantArea_m2;
  return { lumensPerArea, lampsAsked: (lamps * (LUMENS_RULE.low + LUMENS_RULE.high)) / 2 / lumensPerArea };
}

/** The inverse-square law continued from one known strength. */
export interface InverseSquare {
  /** Where it is anchored: a reading, or the computed light at a round distance. */
  readonly anchor: { readonly distance: Metres; readonly ppfd: number };
  /** Distance that the law would advise for the crop's best dose below the middle. */
  readonly advises: Metres;
  /** The distance that really gives that strength; null beyond what the profile covers. */
  readonly really: Metres | null;
  /** Nearest distance from which on the law stays within 10 % of the light when anchored far away; null: nowhere here. */
  readonly holdsFrom: Metres | null;
}

/**
 *     E(d) = E(d₀) · (d₀/d)²
 *
 * @param profile  light by distance
 * @param anchor   a measured strength below the middle and its distance, or null for the computed light at 30 cm
 */
export function inverseSquare(
  profile: Profile,
  anchor: { distance: Metres; ppfd: number } | null,
  stage: Stage,
  hours: Hours,
): InverseSquare {
  const from = anchor ?? { distance: 0.3, ppfd: atDistance(profile, 0.3).centre };
  const wanted = Math.min(ppfdFor(stage.dliTarget, Math.max(hours, 0.25)), stage.ppfdMax);
  const far = profile[profile.length - 1]!;
  const within = (p: AtDistance): boolean => Math.abs((far.centre * (far.distance / p.distance) ** 2) / p.centre - 1) <= 0.1;
  let holds: Metres | null = null;
  for (let i = profile.length - 1; i >= 0 && within(profile[i]!); i--) holds = profile[i]!.distance;
  // The far end agrees with itself; the law must hold over some way to be said to hold.
  return {
    anchor: from,
    advises: from.distance * Math.sqrt(from.ppfd / wanted),
    really: distanceOfCentre(profile, wanted),
    holdsFrom: holds !== null && holds < far.distance / 1.3 ? holds : null,
  };
}

function distanceOfCentre(profile: Profile, ppfd: number): Metres | null {
  for (let i = profile.length - 1; i > 0; i--) {
    const [near, far] = [profile[i - 1]!, profile[i]!];
    if (far.centre <= ppfd && near.centre >= ppfd) {
      const t: Share = near.centre === far.centre ? 0 : Math.log(near.centre / ppfd) / Math.log(near.centre / far.centre);
      return near.distance * (far.distance / near.distance) ** t;
    }
  }
  return null;
}
