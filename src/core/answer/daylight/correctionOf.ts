import { overcastSky, ppfdOf, SOLAR_CONSTANT_W_per_m2 } from '../../sky/outdoors/skies';
import { outdoorsAt, type Place } from '../../sky/outdoors/outdoorsAt';
import { sillLight } from '../../sky/window/sillLight';
import type { SillReading, Window } from '../../site/window/Window';
import type { Share } from '../../units/quantities';
import { ppfdOfReading } from '../../units/light';
import { sillAsBuilt } from './sillAsBuilt';

/** What readings say of a window: how much more or less it lets through than was computed, and how sure that is. */
export interface Correction {
  /** 1: as computed. */
  readonly factor: number;
  /** Half-width of a nine-in-ten band. */
  readonly doubt: Share;
  /** How many readings were used. */
  readonly of: number;
}

/** How far a window may be off before anybody measured: panes, dirt, frame and what stands outside together; our estimate. */
const PRIOR = 0.25;
/** How far one pair under an overcast sky may be off: two moments, an uneven sky, how the meters were held; our estimate. */
const PAIR = 0.15;
/** A reading is worth half after so many days: leaves come and go, panes get dirty. Our convention. */
const HALF_LIFE_ms = 180 * 86_400_000;
/** Readings that say more or less than this of what was computed are a mistake rather than a window. */
const MOST = 4;

export type Unusable = 'alone' | 'not-overcast' | 'too-bright' | 'dark' | 'far-off';

/** Lux of daylight for each µmol m⁻² s⁻¹; Thimijan & Heins 1983, HortScience 18:818–822. */
export const LUX_PER_UMOL_OUTDOORS = 54;

/** What a window gives to a place under an overcast sky, as a share of what comes down outdoors. */
function computedShare(window: Window, reading: SillReading): Share {
  // Any sun will do: the share of an overcast sky does not depend on it.
  const sun = { elevation: 0.7, azimuth: window.facing, distance_au: 1 };
  const overcast = overcastSky(Math.sin(sun.elevation), SOLAR_CONSTANT_W_per_m2);
  const { up } = sillLight({ sun, clear: { global: 0, diffuse: 0, beam: 0 }, overcast }, sillAsBuilt(window, reading)).overcast;
  return up / ppfdOf(overcast.global);
}

/** Why a reading says nothing of its window; null: it does. @param place for the check of the sky; null: unknown */
export function unusable(window: Window, reading: SillReading, place: Place | null): Unusable | null {
  const { inside, outside, sky } = reading;
  if (outside === null) return 'alone';
  if (sky !== 'overcast') return 'not-overcast';
  if (!(inside > 0) || !(outside > 0)) return 'dark';
  // More comes down than any closed cover lets through: there was sun.
  if (place) {
    const { overcast } = outdoorsAt(reading.taken_ms, place);
    if (ppfdOfReading({ value: outside, unit: reading.unit }, LUX_PER_UMOL_OUTDOORS) > 2.2 * ppfdOf(overcast.global) + 20)
      return 'too-bright';
  }
  const said = inside / outside / computedShare(window, reading);
  return said > MOST || said < 1 / MOST ? 'far-off' : null;
}

/**
 * What pairs of readings under an overcast sky say of a window, weighed against what was computed, on a scale of ratios.
 *
 *     ln f = Σ w ln r / PAIR² / (1 / PRIOR² + Σ w / PAIR²),   r = measured ratio over computed ratio
 *
 * A pair counts since the ratio of inside to outside does not change with the brightness of such a sky; a reading alone hangs on the
 * weather.
 */
export function correctionOf(window: Window, place: Place | null = null): Correction {
  const used = window.readings.filter((r) => unusable(window, r, place) === null);
  if (used.length === 0) return { factor: 1, doubt: PRIOR, of: 0 };
  const newest = Math.max(...used.map((r) => r.taken_ms));
  let [sum, weight] = [0, 1 / PRIOR ** 2];
  for (const r of used) {
    const w = 0.5 ** ((newest - r.taken_ms) / HALF_LIFE_ms) / PAIR ** 2;
    sum += w * Math.log(r.inside / r.outside! / computedShare(window, r));
    weight += w;
  }
  return { factor: Math.exp(sum / weight), doubt: 1 / Math.sqrt(weight), of: used.length };
}
