import type { Metres, Share } from '../../units/quantities';
import { fail, ok, type Result } from '../../units/result';

/** A place on a photo, in pixels from its upper left corner. */
export interface Pixel {
  readonly x: number;
  readonly y: number;
}

/** What was pointed at on a photo. */
export interface PhotoMarks {
  /** Both ends of something of known length, as far from the camera as the plant. */
  readonly known: readonly [Pixel, Pixel];
  readonly length: Metres;
  /** Where the stem leaves the compost, and the top of the leaves. */
  readonly base: Pixel;
  readonly tip: Pixel;
  /** How well a finger or mouse points, one standard deviation, in pixels of the photo. */
  readonly pointing_px: number;
}

export interface PhotoHeight {
  readonly height: Metres;
  /** One standard deviation. */
  readonly sd: Metres;
}

/** The known thing and the plant are hardly ever equally far from the camera: 2 cm off at half a metre. Our estimate. */
export const DEPTH_DOUBT: Share = 0.04;
/** Nearer together than this two marks say nothing. */
export const LEAST_APART_PX = 12;

/**
 * The height of a plant on a photo, by the scale of something of known length beside it.
 *
 *     h = L · |tip − base| / |known|,   (sd/h)² = 2σ²/|known|² + 2σ²/|tip − base|² + depth²
 *
 * @returns `photo/length` for a length that is not > 0, `photo/known-too-short` and `photo/plant-too-short` for marks that lie on each other
 * Source: similar triangles; the doubt by propagation of independent errors (GUM, JCGM 100:2008, 5.1.2).
 */
export function heightOnPhoto({ known, length, base, tip, pointing_px }: PhotoMarks): Result<PhotoHeight> {
  if (!(length > 0 && length <= 5)) return fail({ code: 'photo/length', at: 'length', found: length, expected: '0…5' });
  const apart = (a: Pixel, b: Pixel) => Math.hypot(a.x - b.x, a.y - b.y);
  const scale = apart(...known);
  const stem = apart(base, tip);
  if (!(scale >= LEAST_APART_PX)) return fail({ code: 'photo/known-too-short', at: 'known' });
  if (!(stem >= LEAST_APART_PX)) return fail({ code: 'photo/plant-too-short', at: 'plant' });
  const height = (length * stem) / scale;
  const relative = Math.sqrt(2 * (pointing_px / scale) ** 2 + 2 * (pointing_px / stem) ** 2 + DEPTH_DOUBT ** 2);
  return ok({ height, sd: height * relative });
}
