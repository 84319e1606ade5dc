import { meterLibrary } from '../../things/meter/meterLibrary';
import { spectrumOf } from '../../light/spectrum/spectrumLibrary';
import { lightFieldOf, type LightField } from '../../light/scene/LightField';
import { createCache } from '../../light/scene/Cache';
import type { Scene } from '../../light/scene/Scene';
import { slantAt } from '../../light/scene/slantAt';
import { shareWithin, statsOver } from '../../light/field/statsOver';
import { meterShows } from '../../things/meter/meterShows';
import { figuresOf } from '../../light/spectrum/figures';
import { lampSpectrumOf } from '../../light/spectrum/lampSpectra';
import type { Ppfd } from '../../units/quantities';
import type {
  SceneBand,
  FalloffAnswer,
  GridAnswer,
  PointAnswer,
  QuestionLamp,
  SceneAnswer,
  SceneQuestion,
  TrayAnswer,
} from './SceneQuestion';

/** A centimetre: the step over which the change with height is taken. */
const STEP = 0.01;

/**
 * Answers everything that is asked of a scene. Light adds up, so each lamp is settled for itself and the whole is their sum;
 * that is where the shares come from.
 *
 * Bands: each lamp's flux is a doubt of its own, weighed by its share of the light there; its height counts through the change
 * with height. All together by the root of the sum of squares (GUM), each side for itself.
 */
export function answerScene(question: SceneQuestion): SceneAnswer {
  const { scene, trays, points, maps, slices, falloffs, trayCell } = question;
  const cache = createCache(2048);
  const whole = lightFieldOf(scene, cache);
  const each = scene.lamps.map((lamp) => ({ lamp, field: lightFieldOf({ ...scene, lamps: [lamp] }, cache) }));
  const emitted = scene.lamps.reduce((sum, l) => sum + l.emitters.reduce((s, e) => s + e.ppf, 0), 0);

  function bandAt(value: Ppfd, shares: readonly number[], changePerMetre: number): SceneBand {
    const off = (side: 'low' | 'high') =>
      Math.sqrt(
        scene.lamps.reduce(
          (sum, l, i) => sum + (shares[i]! * l.ppfDoubt[side]) ** 2 + (shares[i]! * l.heightDoubt * changePerMetre) ** 2,
          0,
        ),
      );
    return { value, low: value * (1 - Math.min(0.95, off('low'))), high: value * (1 + off('high')) };
  }

  function point({ x, y, z }: { x: number; y: number; z: number }): PointAnswer {
    const parts = each.map(({ field }) => field.ppfdAt(x, y, z));
    const ppfd = parts.reduce((a, b) => a + b, 0);
    const shares = parts.map((p) => (ppfd > 0 ? p / ppfd : 0));
    const change = ppfd > 0 ? (whole.ppfdAt(x, y, z + STEP) / whole.ppfdAt(x, y, z) - 1) / STEP : 0;
    const mixed = (value: (l: QuestionLamp) => number) => scene.lamps.reduce((sum, l, i) => sum + shares[i]! * value(l), 0);
    const luxPerUmol = mixed((l) => spectrumOf(l.spectrumId).luxPerUmol);
    const farRed = mixed((l) => figuresOf(lampSpectrumOf(l.spectrumId).spectrum).farRed);
    const reflectedShare = ppfd > 0 ? whole.reflectedAt(x, y, z) / ppfd : 0;
    const there = { ppfd, luxPerUmol, farRed, slant: slantAt(scene, x, y, z, reflectedShare) };
    return {
      x,
      y,
      z,
      ppfd: bandAt(ppfd, shares, change),
      reflectedShare,
      lamps: scene.lamps.map((l, i) => ({ id: l.id, share: shares[i]! })),
      lux: ppfd * luxPerUmol,
      luxPerUmol,
      changePerCentimetre: change * STEP,
      meters: meterLibrary.map((m) => {
        const { value, unit } = meterShows(m, there);
        return { id: m.id, value, unit };
      }),
    };
  }

  function tray({ id, area, z, band }: SceneQuestion['trays'][number]): TrayAnswer {
    const map = whole.map(area, z, trayCell);
    const stats = statsOver(map, [area]);
    const means = each.map(({ field }) => meanOf(field, area, z, trayCell));
    const shares = means.map((m) => (stats.mean > 0 ? m / stats.mean : 0));
    const higher = meanOf(whole, area, z + STEP, trayCell);
    const { weakest, strongest, uniformityMinOverMean, uniformityMinOverMax } = stats;
    return {
      id,
      mean: bandAt(stats.mean, shares, stats.mean > 0 ? (higher / stats.mean - 1) / STEP : 0),
      weakest,
      strongest,
      uniformityMinOverMean,
      uniformityMinOverMax,
      shareInBand: band && shareWithin(map, [area], band.low, band.high),
      shareOfPpf: emitted > 0 ? (stats.mean * (area.x1 - area.x0) * (area.y1 - area.y0)) / emitted : 0,
    };
  }

  return {
    points: points.map(point),
    trays: trays.map(tray),
    maps: maps.map(({ area, z, cell }) => gridOf(whole.map(area, z, cell))),
    slices: slices.map(({ cell, ...from }) => gridOf(whole.slice(from, cell))),
    falloffs: falloffs.map((f) => falloffOf(scene, f)),
    converged: whole.converged,
    balance: whole.balance(),
  };
}

function meanOf(field: LightField, area: SceneQuestion['trays'][number]['area'], z: number, cell: number): Ppfd {
  const { ppfd } = field.map(area, z, cell);
  return ppfd.reduce((a, b) => a + b, 0) / ppfd.length;
}

function gridOf({ columns, rows, ppfd }: { columns: number; rows: number; ppfd: Float32Array }): GridAnswer {
  return { columns, rows, ppfd: Array.from(ppfd, (v) => Number(v.toPrecision(6))) };
}

/** From a place straight down, in equal ratios; the inverse square continued upward from the far end. */
function falloffOf(scene: Scene, { x, y, z, from, to, count }: SceneQuestion['falloffs'][number]): FalloffAnswer {
  const field = lightFieldOf(scene);
  const distances = Array.from({ length: count }, (_, i) => from * (to / from) ** (count > 1 ? i / (count - 1) : 0));
  const values = distances.map((d) => field.ppfdAt(x, y, z - d));
  const last = values.length - 1;
  const rows = distances.map((distance, i) => ({
    distance,
    ppfd: values[i]!,
    inverseSquare: values[last]! * (distances[last]! / distance) ** 2,
  }));
  let holds: number | null = null;
  for (let i = last; i >= 0 && Math.abs(rows[i]!.inverseSquare / rows[i]!.ppfd - 1) <= 0.1; i--) holds = distances[i]!;
  // The far end agrees with itself; the law must hold over some way to be said to hold.
  return { rows, holdsFrom: holds !== null && holds < to / 1.3 ? holds : null };
}
