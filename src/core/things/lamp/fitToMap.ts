import { lightFieldOf } from '../../light/scene/LightField';
import { fail, ok, type Result } from '../../units/result';
import type { Metres, Ppf, Radians, Share } from '../../units/quantities';
import { emittersOf } from './emittersOf';
import type { Lamp } from './Lamp';

/** A published map of PPFD below a lamp: its distance, how much it covers, and its cells row by row. */
export interface PpfdMap {
  readonly distance: Metres;
  /** Along and across the lamp. */
  readonly width: Metres;
  readonly depth: Metres;
  readonly rows: readonly (readonly number[])[];
}

const MOST_CELLS = 2500;

/** Reads the cells of a map as pasted: rows on lines, cells parted by tabs, commas, semicolons or blanks. */
export function readMapCells(text: string): Result<readonly (readonly number[])[]> {
  const lines = text.split(/\r\n|\n|\r/).map((l) => l.trim());
  const rows: number[][] = [];
  for (let i = 0; i < lines.length; i++) {
    const line = lines[i]!;
    if (!line) continue;
    const row = line
      .split(/[\s,;]+/)
      .filter((w) => w !== '')
      .map(Number);
    if (row.some((v) => !Number.isFinite(v) || v < 0 || v > 20_000))
      return fail({ code: 'map/not-numbers', at: `line ${i + 1}`, found: line.slice(0, 60) });
    if (rows.length > 0 && row.length !== rows[0]!.length)
      return fail({ code: 'map/uneven', at: `line ${i + 1}`, found: row.length, expected: String(rows[0]!.length) });
    rows.push(row);
    if (rows.length * row.length > MOST_CELLS) return fail({ code: 'map/too-large', at: `line ${i + 1}`, expected: String(MOST_CELLS) });
  }
  if (rows.length === 0 || rows.flat().every((v) => v === 0)) return fail({ code: 'map/empty', at: '' });
  return ok(rows);
}

/** A lamp fitted to a published map. */
export interface MapFit {
  readonly ppf: Ppf;
  /** Null where the lamp has no beam to fit. */
  readonly beamFwhm: Radians | null;
  /** Root of the mean square of what is left, over the mean of the map. */
  readonly leftOver: Share;
}

const SHARPEST = (15 * Math.PI) / 180;
const WIDEST = (150 * Math.PI) / 180;

/**
 * Fits flux, and beam where there is one, so that the lamp's own model gives the map as nearly as can be (least squares).
 *
 * @param lamp  its shape and size; its flux does not matter
 * Error: a map taken between pale walls makes the lamp stronger than it is; `leftOver` says how well the shape fits.
 */
export function fitToMap(lamp: Lamp, map: PpfdMap): MapFit {
  const { width, depth, distance, rows } = map;
  const cells = rows.flat();
  const mean = cells.reduce((a, b) => a + b, 0) / cells.length;
  const columns = rows[0]!.length;
  const trial = (beamFwhm: Radians | null) => {
    const emitters = emittersOf({ ...lamp, beamFwhm, ppf: 1 }, { x: 0, y: 0, face: distance, turn: 0 });
    const field = lightFieldOf({ lamps: [{ id: 'lamp', emitters }], rooms: [], obstructions: [] });
    const unit = cells.map((_, k) => {
      const [i, j] = [k % columns, Math.floor(k / columns)];
      return field.ppfdAt(((i + 0.5) / columns - 0.5) * width, ((j + 0.5) / rows.length - 0.5) * depth, 0);
    });
    const over = unit.reduce((sum, u, k) => sum + u * cells[k]!, 0);
    const under = unit.reduce((sum, u) => sum + u * u, 0);
    const ppf = over / under;
    const left = Math.sqrt(unit.reduce((sum, u, k) => sum + (ppf * u - cells[k]!) ** 2, 0) / cells.length) / mean;
    return { ppf, left };
  };
  if (lamp.beamFwhm === null) {
    const { ppf, left } = trial(null);
    return { ppf, beamFwhm: null, leftOver: left };
  }
  // Coarse look over all beams, then golden section about the best.
  const angles = Array.from({ length: 16 }, (_, i) => SHARPEST + ((WIDEST - SHARPEST) * i) / 15);
  const best = angles.reduce((a, b) => (trial(b).left < trial(a).left ? b : a));
  let [low, high] = [Math.max(SHARPEST, best - 0.16), Math.min(WIDEST, best + 0.16)];
  for (let i = 0; i < 18; i++) {
    const [a, b] = [high - 0.618 * (high - low), low + 0.618 * (high - low)];
    if (trial(a).left < trial(b).left) high = b;
    else low = a;
  }
  const beamFwhm = (low + high) / 2;
  const { ppf, left } = trial(beamFwhm);
  return { ppf, beamFwhm, leftOver: left };
}
