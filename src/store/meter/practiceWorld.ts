import { leafTopsOf, type BenchStand, type BenchTier } from '../../core/answer/stand/benchStand';
import { roomOf } from '../../core/site/stand/roomOf';
import { sceneLampsOf, roomFile } from '../scene/writeScene';
import type { SensorFilter } from '../../core/things/meter/sensorResponse';
import type { MeterWorldFile } from './MeterWorldFile';

/** How the practice world really is: what a person is to find out by reading. */
export interface PracticeTruth {
  /** Lamps over their boxes. */
  readonly lamps: number;
  /** Reflectance of the sides; null: as their material says. */
  readonly sides: number | null;
  /** Daylight on every place, in the unit of the meter. */
  readonly daylight: number;
  /** How well the meter's filter follows the eye or the photons. */
  readonly filter: SensorFilter;
  /** What the meter shows over what it should; left out: 1. */
  readonly meter?: number;
}

export const PRACTICE_TRUTH: PracticeTruth = { lamps: 0.82, sides: null, daylight: 0, filter: 'sound' };

/** A tier as its boxes describe it, for a simulated meter to be held into; x and z from the tier's own corner. */
export function practiceWorld(stand: BenchStand, tier: BenchTier, kindId: string, truth: PracticeTruth): MeterWorldFile {
  const own: BenchTier = {
    ...tier,
    x: 0,
    z: 0,
    room: roomOf(tier.tier, leafTopsOf(tier)),
    lamps: tier.lamps.map((l) => ({ ...l, real: l.lamp, calibration: null })),
  };
  const room = roomFile(own);
  return {
    format: 'copper-noon/meter-world',
    version: 1,
    kindId,
    seed: seedOf(`${stand.stand.id} ${tier.tier.id}`),
    scene: {
      format: 'copper-noon/scene',
      version: 1,
      lamps: own.lamps.flatMap((l) => sceneLampsOf(own, l)),
      ...(room ? { tiers: [room] } : {}),
    },
    lampFactor: truth.lamps,
    ...(truth.sides === null ? {} : { sides: truth.sides }),
    meterFactor: truth.meter ?? 1,
    filter: truth.filter,
    daylight: truth.daylight,
    noise: 0.008,
    sway_m: 0.004,
  };
}

/** The same place gives the same hand. */
const seedOf = (text: string): number => [...text].reduce((h, c) => (Math.imul(h, 31) + c.charCodeAt(0)) >>> 1, 7);
