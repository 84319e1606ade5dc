import { askedTier } from '../bench/questionOfStand';
import { sceneOfTier } from '../bench/benchScene';
import type { BenchAnswer } from '../bench/BenchQuestion';
import { lightFieldOf } from '../light/scene/LightField';
import { createRecall } from '../light/scene/Recall';
import type { TrayStrength } from '../programme/wishedHours';
import type { Metres, Ppfd } from '../quantities';
import type { BenchTier, BenchTray } from '../stand/benchStand';
import { isRoofed, LAMP_HEADROOM } from '../stand/Enclosure';
import { outlineOf, outlineOfFitting, plantAreaOf } from '../stand/footprint';
import { meanOfPoints, pointsOf } from '../stand/trayPoints';

/** The light on the trays of a tier for every height of its lamps and of its plants: worked out once, looked up for each day. */
export interface LightTable {
  /** How far the lamps can be moved, m up from where they hang; 0 and 0 where they can't. */
  readonly lowest: Metres;
  readonly highest: Metres;
  /** All lamps of a step together: the coarsest hanger of the tier; 0 where they are fixed. */
  readonly step: Metres;
  /** Height of the lowest face at a lift. */
  faceAt(lift: Metres): Metres;
  /** The lowest face straight over a tray, and how near to it leaves may come; the tier's lowest where none is over it. */
  over(trayId: string, lift: Metres): { readonly face: Metres; readonly least: Metres };
  /** Light on a tray whose leaf tops are at a height of the tier. */
  strengthAt(trayId: string, lift: Metres, canopy: Metres): TrayStrength;
}

/** Between which heights above the tier's floor the leaf tops of a tray will be. */
export interface CanopyRange {
  readonly low: Metres;
  readonly high: Metres;
}

/** Where no leaf will ever be. */
const NOT_ASKED: TrayStrength = { weakest: 0, mean: 0, strongest: 0 };

/** As far as lamps are moved at all. */
const REACH: Metres = 1;
/** Lamps in the open shine from no higher than this over the floor. */
const OPEN_HEIGHT: Metres = 1.2; // our choice: as far as a bench is worth lighting
const LIFTS = 9;
const DISTANCES = 14;
const NEAREST: Metres = 0.015;
/** Leaves keep this far from any lamp, however cool: room for air to move. */
const ROOM_FOR_AIR: Metres = 0.02; // our choice

/**
 * Works out the light of one tier at a grid of lamp heights and distances, at 63 points of each tray; between them by straight
 * lines in the logarithms. Light from other tiers stays as it is.
 *
 * Error: below 3 % of what the engine says of the same day (hangChart.test.ts).
 *
 * @param answer    the engine's light of the stand now
 * @param canopies  between which heights the leaf tops of each tray will be: nothing is worked out beyond them
 */
export function lightTableOf(t: BenchTier, answer: BenchAnswer, canopies: ReadonlyMap<string, CanopyRange>): LightTable {
  const movable = t.lamps.filter((l) => l.fitting.hanger.kind !== 'fixed');
  const faces = t.lamps.map((l) => l.fitting.face);
  const step = Math.max(0, ...movable.map((l) => l.fitting.hanger.step));
  const roof = isRoofed(t.tier.enclosure) ? t.tier.enclosure.height - LAMP_HEADROOM : Math.max(OPEN_HEIGHT, ...faces);
  const highest = movable.length > 0 ? Math.max(0, Math.min(REACH, roof - Math.max(...movable.map((l) => l.fitting.face)))) : 0;
  const lowest = movable.length > 0 ? -Math.max(0, Math.min(REACH, Math.min(...movable.map((l) => l.fitting.face)) - 0.05)) : 0;
  const faceOf = (l: (typeof t.lamps)[number], lift: Metres) => l.fitting.face + (l.fitting.hanger.kind === 'fixed' ? 0 : lift);
  const faceAt = (lift: Metres) => Math.min(...t.lamps.map((l) => faceOf(l, lift)));
  // In the open, with all lamps going up together, only the distance counts.
  const single = t.room === null && movable.length === t.lamps.length;
  const lifts =
    single || highest - lowest < 1e-6 ? [0] : Array.from({ length: LIFTS }, (_, i) => lowest + ((highest - lowest) * i) / (LIFTS - 1));
  const farthest = Math.max(NEAREST * 2, faceAt(highest));
  const distances = Array.from({ length: DISTANCES }, (_, i) => NEAREST * (farthest / NEAREST) ** (i / (DISTANCES - 1)));

  const asked = askedTier(t);
  const recall = createRecall(1024);
  const rows = new Map<string, readonly TrayStrength[][]>(t.trays.map(({ tray }) => [tray.id, lifts.map(() => [])]));
  const places = new Map(t.trays.map(({ tray }) => [tray.id, pointsOf(plantAreaOf(tray))]));
  const spills = new Map(t.trays.map((y) => [y.tray.id, spillAt(y, places.get(y.tray.id)!)] as const));

  /** What comes from other tiers now, at the points of a tray: the whole light that the engine found there less the tier's own. */
  function spillAt({ tray, canopy }: BenchTray, points: readonly (readonly [Metres, Metres])[]): Float64Array {
    const light = answer.tiers[t.tier.id]?.trays[tray.id];
    if (!light || light.spillShare === 0) return new Float64Array(points.length);
    const { area, columns, rows: lines, ppfd } = light.map;
    const own = lightFieldOf(sceneOfTier(asked), recall);
    const cell = (at: number, from: number, to: number, count: number) =>
      Math.min(count - 1, Math.max(0, Math.floor(((at - from) / (to - from)) * count)));
    return Float64Array.from(points, ([x, y]) => {
      const [i, j] = [cell(x, area.x0, area.x1, columns), cell(y, area.y0, area.y1, lines)];
      const [cx, cy] = [area.x0 + ((i + 0.5) / columns) * (area.x1 - area.x0), area.y0 + ((j + 0.5) / lines) * (area.y1 - area.y0)];
      return Math.max(0, ppfd[i + columns * j]! - own.ppfdAt(cx, cy, canopy));
    });
  }
  lifts.forEach((lift, i) => {
    const lamps = asked.lamps.map((lamp, k) => {
      const up = faceOf(t.lamps[k]!, lift) - t.lamps[k]!.fitting.face;
      return { ...lamp, emitters: lamp.emitters.map((e) => ({ ...e, z: e.z + up })) };
    });
    const field = lightFieldOf(sceneOfTier({ lamps, room: asked.room }), recall);
    for (const { tray } of t.trays)
      for (const [j, d] of distances.entries()) {
        // What is looked up lies between two distances and two lifts: one beyond each end of the range will do.
        const { low, high } = canopies.get(tray.id)!;
        const nearer = faceAt(lifts[i - 1] ?? lowest) - high;
        const farther = faceAt(lifts[i + 1] ?? highest) - low;
        if ((distances[j + 1] ?? Infinity) < nearer || (distances[j - 1] ?? -Infinity) > farther) {
          rows.get(tray.id)![i]!.push(NOT_ASKED);
          continue;
        }
        const z = Math.max(0.001, faceAt(lift) - d);
        const spill = spills.get(tray.id)!;
        const values = Float64Array.from(places.get(tray.id)!, ([x, y], k) => field.ppfdAt(x, y, z) + spill[k]!);
        rows.get(tray.id)![i]!.push({ weakest: Math.min(...values), mean: meanOfPoints(values), strongest: Math.max(...values) });
      }
  });

  const overOf = new Map(
    t.trays.map(({ tray }) => {
      const o = outlineOf(tray);
      const above = t.lamps.filter(({ fitting, lamp }) => {
        const r = outlineOfFitting(fitting, lamp);
        return o.x0 < r.x1 && r.x0 < o.x1 && o.y0 < r.y1 && r.y0 < o.y1;
      });
      return [tray.id, above] as const;
    }),
  );

  return {
    lowest,
    highest,
    step,
    faceAt,
    over(trayId, lift) {
      const above = overOf.get(trayId) ?? [];
      if (above.length === 0) return { face: faceAt(lift), least: 0 };
      // Of several lamps the one that leaves come too near to first.
      const room = (l: (typeof above)[number]) => Math.max(ROOM_FOR_AIR, l.lamp.heatClearance);
      const first = above.reduce((a, b) => (faceOf(b, lift) - room(b) < faceOf(a, lift) - room(a) ? b : a));
      return { face: faceOf(first, lift), least: room(first) };
    },
    strengthAt(trayId, lift, canopy) {
      const tray = rows.get(trayId);
      if (!tray) throw new RangeError(`there is no tray ${trayId} on tier ${t.tier.id}`);
      const d = Math.min(farthest, Math.max(NEAREST, faceAt(lift) - canopy));
      const [j, v] = between(((Math.log(d / NEAREST) / Math.log(farthest / NEAREST)) * (DISTANCES - 1)), DISTANCES); // prettier-ignore
      const [i, u] = lifts.length > 1 ? between(((lift - lowest) / (highest - lowest)) * (LIFTS - 1), LIFTS) : ([0, 0] as const);
      const at = (of: keyof TrayStrength): Ppfd => {
        const row = (k: number) => mix(tray[k]![j]![of], tray[k]![Math.min(DISTANCES - 1, j + 1)]![of], v);
        return u > 0 ? mix(row(i), row(i + 1), u) : row(i);
      };
      return { weakest: at('weakest'), mean: at('mean'), strongest: at('strongest') };
    },
  };
}

/** Which of so many even places lies before a position, and how far past it. */
function between(position: number, count: number): readonly [number, number] {
  const i = Math.min(count - 2, Math.max(0, Math.floor(position)));
  return [i, Math.min(1, Math.max(0, position - i))];
}

/** Between two strengths, by a straight line in the logarithms. */
const mix = (a: Ppfd, b: Ppfd, t: number): Ppfd => (a > 0 && b > 0 ? a * (b / a) ** t : a + (b - a) * t);
