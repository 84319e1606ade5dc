import type { Emitter } from '../../light/emitters/Emitter';
import { frameOf } from '../../light/emitters/frameOf';
import { emitterKey } from '../../light/emitters/emitterKey';
import { heightsOf } from '../../light/emitters/heightsOf';
import { lightOf } from '../../light/ppfdAtPoint';
import type { Cache } from '../../light/scene/Cache';
import { cutUp } from '../../light/scene/cutUp';
import type { Obstruction } from '../../light/scene/Scene';
import { tallerBeside } from '../../site/stand/tallerBeside';
import type { LightField } from '../../light/scene/LightField';
import { visibilityOf } from '../../light/scene/visibility';
import type { Metres, Share } from '../../units/quantities';
import type { AskedTier, AskedTray } from './BenchQuestion';
import type { Coarse } from './spillOver';

/** The edges of shadows are followed at places so far apart; between them by straight lines. */
const APART: Metres = 0.025;
const MOST_PLACES = 21;

/** A lamp is taken for about so many points, each of which is seen or hidden: a shadow's edge moves over it in steps as small. */
const POINTS = 48;
const POINTS_OF_TUBE = 24;

/** From so much of its light hidden on, a place is in the shade. */
const MOSTLY: Share = 0.3;

/**
 * Of the light that the lamps of its tier would give to the leaf tops of a tray, how much taller plants and pots beside it take, 0–1;
 * null where none is taller. Light from sides and other tiers is taken to come round them.
 *
 * @param own  the light of the tier's own lamps, in its own coordinates
 *
 * Error: below 1 % of the tray's mean light, and 3 % where one small lamp casts a sharp shadow (neighbourShade.test.ts).
 */
export function neighbourShade(
  tray: AskedTray,
  { trays, lamps }: Pick<AskedTier, 'trays' | 'lamps'>,
  own: LightField,
  cache: Cache,
): Coarse | null {
  const obstructions = tallerBeside(tray, trays);
  if (obstructions.length === 0) return null;
  const { outline, canopy: z } = tray;
  const along = (from: Metres, to: Metres) => {
    const n = Math.max(3, Math.min(MOST_PLACES, 1 + Math.ceil((to - from) / APART)));
    return Float64Array.from({ length: n }, (_, i) => from + ((to - from) * i) / (n - 1));
  };
  const [xs, ys] = [along(outline.x0, outline.x1), along(outline.y0, outline.y1)];
  const key = `shade ${JSON.stringify([outline, z, obstructions])}`;
  const whole = own.indirectOver(xs, ys, z);
  const hidden = new Float64Array(whole.length);
  for (const { ppf, ...rest } of lamps.flatMap((lamp) => lamp.emitters)) {
    const e: Emitter = { ...rest, ppf: 1 };
    if (heightsOf(e).highest <= z) continue;
    const of = cache.get(`${key} ${emitterKey(e)}`, () => hiddenOf(e, xs, ys, z, obstructions));
    for (let i = 0; i < whole.length; i++) {
      whole[i]! += ppf * of.whole[i]!;
      hidden[i]! += ppf * of.hidden[i]!;
    }
  }
  const values = hidden.map((v, i) => (v > 0 ? Math.min(1, v / whole[i]!) : 0));
  return { from: [outline.x0, outline.y0], to: [outline.x1, outline.y1], columns: xs.length, rows: ys.length, values };
}

/** The straight light of an emitter at the places of a level grid, and as much of it as does not get there. */
function hiddenOf(e: Emitter, xs: Float64Array, ys: Float64Array, z: Metres, boxes: readonly Obstruction[]) {
  const light = lightOf(e);
  const visibility = visibilityOf({ rooms: [], obstructions: boxes });
  const whole = new Float64Array(xs.length * ys.length);
  for (let j = 0; j < ys.length; j++) for (let i = 0; i < xs.length; i++) whole[i + xs.length * j] = light(xs[i]!, ys[j]!, z);
  const hidden = new Float64Array(whole.length);
  const parts = pointsOf(e).map((part) => ({ ...part, light: lightOf(part) }));
  for (const part of parts) {
    if (part.z <= z) continue;
    // Only where the shadows of the boxes can fall is it asked whether they do.
    const [x0, x1] = shadowOf(boxes, part.x, part.z, z, 'x');
    const [y0, y1] = shadowOf(boxes, part.y, part.z, z, 'y');
    for (let j = 0; j < ys.length; j++) {
      const y = ys[j]!;
      if (y < y0 || y > y1) continue;
      for (let i = 0; i < xs.length; i++) {
        const x = xs[i]!;
        if (x < x0 || x > x1) continue;
        const missing = 1 - visibility(part.x, part.y, part.z, x, y, z);
        if (missing > 0) hidden[i + xs.length * j]! += missing * part.light(x, y, z);
      }
    }
  }
  // Where little is left, it is to be right by itself: there the parts are made to add up to the whole.
  for (let k = 0; k < whole.length; k++) {
    if (hidden[k]! < MOSTLY * whole[k]!) continue;
    const [x, y] = [xs[k % xs.length]!, ys[Math.floor(k / xs.length)]!];
    const all = parts.reduce((sum, part) => sum + part.light(x, y, z), 0);
    hidden[k] = all > 0 ? (whole[k]! * hidden[k]!) / all : 0;
  }
  return { whole, hidden };
}

/** Between which places of an axis boxes can hide a light from a level plane: their feet, and their tops as the light throws them on it. */
function shadowOf(boxes: readonly Obstruction[], from: Metres, height: Metres, z: Metres, axis: 'x' | 'y'): readonly [Metres, Metres] {
  let low = Infinity, high = -Infinity; // prettier-ignore
  for (const box of boxes) {
    if (box.z1 >= height) return [-Infinity, Infinity];
    const grows = (height - z) / (height - box.z1);
    const [a, b] = axis === 'x' ? [box.x0, box.x1] : [box.y0, box.y1];
    low = Math.min(low, a, from + (a - from) * grows);
    high = Math.max(high, b, from + (b - from) * grows);
  }
  return [low, high];
}

/**
 * An emitter as small ones that shine the same together. Those of a face lie so that no two are as far along it or across it: an edge of a
 * shadow along either side passes them one by one.
 */
function pointsOf(e: Emitter): readonly Emitter[] {
  if (e.kind === 'point' || e.kind === 'disc') return cutUp(e, e.kind === 'disc' ? (2 * e.radius) / Math.sqrt(POINTS) : undefined);
  if (e.kind === 'tube') return cutUp(e, e.length / POINTS_OF_TUBE);
  const { u, v } = frameOf(e);
  const even = e.kind === 'rect' ? { ...e, diodes: undefined } : e;
  const side = 1 / Math.sqrt(POINTS);
  return Array.from({ length: POINTS }, (_, i): Emitter => {
    const [a, b] = [((i + 0.5) / POINTS - 0.5) * e.length, (((i * GOLDEN) % 1) - 0.5) * e.width];
    const at = (k: 0 | 1 | 2) => a * u[k] + b * v[k];
    return { ...even, x: e.x + at(0), y: e.y + at(1), z: e.z + at(2), length: side * e.length, width: side * e.width, ppf: e.ppf / POINTS };
  });
}

/** Multiples of it, less what is whole, fall as evenly as can be. */
const GOLDEN = (Math.sqrt(5) - 1) / 2;
