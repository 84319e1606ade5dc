import { sceneOfTier } from '../../answer/bench/benchScene';
import { askedTier } from '../../answer/bench/questionOfStand';
import type { BenchTier } from '../../answer/stand/benchStand';
import { OPEN_HEIGHT, roofOf } from '../../answer/stand/roofOf';
import { MOL_SECONDS } from '../../judge/dli/dli';
import { daylightDli, usualPeakOf } from '../../judge/dli/LightDay';
import { withCrowdedFloor } from '../../light/room/crowdedFloor';
import { lightFieldOf } from '../../light/scene/LightField';
import { createCache, type Cache } from '../../light/scene/Cache';
import { topOfFaceOf } from '../../site/stand/poseOf';
import { roomOf } from '../../site/stand/roomOf';
import { CANOPY_REFLECTANCE } from '../../things/material/materialLibrary';
import { clearanceOf } from '../../things/lamp/clearanceOf';
import type { Dli, Hours, Metres, Ppfd, Watts } from '../../units/quantities';
import type { PlacingTier, TierLevel } from '../placing/Placing';
import { flatsOn } from './flats';

/** The light over the places of a tier with its lamps so far above the leaf tops. */
export interface CarryAt {
  readonly distance: Metres;
  /** Leaf tops may be this high over the tier's floor; lower trays stand on something. */
  readonly clear: Metres;
  /** Mean of the place that gets least, and of the one that gets most. */
  readonly weakest: Ppfd;
  readonly strongest: Ppfd;
  /** The strongest spot of all, the dimmest, and the mean over all places. */
  readonly spot: Ppfd;
  readonly dimmest: Ppfd;
  readonly mean: Ppfd;
}

/** What a tier can carry: places for standard flats, and the light over them. */
export interface TierCarry {
  readonly tierId: string;
  readonly places: number;
  /** Clear height for plants that stand in the dark, m. */
  readonly clear: Metres;
  readonly power: Watts;
  readonly at: readonly CarryAt[];
  /** Of daylight today: its dose, and how strong it usually is at its strongest. */
  readonly daylight: Dli;
  readonly daylightPeak: Ppfd;
}

/** Distances beyond the nearest that is allowed, m: our choice, close enough that a step between them changes the light by less than a third. */
const FARTHER: readonly Metres[] = [0, 0.03, 0.07, 0.12, 0.2, 0.3];
/** Lower than this no leaf tops stand: a shallow tray with seedlings. */
const LOWEST_TOPS: Metres = 0.06;
const INSET: Metres = 0.02;
/** Leaf tops are no lower than this. */
const ABOVE_FLOOR: Metres = 0.001;

const lifted = (t: BenchTier, by: Metres): BenchTier =>
  by === 0 ? t : { ...t, lamps: t.lamps.map((l) => ({ ...l, fitting: { ...l.fitting, face: l.fitting.face + by } })) };

/**
 * What the lamps of a tier give over its places while flats stand on all of them, from as near as is allowed to as far as they can be hung.
 * Light from other tiers is left out.
 */
export function carryOf(t: BenchTier, cache: Cache = createCache()): TierCarry {
  const rects = flatsOn(t.tier.width, t.tier.depth);
  const faces = t.lamps.map((l) => l.fitting.face);
  const isFixed = t.lamps.some((l) => l.fitting.hanger.kind === 'fixed');
  const roof = Number.isFinite(roofOf(t)) ? roofOf(t) : Math.max(OPEN_HEIGHT, ...faces);
  const lowestFace = Math.min(...faces);
  const highest = isFixed
    ? lowestFace
    : Math.max(lowestFace, roof - Math.max(0, ...t.lamps.map((l) => topOfFaceOf(l.fitting, l.lamp) - lowestFace)));
  const nearest = Math.max(...t.lamps.map((l) => clearanceOf(l.lamp)));
  const base = {
    tierId: t.tier.id,
    places: rects.length,
    clear: t.tier.enclosure.height,
    daylight: daylightDli(t.day),
    daylightPeak: t.day.daylight && t.day.daylight.dli > 0 ? usualPeakOf(t.day.daylight) : 0,
  };
  if (t.lamps.length === 0 || rects.length === 0) return { ...base, power: 0, at: [] };
  const empty = roomOf({ ...t.tier, trays: [] }, [], t.known.fit?.sides?.reflectances);
  const covered = rects.reduce((sum, r) => sum + (r.x1 - r.x0) * (r.y1 - r.y0), 0) / (t.tier.width * t.tier.depth);
  const edge = rects.reduce((sum, r) => sum + 2 * (r.x1 - r.x0 + r.y1 - r.y0), 0);
  /** With flats on all of its places, their leaf tops so high, and the lamps so much higher than now. */
  const fullTo = (height: Metres, lift: Metres) =>
    lightFieldOf(
      sceneOfTier({
        lamps: askedTier(lifted(t, lift)).lamps,
        room: empty && withCrowdedFloor(empty, { height, covered, edge, reflectance: CANOPY_REFLECTANCE }),
      }),
      cache,
    );
  const points = rects.map((r) => {
    const inset = Math.min(INSET, (r.x1 - r.x0) / 4, (r.y1 - r.y0) / 4);
    return [0, 0.25, 0.5, 0.75, 1].flatMap((u) =>
      [0, 0.5, 1].map((v) => [r.x0 + inset + u * (r.x1 - r.x0 - 2 * inset), r.y0 + inset + v * (r.y1 - r.y0 - 2 * inset)] as const),
    );
  });
  const at = FARTHER.map((more) => nearest + more)
    .filter((d, i) => (i === 0 || highest - d >= LOWEST_TOPS) && highest - d > ABOVE_FLOOR)
    .map((distance): CarryAt => {
      // Lamps that hang low now are hung higher for what has to be farther from them.
      const lift = lowestFace - distance > ABOVE_FLOOR ? 0 : Math.min(highest, distance + LOWEST_TOPS) - lowestFace;
      const tops = lowestFace + lift - distance;
      const field = fullTo(tops, lift);
      const lit = points.map((place) => place.map(([x, y]) => field.ppfdAt(x, y, tops)));
      const means = lit.map((place) => place.reduce((a, b) => a + b, 0) / place.length);
      return {
        distance,
        clear: Math.max(0, highest - distance),
        weakest: Math.min(...means),
        strongest: Math.max(...means),
        spot: Math.max(...lit.flat()),
        dimmest: Math.min(...lit.flat()),
        mean: means.reduce((a, b) => a + b, 0) / means.length,
      };
    });
  return { ...base, power: t.lamps.reduce((sum, l) => sum + l.real.power, 0), at };
}

/** Hours of a lamp's day that are tried: whole ones, from a short day to the longest that any crop of the table bears. */
const HOURS: readonly Hours[] = Array.from({ length: 17 }, (_, i) => i + 8);

/** A tier for the placing: every distance with every number of hours, and off. */
export const placingTierOf = ({ places, clear, power, at }: TierCarry, daylightByWeek: readonly Dli[]): PlacingTier => ({
  places,
  clear_cm: clear * 100,
  daylight: daylightByWeek,
  levels: [
    { dli: 0, wh_per_day: 0 },
    ...HOURS.flatMap((hours) =>
      at.map((a): TierLevel => ({
        dli: a.weakest * hours * MOL_SECONDS,
        dliMost: a.strongest * hours * MOL_SECONDS,
        spot_umol: a.spot,
        hours,
        clear_cm: a.clear * 100,
        wh_per_day: power * hours,
      })),
    ),
  ],
});
