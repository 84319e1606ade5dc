import { questionOfStand } from '../../answer/bench/questionOfStand';
import { sceneOfTier } from '../../answer/bench/benchScene';
import type { ClinicTest } from '../../judge/clinic/Cause';
import { LONGER } from '../../judge/clinic/mend';
import { MOL_SECONDS } from '../../judge/dli/dli';
import { daylightDli } from '../../judge/dli/LightDay';
import { lightFieldOf } from '../../light/scene/LightField';
import { plantAreaOf } from '../../site/stand/footprint';
import type { Dli, Hours, Metres, Share } from '../../units/quantities';
import { ninths, roomToLamps } from './circumstancesOf';
import type { TrayInPlace } from '../../answer/bench/traysInPlace';

/** What a test does to the dose of the plants that it is made with. */
export interface TestEffect {
  readonly before: Dli;
  readonly after: Dli;
  /** Nearer to the lamp (or, below zero, farther); null: it stays where it is. */
  readonly nearer: Metres | null;
  /** More hours; null: as many. */
  readonly hours: Hours | null;
}

const SHORTER: Hours = 4;
/** As far as half of a tray is taken from the lamp. */
const FARTHER: Metres = 0.05;
/** One sheet of thin paper lets so much through: our estimate, half of it scattered back. */
const PAPER: Share = 0.5;
const MIDDLE = 4;
const ALL = [0, 1, 2, 3, 4, 5, 6, 7, 8];
const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;

/**
 * What the changed half would get, against what it gets now, at the places that look worst; null for tests that leave the light as it is.
 * An upturned tray under it counts only as far as leaves keep clear of the lamp.
 */
export function testEffect(test: ClinicTest, places: readonly number[], standing: TrayInPlace): TestEffect | null {
  const { tier, tray, light } = standing;
  if (!light) return null;
  const area = plantAreaOf(tray.tray);
  const nine = ninths(light, area);
  const worst = places.length > 0 ? places : ALL;
  const day = daylightDli(tray.day);
  const dose = (ppfd: number, hours = tier.hours): Dli => ppfd * hours * MOL_SECONDS + day;
  const now = mean(worst.map((p) => nine[p]!));
  const as = (after: Dli, more: Partial<TestEffect> = {}): TestEffect => ({ before: dose(now), after, nearer: null, hours: null, ...more });
  const at = (nearer: Metres) => as(dose(now * mean(worst.map((p) => timesNearer(standing, p, nearer)))), { nearer });
  switch (test) {
    case 'lower-lamp-half': {
      const nearer = Math.min(tray.tray.riserHeight, roomToLamps(tier, tray) ?? 0);
      return nearer > 0.005 ? at(nearer) : null;
    }
    case 'raise-lamp-half':
      return tier.lamps.length > 0 ? at(-FARTHER) : null;
    case 'longer-day-half': {
      const hours = Math.max(0, Math.min(LONGER, tray.limits.longestDay - tier.hours));
      return hours > 0 ? as(dose(now, tier.hours + hours), { hours }) : null;
    }
    case 'shorter-day-half': {
      const hours = Math.min(SHORTER, tier.hours);
      return hours > 0 ? as(dose(now, tier.hours - hours), { hours: -hours }) : null;
    }
    case 'swap-positions':
      return places.length > 0 && places.length < 9 ? as(dose(worst.includes(MIDDLE) ? mean(ALL.filter((p) => !worst.includes(p)).map((p) => nine[p]!)) : nine[MIDDLE]!)) : null; // prettier-ignore
    case 'turn-tray':
      return places.length > 0 && places.length < 9 ? as(dose(mean(worst.map((p) => nine[8 - p]!)))) : null;
    case 'shade-half':
      return as(PAPER * dose(now));
    default:
      return null;
  }
}

/** How many times as strong the light of the tier's own lamps is a little nearer to them, over one of the nine places. */
function timesNearer({ stand, tier, tray }: TrayInPlace, place: number, nearer: Metres): number {
  const asked = questionOfStand(stand, null).tiers.find((t) => t.id === tier.tier.id)!;
  const field = lightFieldOf(sceneOfTier(asked));
  const { x0, x1, y0, y1 } = plantAreaOf(tray.tray);
  const x = x0 + ((x1 - x0) * ((place % 3) + 0.5)) / 3;
  const y = y0 + ((y1 - y0) * (2 - Math.floor(place / 3) + 0.5)) / 3;
  const now = field.ppfdAt(x, y, tray.canopy);
  return now > 0 ? field.ppfdAt(x, y, Math.max(0, tray.canopy + nearer)) / now : 1;
}
