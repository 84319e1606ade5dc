import { meterOf } from './meterLibrary';
import { lightFieldOf, type LightField } from '../../light/scene/LightField';
import type { Scene, SceneLamp } from '../../light/scene/Scene';
import { createCache } from '../../light/scene/Cache';
import { slantAt } from '../../light/scene/slantAt';
import type { Metres, Share } from '../../units/quantities';
import { figuresOf } from '../../light/spectrum/figures';
import { lampSpectrumOf } from '../../light/spectrum/lampSpectra';
import type { MeterDriver, MeterSample } from './MeterDriver';
import { meterShows } from './meterShows';
import { sensorResponse, type SensorFilter } from './sensorResponse';
import { spectrumOf } from '../../light/spectrum/spectrumLibrary';

/** What a simulated meter is held into: a scene, how it really is, and a hand that holds it. */
export interface SimulatedWorld {
  readonly kindId: string;
  readonly scene: Omit<Scene, 'lamps'> & { readonly lamps: readonly (SceneLamp & { readonly spectrumId: string })[] };
  /** How well its filter follows the eye or the photons. */
  readonly filter: SensorFilter;
  /** What it shows is this many times what a perfect meter of its kind would show. */
  readonly meterFactor: number;
  /** Light of the day that falls in besides, on every place alike, as a sound meter of its kind shows it. */
  readonly daylight: number;
  /** Scatter of the display, relative, one standard deviation. */
  readonly noise: Share;
  /** How far the hand strays, one standard deviation. */
  readonly sway: Metres;
  readonly seed: number;
}

/** A simulated meter: a driver that can also be carried about. */
export interface SimulatedMeter extends MeterDriver {
  moveTo(x: Metres, y: Metres, z: Metres): void;
  /** Lamps off, for a look at the daylight alone. */
  setLamps(on: boolean): void;
}

/** A hand takes so long to stray: samples nearer in time are alike. */
const STRAYS_IN_MS = 900;

/**
 * A meter that shows what a device of its kind would: its own response to the colour of the light, its ranges and resolution,
 * its error for slanting light, a display that flickers and a hand that is not quite still. The same seed shows the same.
 */
export function createSimulatedMeter(world: SimulatedWorld): SimulatedMeter {
  const meter = meterOf(world.kindId);
  const cache = createCache(64);
  const fields = world.scene.lamps.map((lamp) => ({ lamp, field: lightFieldOf({ ...world.scene, lamps: [lamp] }, cache) }));
  const figures = world.scene.lamps.map((lamp) => ({
    luxPerUmol: spectrumOf(lamp.spectrumId).luxPerUmol,
    farRed: figuresOf(lampSpectrumOf(lamp.spectrumId).spectrum).farRed,
    seen: sensorResponse(meter, world.filter, lampSpectrumOf(lamp.spectrumId).spectrum),
  }));
  let place = { x: 0, y: 0, z: 0 };
  let range: number | null = null;
  let lit = true;
  return {
    kindId: world.kindId,
    moveTo: (x, y, z) => {
      place = { x, y, z };
    },
    setLamps: (on) => {
      lit = on;
    },
    setRange: (next) => {
      range = next;
      return Promise.resolve();
    },
    close: () => Promise.resolve(),
    sample(at_ms) {
      const at = swayed(place, world, at_ms);
      const parts = lit ? fields.map(({ field }) => field.ppfdAt(at.x, at.y, at.z)) : fields.map(() => 0);
      const ppfd = parts.reduce((a, b) => a + b, 0);
      const mixed = (of: (i: number) => number) => (ppfd > 0 ? parts.reduce((sum, p, i) => sum + (p / ppfd) * of(i), 0) : 0);
      const shown = meterShows(
        { ...meter, ranges: [Infinity], resolution: 1e-6 },
        {
          ppfd,
          luxPerUmol: mixed((i) => figures[i]!.luxPerUmol),
          farRed: mixed((i) => figures[i]!.farRed),
          slant: ppfd > 0 ? slantAt(world.scene, at.x, at.y, at.z, Math.min(1, reflectedOf(fields, at) / ppfd)) : 0,
        },
      );
      const flicker = 1 + world.noise * normal(world.seed, at_ms);
      const full = ((shown.value ?? 0) * seenOf(parts) + world.daylight) * world.meterFactor * flicker;
      return Promise.resolve(display(full, shown.unit, at_ms));
    },
  };

  /** Of the mixture, each lamp by what it adds to the display of a sound meter. */
  function seenOf(parts: readonly number[]): number {
    const weights = parts.map((p, i) => p * (meter.counts === 'lux' || meter.counts === 'foot-candles' ? figures[i]!.luxPerUmol : 1));
    const whole = weights.reduce((a, b) => a + b, 0);
    return whole > 0 ? weights.reduce((sum, w, i) => sum + (w / whole) * figures[i]!.seen, 0) : 1;
  }

  function display(full: number, unit: MeterSample['unit'], at_ms: number): MeterSample {
    const top = range ?? meter.ranges.find((r) => full <= r) ?? meter.ranges[meter.ranges.length - 1]!;
    // On a coarse range of several the last digit is worth more: three and a half digits.
    const digit = meter.ranges.length > 1 ? Math.max(meter.resolution, top / 2000) : meter.resolution;
    return { at_ms, unit, range: top, auto: range === null, value: full > top ? null : Math.round(full / digit) * digit };
  }
}

const reflectedOf = (fields: readonly { field: LightField }[], { x, y, z }: { x: Metres; y: Metres; z: Metres }) =>
  fields.reduce((sum, { field }) => sum + field.reflectedAt(x, y, z), 0);

/** Where the hand really is: near the place, drifting from one moment to the next. */
function swayed({ x, y, z }: { x: Metres; y: Metres; z: Metres }, { sway, seed }: SimulatedWorld, at_ms: number) {
  const step = Math.floor(at_ms / STRAYS_IN_MS);
  const t = at_ms / STRAYS_IN_MS - step;
  const off = (axis: number) => sway * ((1 - t) * normal(seed + axis, step) + t * normal(seed + axis, step + 1));
  return { x: x + off(1), y: y + off(2), z: Math.max(0, z + off(3)) };
}

/** A normal number that belongs to a seed and a moment. Source: Box & Muller 1958 over a 32-bit mix. */
function normal(seed: number, moment: number): number {
  const even = (salt: number) => {
    let h = Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b) ^ Math.imul(Math.floor(moment) ^ salt, 0xc2b2ae35);
    h = Math.imul(h ^ (h >>> 15), 0x2c1b3c6d);
    h = Math.imul(h ^ (h >>> 12), 0x297a2d39);
    return ((h ^ (h >>> 15)) >>> 0) / 2 ** 32;
  };
  return Math.sqrt(-2 * Math.log(1 - even(1))) * Math.cos(2 * Math.PI * even(2));
}
