import { meanOfPoints, POINT_WEIGHTS, pointsOf } from '../stand/trayPoints';
import { lightBandOf } from '../dose/lightBand';
import { MOL_SECONDS } from '../dose/dli';
import { emittersOf } from '../lamp/emittersOf';
import { lightOf } from '../light/ppfdAtPoint';
import type { LightAt } from '../light/emitters/Emitter';
import type { Dli, Ppfd, Share } from '../quantities';
import type { BenchStand, BenchTier, BenchTray } from '../stand/benchStand';
import { plantAreaOf } from '../stand/footprint';
import { answerBench } from '../bench/answerBench';
import type { BenchAnswer } from '../bench/BenchQuestion';
import { askedTier } from '../bench/questionOfStand';

/** How one tray fares, in doses. */
export interface Fare {
  readonly trayId: string;
  readonly weakest: Dli;
  readonly mean: Dli;
  readonly strongest: Dli;
  readonly strongestPpfd: Ppfd;
  readonly shareInBand: Share;
  readonly area: number;
}

/**
 * A quick judge of what a change would do, for looking at hundreds: the straight light of a tier's lamps in full; what comes
 * from sides and other tiers as it is now, in proportion to the photons of the lamps. What is shown to a person is worked out
 * in full afterwards.
 *
 * @param now     the stand as it is
 * @param answer  its light, from the engine
 */
export function roughJudge(now: BenchStand, answer: BenchAnswer): (stand: BenchStand) => Fare[] {
  const lights = new Map<string, LightAt>();
  const straightOf = (tier: BenchTier): LightAt[] =>
    tier.lamps.flatMap(({ fitting, real }) =>
      emittersOf(real, fitting).map((e) => {
        const key = JSON.stringify(e);
        const known = lights.get(key) ?? lightOf(e);
        lights.set(key, known);
        return known;
      }),
    );
  const sums = new Map<string, Float64Array>();
  /** Straight light at the points of a tray; the same tray under the same lamps is worked out once. */
  function straightAt(tier: BenchTier, tray: BenchTray): Float64Array {
    const area = plantAreaOf(tray.tray);
    const key = JSON.stringify([
      area,
      tray.canopy,
      tier.lamps.map((l) => [l.real.id, l.real.ppf, l.fitting.x, l.fitting.y, l.fitting.face, l.fitting.turn]),
    ]);
    const known = sums.get(key);
    if (known) return known;
    const lamps = straightOf(tier);
    const out = Float64Array.from(pointsOf(area), ([x, y]) => lamps.reduce((sum, light) => sum + light(x, y, tray.canopy), 0));
    sums.set(key, out);
    return out;
  }
  const fluxOf = (t: BenchTier) => t.lamps.reduce((sum, l) => sum + l.real.ppf, 0);

  // The rest of the light, as the mean over each tray that stands there now; for a tray elsewhere as on its new tier.
  const rests = new Map<string, { rest: Ppfd; flux: number }>();
  for (const t of now.tiers) {
    let sum = 0;
    for (const tray of t.trays) {
      const light = answer.tiers[t.tier.id]?.trays[tray.tray.id];
      if (!light) continue;
      const own = straightAt(t, tray);
      const rest = Math.max(0, light.stats.mean - meanOfPoints(own));
      rests.set(`${t.tier.id} ${tray.tray.id}`, { rest, flux: fluxOf(t) });
      sum += rest / t.trays.length;
    }
    rests.set(t.tier.id, { rest: sum, flux: fluxOf(t) });
  }

  const facesOf = new Map(now.tiers.map((t) => [t.tier.id, JSON.stringify(t.tier.enclosure.faces)]));
  const lined = new Map<string, Map<string, { rest: Ppfd; flux: number }>>();
  /** What comes from sides and other tiers; sides of another material are worked out in full once, and the spill stays as it is. */
  function restOf(t: BenchTier, trayId: string): { rest: Ppfd; flux: number } {
    const known = rests.get(`${t.tier.id} ${trayId}`) ?? rests.get(t.tier.id) ?? { rest: 0, flux: 0 };
    const faces = JSON.stringify(t.tier.enclosure.faces);
    if (faces === facesOf.get(t.tier.id)) return known;
    let of = lined.get(`${t.tier.id} ${faces}`);
    if (!of) {
      const alone = answerBench({ tiers: [askedTier(t)], view: null, cell: 0.02, sliceCell: 0.02, only: null, spill: true }).tiers[
        t.tier.id
      ]!;
      of = new Map(
        t.trays.map((y) => {
          const straight = straightAt(t, y);
          const was = answer.tiers[t.tier.id]?.trays[y.tray.id];
          const reflected = alone.trays[y.tray.id]!.stats.mean - meanOfPoints(straight);
          return [y.tray.id, { rest: Math.max(0, reflected) + (was ? was.spillShare * was.stats.mean : 0), flux: fluxOf(t) }];
        }),
      );
      lined.set(`${t.tier.id} ${faces}`, of);
    }
    return of.get(trayId) ?? known;
  }

  return (stand) =>
    stand.tiers.flatMap((t) =>
      t.trays.map((tray): Fare => {
        const straight = straightAt(t, tray);
        const { rest, flux } = restOf(t, tray.tray.id);
        const more = flux > 0 ? rest * (fluxOf(t) / flux) : rest;
        const band = lightBandOf(tray.stage, t.hours);
        let low = Infinity, high = 0, sum = 0, inside = 0; // prettier-ignore
        for (let p = 0; p < straight.length; p++) {
          const v = straight[p]! + more;
          low = Math.min(low, v);
          high = Math.max(high, v);
          sum += v * POINT_WEIGHTS[p]!;
          if (v >= band.low && v <= band.high) inside += POINT_WEIGHTS[p]!;
        }
        const k = t.hours * MOL_SECONDS;
        const area = plantAreaOf(tray.tray);
        return {
          trayId: tray.tray.id,
          weakest: low * k,
          mean: sum * k,
          strongest: high * k,
          strongestPpfd: high,
          shareInBand: inside,
          area: (area.x1 - area.x0) * (area.y1 - area.y0),
        };
      }),
    );
}
