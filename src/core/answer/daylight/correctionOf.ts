import { overcastSky, ppfdOf, SOLAR_CONSTANT_W_per_m2 } from '../../sky/outdoors/skies';
import { outdoorsAt, type Place } from '../../sky/outdoors/outdoorsAt';
import { sillLight } from '../../sky/window/sillLight';
import { passedBy, type SillReading, type Window } from '../../site/window/Window';
import type { Radians, Share } from '../../units/quantities';
import { ppfdOfReading } from '../../units/light';
import { sillAsBuilt, type BeforeWindow } from './sillAsBuilt';

/** What readings say of a window: how much more or less it lets through and how much higher things stand outside than was computed, and how sure that is. */
export interface Correction {
  /** Of pane, frame and dirt together; 1: as computed. */
  readonly factor: number;
  /** What stands outside reaches so much higher than drawn; below 0: less high. */
  readonly raise: Radians;
  /** Half-width of a nine-in-ten band of what comes in. */
  readonly uncertainty: Share;
  /** How many readings were used. */
  readonly of: number;
}

const DEGREE = Math.PI / 180;
/** Half-widths of nine-in-ten bands before anybody measured: of pane, dirt and frame, and of the height of what stands outside; our estimates. */
const PANE = 0.2;
const HEIGHT: Radians = 6 * DEGREE;
/** What both come to at a usual place: what a window that nobody measured may be off. */
const UNMEASURED = 0.25;
/** How far one pair under an overcast sky may be off: two moments, an uneven sky, how the meters were held; our estimate. */
const PAIR = 0.15;
/** And a reading alone: by how bright a cloudless sky is without the sun's own rays, and a grey one; our estimates. */
const ALONE = { clear: 0.35, overcast: 0.7 } as const;
/** A reading is worth half after so many days: leaves come and go, panes get dirty. Our convention. */
const HALF_LIFE_ms = 180 * 86_400_000;
/** And half of that before what stands outside was drawn anew: it may have been the drawing, or the world. Our convention. */
const BEFORE_HORIZON = 0.5;
/** Readings that say more or less than this of what was computed are a mistake rather than a window. */
const MOST = 4;
/** Half-width of a nine-in-ten band, in standard deviations. */
const NINE_IN_TEN = 1.645;
/** Heights that are tried. */
const RAISES: readonly Radians[] = Array.from({ length: 19 }, (_, i) => (2 * i - 16) * DEGREE);

export type Unusable = 'alone' | 'not-overcast' | 'too-bright' | 'dark' | 'far-off';

/** Lux of daylight for each µmol m⁻² s⁻¹; Thimijan & Heins 1983, HortScience 18:818–822. */
export const LUX_PER_UMOL_OUTDOORS = 54;

/** A window with all that stands outside so much higher: of a flat horizon a level edge. */
export function withRaise(window: Window, raise: Radians): Window {
  if (raise === 0) return window;
  const lift = (elevation: Radians) => Math.min(Math.PI / 2, Math.max(0, elevation + raise));
  const horizon =
    window.horizon.length > 0 ? window.horizon.map((p) => ({ ...p, elevation: lift(p.elevation) })) : [{ azimuth: 0, elevation: lift(0) }];
  return { ...window, horizon };
}

/** What a window gives to a place under an overcast sky, as a share of what comes down outdoors. */
function computedShare(window: Window, at: BeforeWindow): Share {
  // Any sun will do: the share of an overcast sky does not depend on it.
  const sun = { elevation: 0.7, azimuth: window.facing, distance_au: 1 };
  const overcast = overcastSky(Math.sin(sun.elevation), SOLAR_CONSTANT_W_per_m2);
  const { up } = sillLight({ sun, clear: { global: 0, diffuse: 0, beam: 0 }, overcast }, sillAsBuilt(window, at)).overcast;
  return up / ppfdOf(overcast.global);
}

/** What a reading says: measured, what is computed of it for a window, and how far one such reading may be off. */
interface Evidence {
  readonly measured: number;
  computed(window: Window): number;
  readonly off: number;
}

const asPpfd = (value: number, { unit }: SillReading) => ppfdOfReading({ value, unit }, LUX_PER_UMOL_OUTDOORS);

/** What a reading says of its window, or why it says nothing. */
function evidenceOf(now: Window, reading: SillReading, place: Place | null): Evidence | Unusable {
  const { inside, outside, passed } = reading;
  // Behind the curtain and the dirt of its day.
  const window = { ...now, curtain: 1, dirt: 'clean' } as const;
  const through = passed / passedBy(window);
  const bare = outside === null ? alone(window, reading, place) : pair(reading, place);
  if (typeof bare === 'string') return bare;
  const found = { ...bare, computed: (w: Window) => through * bare.computed({ ...w, curtain: 1, dirt: 'clean' }) };
  if (!(inside > 0)) return 'dark';
  const said = found.measured / found.computed(window);
  return said > MOST || said < 1 / MOST || Number.isNaN(said) ? 'far-off' : found;
}

function pair(reading: SillReading, place: Place | null): Evidence | Unusable {
  const { inside, outside, sky, taken_ms } = reading;
  if (sky !== 'overcast') return 'not-overcast';
  if (!(inside > 0) || !(outside! > 0)) return 'dark';
  // More comes down than any closed cover lets through: there was sun.
  if (place && asPpfd(outside!, reading) > 2.2 * ppfdOf(outdoorsAt(taken_ms, place).overcast.global) + 20) return 'too-bright';
  return { measured: inside / outside!, computed: (w) => computedShare(w, reading), off: PAIR };
}

/** Without one outdoors, what comes down there has to be computed: in the sun's own rays a hand's width decides, and a changing sky is anything. */
function alone(window: Window, reading: SillReading, place: Place | null): Evidence | Unusable {
  const { inside, sky, taken_ms } = reading;
  if (!place || sky === 'changing') return 'alone';
  const moment = outdoorsAt(taken_ms, place);
  const light = (w: Window) => sillLight(moment, sillAsBuilt(w, reading))[sky];
  if (light(window).beam > 0) return 'alone';
  // At night it measures lamps.
  if (!(light(window).up > 0)) return 'dark';
  return { measured: asPpfd(inside, reading), computed: (w) => light(w).up, off: ALONE[sky] };
}

/** Why a reading says nothing of its window; null: it does. @param place for the check of the sky; null: unknown */
export function unusable(window: Window, reading: SillReading, place: Place | null): Unusable | null {
  const found = evidenceOf(window, reading, place);
  return typeof found === 'string' ? found : null;
}

const known = new WeakMap<Window, { readonly place: Place | null; readonly found: Correction }>();

/**
 * What readings say of a window, weighed against what was computed, pane and horizon apart: near the glass one looks up at the sky, far
 * from it at what stands outside, so readings at several depths tell a dirty pane from a taller house. Heights are tried one by one,
 * at each the pane has a closed form on a scale of ratios, r = measured over computed for things so high,
 *
 *     ln f = Σ w ln r / (1 / PANE² + Σ w),   w = ½^(age / half-life) / off², half of it before another horizon was drawn
 *
 * and all of them are weighed by how well they fit. A pair counts most since the ratio of inside to outside does not change with the
 * brightness of a grey sky; a reading alone hangs on the weather. How often the sun shines, readings of moments do not tell: that
 * stays the climate's.
 */
export function correctionOf(window: Window, place: Place | null = null): Correction {
  const before = known.get(window);
  if (before && before.place === place) return before.found;
  const found = workOut(window, place);
  known.set(window, { place, found });
  return found;
}

/** Where the doubt of a window is told for. */
const USUAL_PLACE: BeforeWindow = { depth: 0.3, along: 0, over: 0.1 };

function workOut(window: Window, place: Place | null): Correction {
  const used = window.readings.flatMap((reading) => {
    const e = evidenceOf(window, reading, place);
    return typeof e === 'string' ? [] : [{ ...e, taken_ms: reading.taken_ms, kept: reading.horizonSince ? BEFORE_HORIZON : 1 }];
  });
  if (used.length === 0) return { factor: 1, raise: 0, uncertainty: UNMEASURED, of: 0 };
  const newest = Math.max(...used.map((r) => r.taken_ms));
  const tried = RAISES.map((raise) => {
    const there = withRaise(window, raise);
    let [sum, weight, squares] = [0, 1 / PANE ** 2, 0];
    for (const r of used) {
      const w = (r.kept * 0.5 ** ((newest - r.taken_ms) / HALF_LIFE_ms)) / r.off ** 2;
      const ratio = Math.log(r.measured / Math.max(1e-12, r.computed(there)));
      sum += w * ratio;
      weight += w;
      squares += w * ratio ** 2;
    }
    const ln = sum / weight;
    const misfit = squares - sum * ln + (raise / HEIGHT) ** 2;
    return { raise, ln, variance: 1 / weight, misfit, share: Math.log(Math.max(1e-12, computedShare(there, USUAL_PLACE))) };
  });
  const least = Math.min(...tried.map((t) => t.misfit));
  const chances = tried.map((t) => Math.exp((-(NINE_IN_TEN ** 2) * (t.misfit - least)) / 2));
  const all = chances.reduce((a, b) => a + b, 0);
  const mean = (of: (t: (typeof tried)[number]) => number) => tried.reduce((sum, t, i) => sum + (of(t) * chances[i]!) / all, 0);
  const through = mean((t) => t.ln + t.share);
  const uncertainty = Math.sqrt(mean((t) => t.variance) + NINE_IN_TEN ** 2 * mean((t) => (t.ln + t.share - through) ** 2));
  return { factor: Math.exp(mean((t) => t.ln)), raise: mean((t) => t.raise), uncertainty, of: used.length };
}
