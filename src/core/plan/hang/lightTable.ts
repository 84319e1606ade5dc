import { askedTier } from '../../answer/bench/questionOfStand';
import { sceneOfTier } from '../../answer/bench/benchScene';
import type { BenchAnswer } from '../../answer/bench/BenchQuestion';
import { lightFieldOf } from '../../light/scene/LightField';
import type { Cache } from '../../light/scene/Cache';
import { NO_LIGHT, SPREAD_PARTS, spreadOf, type LightSpread } from '../../judge/dli/LightSpread';
import { throughCover } from '../../things/container/coverLibrary';
import { clearanceOf } from '../../things/lamp/clearanceOf';
import type { Metres } from '../../units/quantities';
import type { BenchTier, BenchTray } from '../../answer/stand/benchStand';
import { OPEN_HEIGHT, roofOf } from '../../answer/stand/roofOf';
import { bodyOutlineOf, topOfFaceOf } from '../../site/stand/poseOf';
import { plantAreaOf } from '../../site/stand/footprint';
import { NINE_AMONG_POINTS } from '../../site/stand/nineSpots';
import { trayPointsOf } from '../../site/stand/trayPoints';
import type { ChartMemory } from './ChartMemory';
import { exact, ownLightOf, sceneKey, type Places } from './ownLight';

/** The light on the trays of a tier for every height of its lamps and of its plants: worked out once, looked up for each day. */
export interface LightTable {
  /** How far the lamps can be moved, m up from where they hang; 0 and 0 where they can't. */
  readonly lowest: Metres;
  readonly highest: Metres;
  /** All lamps of a step together: the coarsest hanger of the tier; 0 where they are fixed. */
  readonly step: Metres;
  /** Height of the lowest face at a lift. */
  faceAt(lift: Metres): Metres;
  /** The face that leaves of a tray come too near to first, and how far below it they have to stay; the tier's lowest where none is near. */
  over(trayId: string, lift: Metres): { readonly face: Metres; readonly least: Metres };
  /** Light on a tray whose leaf tops are at a height of the tier. */
  spreadAt(trayId: string, lift: Metres, canopy: Metres): LightSpread;
}

/** Between which heights above the tier's floor the leaf tops of a tray will be. */
export interface CanopyRange {
  readonly low: Metres;
  readonly high: Metres;
}

/** The logarithms of a spread: weakest, mean, strongest, its parts and its nine spots; of no light at all a number that is as good as none. */
type Logs = Float64Array;
const DARK = Math.log(1e-9);
const logsOf = ({ weakest, mean, strongest, parts, nine = [] }: LightSpread): Logs =>
  Float64Array.from([weakest, mean, strongest, ...parts, ...nine], (v) => (v > 1e-9 ? Math.log(v) : DARK));

/** What is beside a tier's own light at some points: what other tiers add to it, and the part of it that neighbours leave. */
interface Others {
  readonly add: Float64Array;
  readonly leave: Float64Array;
}
const noOthers = (points: number): Others => ({ add: new Float64Array(points), leave: new Float64Array(points).fill(1) });

/** Where no leaf will ever be. */
const NOT_ASKED: Logs = logsOf(NO_LIGHT);

/** As far as lamps are moved at all. */
const REACH: Metres = 1;
/** Over tall plants in the open no higher than this above their tops. */
const OVER_LEAVES: Metres = 0.6; // our choice
const LIFTS = 9;
const DISTANCES = 14;
const NEAREST: Metres = 0.015;
/**
 * Works out the light of one tier at a grid of lamp heights and distances, at some 70 points of each tray; between them by straight
 * lines in the logarithms. Light from other tiers and the shade of taller neighbours stay as they are.
 *
 * Error: below 3 % of what the engine says of the same day (hangChart.test.ts).
 *
 * @param answer    the engine's light of the stand now
 * @param canopies  between which heights the leaf tops of each tray will be: nothing is worked out beyond them
 * @param cache    what was computed for other tiers of the stand
 * @param memory    what charts before this one worked out
 */
export function lightTableOf(
  t: BenchTier,
  answer: BenchAnswer,
  canopies: ReadonlyMap<string, CanopyRange>,
  cache: Cache,
  memory: Pick<ChartMemory, 'rows' | 'settled'>,
): LightTable {
  const movable = t.lamps.filter((l) => l.fitting.hanger.kind !== 'fixed');
  const faces = t.lamps.map((l) => l.fitting.face);
  const step = Math.max(0, ...movable.map((l) => l.fitting.hanger.step));
  const tallest = Math.max(0, ...[...canopies.values()].map((c) => c.high));
  const roof = Number.isFinite(roofOf(t)) ? roofOf(t) : Math.max(OPEN_HEIGHT, tallest + OVER_LEAVES, ...faces);
  const highest =
    movable.length > 0 ? Math.max(0, Math.min(REACH, roof - Math.max(...movable.map((l) => topOfFaceOf(l.fitting, l.lamp))))) : 0;
  const lowest = movable.length > 0 ? -Math.max(0, Math.min(REACH, Math.min(...movable.map((l) => l.fitting.face)) - 0.05)) : 0;
  const faceOf = (l: (typeof t.lamps)[number], lift: Metres) => l.fitting.face + (l.fitting.hanger.kind === 'fixed' ? 0 : lift);
  const faceAt = (lift: Metres) => Math.min(...t.lamps.map((l) => faceOf(l, lift)));
  // In the open, with all lamps going up together, only the distance counts: worked out as high as they go, where leaves of any distance are above the floor.
  const single = t.room === null && movable.length === t.lamps.length;
  const lifts = single
    ? [highest]
    : highest - lowest < 1e-6
      ? [0]
      : Array.from({ length: LIFTS }, (_, i) => lowest + ((highest - lowest) * i) / (LIFTS - 1));
  const farthest = Math.max(NEAREST * 2, faceAt(highest));
  const distances = Array.from({ length: DISTANCES }, (_, i) => NEAREST * (farthest / NEAREST) ** (i / (DISTANCES - 1)));

  const asked = askedTier(t);
  const lightUnder = ownLightOf(asked, t.lamps.map((l) => l.fitting.hanger.kind !== 'fixed'), cache, memory); // prettier-ignore
  const rows = new Map<string, readonly Logs[][]>(t.trays.map(({ tray }) => [tray.id, lifts.map(() => [])]));
  const points = new Map(t.trays.map(({ tray }) => [tray.id, trayPointsOf(plantAreaOf(tray), t.lamps)]));
  const others = new Map(t.trays.map((y) => [y.tray.id, othersAt(y, points.get(y.tray.id)!.places)] as const));

  /** What other tiers add now, and what neighbours leave, at the points of a tray: the light that the engine found there beside the tier's own. */
  function othersAt({ tray, canopy }: BenchTray, points: Places): Others {
    const light = answer.tiers[t.tier.id]?.trays[tray.id];
    if (light && Object.keys(answer.tiers).length < 2 && light.shadedShare === 0) return noOthers(points.length);
    // Of this memory alone: what one chart keeps for itself goes with it.
    const own = memory.settled.get(`field ${sceneKey(asked)}`, () => lightFieldOf(sceneOfTier(asked), memory.settled));
    if (!light) {
      // Ahead of the stand's light: one place settles it.
      own.ppfdAt(tray.x, tray.y, canopy);
      return noOthers(points.length);
    }
    const { area, columns, rows: lines, ppfd } = light.map;
    const cell = (at: number, from: number, to: number, count: number) =>
      Math.min(count - 1, Math.max(0, Math.floor(((at - from) / (to - from)) * count)));
    const of = noOthers(points.length);
    points.forEach(([x, y], k) => {
      const [i, j] = [cell(x, area.x0, area.x1, columns), cell(y, area.y0, area.y1, lines)];
      const [cx, cy] = [area.x0 + ((i + 0.5) / columns) * (area.x1 - area.x0), area.y0 + ((j + 0.5) / lines) * (area.y1 - area.y0)];
      const [all, alone] = [ppfd[i + columns * j]!, throughCover(tray) * own.ppfdAt(cx, cy, canopy)];
      // Shade takes a part, however strong the lamps are from where they will hang.
      if (all < alone) of.leave[k] = all / alone;
      else of.add[k] = all - alone;
    });
    return of;
  }
  lifts.forEach((lift, i) => {
    const light = lightUnder(lift);
    for (const { tray } of t.trays) {
      const { places, weights } = points.get(tray.id)!;
      for (const [j, d] of distances.entries()) {
        // What is looked up lies between two distances and two lifts: one beyond each end of the range will do.
        const { low, high } = canopies.get(tray.id)!;
        const nearer = faceAt(lifts[i - 1] ?? lowest) - high;
        const farther = faceAt(lifts[i + 1] ?? highest) - low;
        if ((distances[j + 1] ?? Infinity) < nearer || (distances[j - 1] ?? -Infinity) > farther) {
          rows.get(tray.id)![i]!.push(NOT_ASKED);
          continue;
        }
        const z = exact(Math.max(0.001, faceAt(lift) - d));
        const { add, leave } = others.get(tray.id)!;
        const through = throughCover(tray);
        const values = light(places, z).map((v, k) => through * v * leave[k]! + add[k]!);
        rows.get(tray.id)![i]!.push(logsOf(spreadOf(values, weights, NINE_AMONG_POINTS)));
      }
    }
  });

  // Where daylight differs over a tray, and what lamps give at each spot is asked.
  const fromOneSide = new Set(t.trays.filter((y) => y.day.daylight?.course?.nine).map((y) => y.tray.id));

  // Of each tray the lamps whose heat reaches it, and how far below their face its leaves have to stay.
  const nearOf = new Map(
    t.trays.map(({ tray, leaves: o }) => {
      const near = t.lamps.flatMap((lamp) => {
        const r = bodyOutlineOf(lamp.fitting, lamp.lamp);
        const aside = Math.hypot(Math.max(0, o.x0 - r.x1, r.x0 - o.x1), Math.max(0, o.y0 - r.y1, r.y0 - o.y1));
        const least = clearanceOf(lamp.lamp);
        return aside < least ? [{ lamp, below: Math.sqrt(least ** 2 - aside ** 2) }] : [];
      });
      return [tray.id, near] as const;
    }),
  );

  return {
    lowest,
    highest,
    step,
    faceAt,
    over(trayId, lift) {
      const near = nearOf.get(trayId) ?? [];
      if (near.length === 0) return { face: faceAt(lift), least: 0 };
      const room = ({ lamp, below }: (typeof near)[number]) => faceOf(lamp, lift) - below;
      // Of several lamps the one that leaves come too near to first.
      const first = near.reduce((a, b) => (room(b) < room(a) ? b : a));
      return { face: faceOf(first.lamp, lift), least: first.below };
    },
    spreadAt(trayId, lift, canopy) {
      const tray = rows.get(trayId);
      if (!tray) throw new RangeError(`there is no tray ${trayId} on tier ${t.tier.id}`);
      const d = Math.min(farthest, Math.max(NEAREST, faceAt(lift) - canopy));
      const [j, v] = between(((Math.log(d / NEAREST) / Math.log(farthest / NEAREST)) * (DISTANCES - 1)), DISTANCES); // prettier-ignore
      const [i, u] = lifts.length > 1 ? between(((lift - lowest) / (highest - lowest)) * (LIFTS - 1), LIFTS) : ([0, 0] as const);
      const above = Math.min(lifts.length - 1, i + 1);
      // Between the places of the table by straight lines in the logarithms.
      const at = (k: number) => {
        const row = (of: readonly Logs[]) => of[j]![k]! * (1 - v) + of[Math.min(DISTANCES - 1, j + 1)]![k]! * v;
        return Math.exp(u > 0 ? row(tray[i]!) * (1 - u) + row(tray[above]!) * u : row(tray[i]!));
      };
      const spread = { weakest: at(0), mean: at(1), strongest: at(2), parts: Array.from({ length: SPREAD_PARTS }, (_, k) => at(3 + k)) };
      return fromOneSide.has(trayId) ? { ...spread, nine: NINE_AMONG_POINTS.map((_, k) => at(3 + SPREAD_PARTS + k)) } : spread;
    },
  };
}

/** Which of so many even places lies before a position, and how far past it. */
function between(position: number, count: number): readonly [number, number] {
  const i = Math.min(count - 2, Math.max(0, Math.floor(position)));
  return [i, Math.min(1, Math.max(0, position - i))];
}
