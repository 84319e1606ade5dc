import { basisOf, lightAt } from '../../measure/fit/basis';
import { uncertaintyOfShift, fitLampOf, sidesOf } from '../../measure/fit/fitTier';
import { emittersHung } from '../../site/stand/emittersHung';
import type { Lamp } from '../../things/lamp/Lamp';
import type { Metres } from '../../units/quantities';
import type { BenchTier } from '../stand/benchStand';
import { plantAreaOf } from '../../site/stand/footprint';

/** Where the next reading is to be taken. */
export interface WalkPoint {
  /** From the left front corner of the tier and its floor. */
  readonly x: Metres;
  readonly y: Metres;
  readonly z: Metres;
  /** The tray whose leaf tops these are; null: of none. */
  readonly trayId: string | null;
  readonly where: 'middle' | 'edge' | 'corner' | 'between' | 'near-lamp';
}

/** Real light departs from any model by so much, alike within so far: 1 standard deviation of its ln. */
const DEPARTS = { sd: 0.1, within: 0.14 }; // somewhat over DOUBT_OF_BEAM, over about half a tray; our estimate
const HAND_SD = 0.07;
/** Points near a lamp hang so far below its face. */
const NEAR: Metres = 0.1; // far enough that a few millimetres hardly count, near enough that the sides do not either
/** Points stand no closer than this where there is room. */
const APART: Metres = 0.07;
/** What a place counts for: trays fail at their corners and edges first. */
const COUNTS = { corner: 3, edge: 1.5, middle: 1, between: 1, 'near-lamp': 0 } as const;
const COLUMNS = 9;
const ROWS = 5;

/**
 * Chooses the points that tell most about a tier: of all that could be read, each time the one after which the light on the
 * plants is surest.
 *
 * One or two are always near a lamp where there is room: at the leaves alone a weak lamp and dark sides look the same.
 *
 * What is not known: each lamp's output, the paleness of the sides, the beams (as the fit would ask them), and how the real
 * light departs from the model from place to place.
 *
 * @param count  1 … ; fewer come back where there are fewer places
 * @returns in the order of a walk: tray after tray, at last those near a lamp
 * Source: Cohn 1996, Neural Networks 9:1071, choosing the query that lowers the expected variance most.
 */
export function planWalk(t: BenchTier, count: number): WalkPoint[] {
  const kinds = [...new Map(t.lamps.map((l) => [l.lamp.id, l.real] as const)).entries()].map(([id, real]): Lamp => ({ ...real, id }));
  if (kinds.length === 0) return [];
  const candidates = candidatesOf(t);
  const sides = t.room ? sidesOf(t.tier.enclosure) : [];
  const lamps = kinds.map((lamp) => fitLampOf(lamp, t.tier.ageing));
  const sidesUncertainty = sides.length > 0 ? uncertaintyOfShift(t.tier.enclosure.faces, sides) : 1;
  const highest = Math.max(...candidates.map((c) => c.z));
  const scene = {
    emitters: kinds.map((k) => t.lamps.filter((l) => l.lamp.id === k.id).flatMap((l) => emittersHung(l.real, l.fitting, highest))),
  };
  const places = candidates.map(({ x, y, z }) => ({ scene: 0, x, y, z }));
  const question = { lamps, scenes: [scene], room: t.room, sides, sidesUncertainty, hand: HAND_SD, readings: [] };
  const basis = basisOf(question, places);
  const n = places.length;
  const ones = kinds.map(() => 1);
  const ln = (shift: number, beam: number) => {
    const unit = basis.at(shift, beam);
    return places.map((_, i) => Math.log(Math.max(1e-9, lightAt(unit, i, n, ones))));
  };
  const unit = basis.at(0, 0);
  const here = ln(0, 0);
  const h = 0.1;
  const hasBeam = lamps.some((l) => l.beamFwhm !== null);
  const columns: { sd: number; of: number[] }[] = [
    ...lamps.map((l, g) => ({ sd: l.uncertainty, of: places.map((_, i) => unit[g * n + i]! / Math.exp(here[i]!)) })),
    ...(sides.length > 0 ? [{ sd: sidesUncertainty, of: between(ln(h, 0), ln(-h, 0), 2 * h) }] : []),
    ...(hasBeam ? [{ sd: 0.2, of: between(ln(0, h), ln(0, -h), 2 * h) }] : []),
  ];
  // Covariance of ln of the light between all candidates before anything is read.
  const covariance = places.map((p, i) =>
    places.map((q, j) => {
      const apart = Math.hypot(p.x - q.x, p.y - q.y, p.z - q.z) / DEPARTS.within;
      return columns.reduce((sum, c) => sum + c.sd ** 2 * c.of[i]! * c.of[j]!, DEPARTS.sd ** 2 * Math.exp(-0.5 * apart * apart));
    }),
  );
  const weights = candidates.map((c) => COUNTS[c.where]);
  const near = candidates.flatMap((c, i) => (c.where === 'near-lamp' ? [i] : []));
  const wanted = Math.min(near.length, count >= 7 ? 2 : count >= 4 ? 1 : 0);
  const chosen: number[] = [];
  const choose = (from: readonly number[]) => {
    const free = from.filter((i) => !chosen.includes(i));
    const roomy = free.filter((i) => chosen.every((c) => apart(candidates[i]!, candidates[c]!) >= APART));
    const among = roomy.length > 0 ? roomy : free;
    if (among.length === 0) return;
    const worth = among.map((i) => gained(covariance, i, weights));
    const best = among[worth.indexOf(Math.max(...worth))]!;
    chosen.push(best);
    take(covariance, best);
  };
  const atLeaves = candidates.flatMap((c, i) => (c.where !== 'near-lamp' ? [i] : []));
  // The middle first: it is where everybody looks.
  if (count > 0) choose(atLeaves.filter((i) => candidates[i]!.where === 'middle'));
  while (chosen.length < Math.min(count - wanted, atLeaves.length)) choose(atLeaves);
  for (let k = 0; k < wanted; k++) choose(near);
  return inOrder(
    chosen.map((i) => candidates[i]!),
    t,
  );
}

const apart = (a: WalkPoint, b: WalkPoint) => Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z);

/** Tray after tray, each from its middle to the nearest that is left; what is near a lamp last. */
function inOrder(points: readonly WalkPoint[], t: BenchTier): WalkPoint[] {
  const rank = (p: WalkPoint) => (p.where === 'near-lamp' ? Infinity : t.trays.findIndex((y) => y.tray.id === p.trayId));
  const groups = [...new Set(points.map(rank))].sort((a, b) => a - b);
  return groups.flatMap((g) => {
    const left = points.filter((p) => rank(p) === g);
    const path: WalkPoint[] = [];
    while (left.length > 0) {
      const from = path[path.length - 1];
      const away = (p: WalkPoint) => (from ? apart(p, from) : p.where === 'middle' ? -1 : p.x);
      const next = left.reduce((a, b) => (away(b) < away(a) ? b : a));
      path.push(next);
      left.splice(left.indexOf(next), 1);
    }
    return path;
  });
}

const between = (up: readonly number[], down: readonly number[], over: number) => up.map((u, i) => (u - down[i]!) / over);

/** How much the variance over all places falls by a reading at one, each by what it counts for. */
function gained(covariance: readonly (readonly number[])[], at: number, weights: readonly number[]): number {
  const own = covariance[at]![at]! + HAND_SD ** 2;
  return weights.reduce((sum, w, t) => sum + (w * covariance[at]![t]! ** 2) / own, 0);
}

/** The covariance after a reading at one place. */
function take(covariance: number[][], at: number): void {
  const own = covariance[at]![at]! + HAND_SD ** 2;
  const row = [...covariance[at]!];
  for (let i = 0; i < row.length; i++) for (let j = 0; j < row.length; j++) covariance[i]![j]! -= (row[i]! * row[j]!) / own;
}

function candidatesOf(t: BenchTier): WalkPoint[] {
  const onTrays = t.trays.flatMap(({ tray, canopy }) => {
    const r = plantAreaOf(tray);
    // A sensor is a coin wide: its middle is never nearer to the rim.
    const inset = Math.min(0.02, (r.x1 - r.x0) / 4, (r.y1 - r.y0) / 4);
    const small = r.x1 - r.x0 < 0.2;
    const [columns, rows] = small ? [3, 3] : [COLUMNS, ROWS];
    return Array.from({ length: columns * rows }, (_, k): WalkPoint => {
      const [i, j] = [k % columns, Math.floor(k / columns)];
      const [endX, endY] = [i === 0 || i === columns - 1, j === 0 || j === rows - 1];
      const middle = i === (columns - 1) / 2 && j === (rows - 1) / 2;
      return {
        x: r.x0 + inset + (i / (columns - 1)) * (r.x1 - r.x0 - 2 * inset),
        y: r.y0 + inset + (j / (rows - 1)) * (r.y1 - r.y0 - 2 * inset),
        z: canopy,
        trayId: tray.id,
        where: middle ? 'middle' : endX && endY ? 'corner' : endX || endY ? 'edge' : 'between',
      };
    });
  });
  const empty = t.trays.length === 0;
  const overEmpty = empty
    ? [0.5, 0.1, 0.9].flatMap((u) =>
        [0.5, 0.15, 0.85].map((v): WalkPoint => {
          const where = u === 0.5 && v === 0.5 ? 'middle' : u !== 0.5 && v !== 0.5 ? 'corner' : 'edge';
          return { x: u * t.tier.width, y: v * t.tier.depth, z: 0.1, trayId: null, where };
        }),
      )
    : [];
  const top = Math.max(0.1, ...t.trays.map((y) => y.canopy));
  const nearLamps = t.lamps
    .filter(({ fitting }) => !fitting.travel && fitting.face - NEAR > top + 0.02)
    .map(({ fitting }): WalkPoint => ({ x: fitting.x, y: fitting.y, z: fitting.face - NEAR, trayId: null, where: 'near-lamp' }));
  return [...onTrays, ...overEmpty, ...nearLamps];
}
