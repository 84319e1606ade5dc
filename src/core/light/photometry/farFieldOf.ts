import type { Emitter } from '../emitters/Emitter';
import { frameOf } from '../emitters/frameOf';
import { intensityTowards, type IntensityTable } from '../emitters/IntensityTable';

/** Intensity of one emitter towards a direction of unit length, µmol s⁻¹ sr⁻¹. */
function intensityOf(e: Emitter, x: number, y: number, z: number): number {
  const { u, v, w } = frameOf(e);
  const along = x * u[0] + y * u[1] + z * u[2];
  const across = x * v[0] + y * v[1] + z * v[2];
  const down = x * w[0] + y * w[1] + z * w[2];
  switch (e.kind) {
    case 'tube': {
      if (e.shaded && down <= 0) return 0;
      return ((e.shaded ? 2 : 1) * e.ppf * Math.sqrt(Math.max(0, 1 - along * along))) / Math.PI ** 2;
    }
    case 'photometric':
      return e.ppf * intensityTowards(e.table, along, across, down);
    case 'point':
      if (e.cosinePower === null) return e.ppf / (4 * Math.PI);
      return down > 0 ? (e.ppf * (e.cosinePower + 1) * down ** e.cosinePower) / (2 * Math.PI) : 0;
    default:
      return down > 0 ? (e.ppf * (e.cosinePower + 1) * down ** e.cosinePower) / (2 * Math.PI) : 0;
  }
}

/**
 * The far field of a lamp: intensity by direction as seen from so far away that its size does not matter.
 *
 * @param gammaStep, cStep  degrees; divide 180 and 360
 * @returns for one unit of the lamp's flux
 */
export function farFieldOf(emitters: readonly Emitter[], gammaStep = 1, cStep = 15): IntensityTable {
  const flux = emitters.reduce((sum, e) => sum + e.ppf, 0);
  const steps = (whole: number, step: number, closed: boolean) =>
    Array.from({ length: Math.round(whole / step) + (closed ? 1 : 0) }, (_, i) => (i * step * Math.PI) / 180);
  const gamma = steps(180, gammaStep, true);
  const c = steps(360, cStep, false);
  const perFlux = c.flatMap((turn) =>
    gamma.map((g) => {
      const sin = Math.sin(g);
      return emitters.reduce((sum, e) => sum + intensityOf(e, sin * Math.cos(turn), sin * Math.sin(turn), -Math.cos(g)), 0) / flux;
    }),
  );
  return { gamma, c, perFlux };
}
