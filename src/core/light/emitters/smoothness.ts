import type { Emitter } from './Emitter';

/**
 * How slowly the light of an emitter changes over a plane, as a share of its distance from it: 1 for diffuse light, less for a
 * sharp beam, whose light ∝ cosⁿ⁺³θ is narrower by √((n + 3) / 4).
 *
 * A measured far field is taken as sharp as a beam of its greatest intensity.
 */
export function smoothnessOf(emitter: Emitter): number {
  const power =
    emitter.kind === 'tube'
      ? 1
      : emitter.kind === 'photometric'
        ? 2 * Math.PI * emitter.table.perFlux.reduce((a, b) => Math.max(a, b), 0) - 1
        : (emitter.cosinePower ?? 1);
  return Math.sqrt(4 / (Math.max(1, power) + 3));
}
