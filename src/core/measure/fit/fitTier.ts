import { emittersHung } from '../../site/stand/emittersHung';
import type { Lamp } from '../../things/lamp/Lamp';
import { colourOf } from '../../things/lamp/colourOf';
import { materialOf } from '../../things/material/materialLibrary';
import type { FaceName } from '../../light/room/Room';
import { compare, counts, uncertaintiesOfMeters, HAND, type Compared } from '../reading/calibrate';
import type { Metres } from '../../units/quantities';
import { lightThere, type LampOf } from '../reading/lightThere';
import { otherwiseOf, type OtherTier } from '../reading/otherwiseOf';
import { createCache, type Cache } from '../../light/scene/Cache';
import { litOf, type Reading } from '../../site/reading/Reading';
import { hypothesesOf } from '../reading/hypothesesOf';
import { roomFrom } from '../../site/stand/roomOf';
import type { Tier } from '../../site/stand/Site';
import { combine } from '../../judge/uncertainty/Band';
import { uncertaintiesOfLamp } from './uncertaintiesOfLamp';
import type { Fit } from '../../site/reading/Fit';
import { fitLight, type FitAnswer } from './fitLight';
import type { FitLamp, FitQuestion } from './FitQuestion';

/** Half-width of nine in ten over one standard deviation. */
const NINE_IN_TEN = 1.645;
/** Readings of one fit are of one season of the lamps: within this of the newest. */
const RECENT_MS = 60 * 86_400_000; // lamps lose under 2 % in two months; LM-80 curves, rounded by us
/** Sides that send back less than this change too little to be told. */
const PALE = 0.15;
const SIDES: readonly FaceName[] = ['left', 'right', 'front', 'back'];

/** Whether a reading is of the season of the newest one that counts. */
export function isRecent(reading: Reading, all: readonly Reading[]): boolean {
  const newest = Math.max(...all.filter((r) => !r.leftOut).map((r) => r.taken_ms));
  return newest - reading.taken_ms <= RECENT_MS;
}

/** What a fit found, to be looked at before it is kept. */
export interface TierFit {
  readonly fit: Fit;
  readonly answer: FitAnswer;
  /** Readings that count but were not used: older than the others, or of other sides. */
  readonly notUsed: readonly string[];
}

/** A hand holds a sensor this near to where it should be, one standard deviation. */
const HAND_STRAYS: Metres = 0.004; // growers' consensus: a tape is read to half a centimetre

/** How much a reading is off when the sensor is as far off as hands hold it. */
function placeError({ dx, dy, z, lit, around }: Reading, lampOf: LampOf, cache: Cache): number {
  const h = 0.005;
  const at = (height: Metres) => lightThere({ dx, dy, z: height, lit, around }, lampOf, {}, cache).ppfd;
  const [up, down] = [at(z + h), at(Math.max(0, z - h))];
  return up > 0 && down > 0 ? (Math.abs(Math.log(up / down)) / (2 * h)) * HAND_STRAYS : 0;
}

/** Lamps and walls that are kept settled: of each walk, with each lamp off, and of the other tiers. */
const LIT_OTHERWISE = 512;

/** Why there is nothing to fit. */
export type NoFit = 'no-readings' | 'no-lamps';

/** The sides that may be otherwise than their material says. */
export const sidesOf = ({ faces }: Tier['enclosure']): FaceName[] =>
  SIDES.filter((name) => {
    const { reflectance, transmittance } = materialOf(faces[name]);
    return reflectance >= PALE && transmittance < 0.5;
  });

/** How far the sides may be from their materials: one standard deviation of ln(ρ / (1 − ρ)). A person may have named the wrong one. */
export function uncertaintyOfShift(faces: Tier['enclosure']['faces'], sides: readonly FaceName[]): number {
  const each = sides.map((name) => {
    const { reflectance: r, reflectanceUncertainty } = materialOf(faces[name]);
    return (2 * reflectanceUncertainty) / (r * (1 - r)) / NINE_IN_TEN;
  });
  return Math.max(0.5, ...each);
}

/** How far the output of a lamp may be from its box: one standard deviation of its ln. */
function uncertaintyOfOutput(lamp: Lamp, ageing: Tier['ageing']): number {
  const { low, high } = combine(uncertaintiesOfLamp(lamp, colourOf(lamp), ageing));
  return Math.min(0.8, Math.max(0.15, (low + high) / 2 / NINE_IN_TEN));
}

/** Beams are looked for in bulbs and spots; others shine as their shape makes them. */
export const fitLampOf = (lamp: Lamp, ageing: Tier['ageing']): FitLamp => ({
  id: lamp.id,
  uncertainty: uncertaintyOfOutput(lamp, ageing),
  beamFwhm: lamp.shape === 'bulb-reflector' ? lamp.beamFwhm : null,
});

/** The question to the readings of a tier. @param used  at least one, the newest last */
function questionOf(tier: Tier, used: readonly Compared[], lampOf: LampOf, others: readonly OtherTier[], cache: Cache): FitQuestion {
  const newest = used[used.length - 1]!.reading;
  const lamps = lampsIn(used);
  const keys = [...new Set(used.map((c) => JSON.stringify(c.reading.lit)))];
  const { around } = newest;
  const highest = Math.max(...used.map((c) => c.reading.z));
  const sides = sidesOf({ ...tier.enclosure, faces: around.faces });
  return {
    lamps: lamps.map((lamp) => fitLampOf(lamp, tier.ageing)),
    scenes: keys.map((key) => {
      const { lit } = used.find((c) => JSON.stringify(c.reading.lit) === key)!.reading;
      return {
        emitters: lamps.map((lamp) =>
          lit
            .filter((l) => l.lampId === lamp.id)
            .flatMap((l) => emittersHung(lamp, { ...l, x: around.width / 2 + l.dx, y: around.depth / 2 + l.dy }, highest)),
        ),
      };
    }),
    room: roomFrom(around),
    sides,
    sidesUncertainty: sides.length > 0 ? uncertaintyOfShift(around.faces, sides) : 1,
    hand: HAND / NINE_IN_TEN,
    readings: used.map(({ reading, measured, converted }) => ({
      id: reading.id,
      scene: keys.indexOf(JSON.stringify(reading.lit)),
      x: around.width / 2 + reading.dx,
      y: around.depth / 2 + reading.dy,
      z: Math.max(0, reading.z),
      ppfd: measured,
      place: placeError(reading, lampOf, cache),
      hypotheses: hypothesesOf(reading, converted.luxPerUmol, otherwiseOf(reading, lampOf, {}, others, cache)),
    })),
  };
}

/**
 * Fits a tier to its readings: those that count, of the last weeks, taken between the same sides.
 *
 * @param others   the other tiers of its stand, where a reading may have been taken by mistake
 * @param now_ms   milliseconds since 1970
 * @param onShare  told how much of it is done, 0–1
 * @returns why not, when there is nothing to fit
 */
export function fitTier(
  tier: Tier,
  lampOf: LampOf,
  others: readonly OtherTier[],
  id: string,
  now_ms: number,
  onShare?: (done: number) => void,
): TierFit | NoFit {
  if (tier.fittings.length === 0) return 'no-lamps';
  // Readings of one walk share lamps and walls, whatever is asked about each of them.
  const cache = createCache(LIT_OTHERWISE);
  const all = compare(tier.readings, lampOf, cache)
    .filter(counts)
    .sort((a, b) => a.reading.taken_ms - b.reading.taken_ms);
  const newest = all[all.length - 1];
  if (!newest) return 'no-readings';
  const sidesThen = ({ reading: { around } }: Compared) => JSON.stringify({ ...around, covered: 0, standing: undefined });
  const sameSides = (c: Compared) => sidesThen(c) === sidesThen(newest);
  const used = all.filter((c) => newest.reading.taken_ms - c.reading.taken_ms <= RECENT_MS && sameSides(c));
  const answer = fitLight(questionOf(tier, used, lampOf, others, cache), onShare);
  const { sides, beam } = answer;
  const bad = new Set(answer.readings.filter((r) => r.honest < 0.5).map((r) => r.id));
  const good = used.filter((c) => !bad.has(c.reading.id));
  const lamps = lampsIn(used);
  const meter = combine(uncertaintiesOfMeters(good.length > 0 ? good : used));
  const { faces } = newest.reading.around;
  const fit: Fit = {
    id,
    made_ms: now_ms,
    readingIds: good.map((c) => c.reading.id),
    leftOut: bad.size,
    lamps: lamps.map((lamp, g) => ({
      lampId: lamp.id,
      scale: answer.scales[g]!.value,
      error: answer.scales[g]!.error,
      beamFwhm: beam?.told && lamp.shape === 'bulb-reflector' && lamp.beamFwhm !== null ? lamp.beamFwhm * beam.value : null,
    })),
    sides: sides?.told
      ? { error: sides.error, reflectances: reflectancesOf(faces, sidesOf({ ...tier.enclosure, faces }), sides.shift) }
      : null,
    scatter: answer.scatter,
    meter: (meter.low + meter.high) / 2,
    lit: litOf(tier),
    used_h: tier.ageing.used_h,
  };
  return { fit, answer, notUsed: all.filter((c) => !used.includes(c)).map((c) => c.reading.id) };
}

const lampsIn = (used: readonly Compared[]): Lamp[] => [
  ...new Map(used.flatMap((c) => c.there.parts.map((p) => [p.lamp.id, p.lamp] as const))).values(),
];

/** Reflectances of the materials of the sides, all shifted alike. */
function reflectancesOf(faces: Tier['enclosure']['faces'], sides: readonly FaceName[], shift: number): Record<string, number> {
  return Object.fromEntries(
    sides.map((name) => {
      const { reflectance } = materialOf(faces[name]);
      return [faces[name], 1 / (1 + ((1 - reflectance) / reflectance) * Math.exp(-shift))];
    }),
  );
}
