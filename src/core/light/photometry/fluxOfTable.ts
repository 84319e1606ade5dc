import type { IntensityTable } from '../emitters/IntensityTable';

/**
 * Flux of a table: ∫∫ I sin γ dγ dC, its entries joined by straight lines.
 *
 * @returns in the unit of the table times sr
 * Error: exact for straight lines between the entries in γ; trapezoids in C.
 */
export function fluxOfTable({ gamma, c, perFlux }: IntensityTable): number {
  const n = gamma.length;
  let whole = 0;
  for (let k = 0; k < c.length; k++) {
    // The plane stands for half the way to its neighbours on both sides.
    const before = k > 0 ? c[k - 1]! : c[c.length - 1]! - 2 * Math.PI;
    const after = k < c.length - 1 ? c[k + 1]! : c[0]! + 2 * Math.PI;
    const share = c.length === 1 ? 2 * Math.PI : (after - before) / 2;
    let plane = 0;
    for (let i = 0; i < n - 1; i++) {
      const [a, b] = [gamma[i]!, gamma[i + 1]!];
      const [ia, ib] = [perFlux[k * n + i]!, perFlux[k * n + i + 1]!];
      // ∫ (ia + (ib − ia) t) sin γ dγ over [a, b], by parts.
      plane += ia * Math.cos(a) - ib * Math.cos(b) + ((ib - ia) * (Math.sin(b) - Math.sin(a))) / (b - a);
    }
    whole += share * plane;
  }
  return whole;
}

/** The same table for one unit of flux, with the flux that it had; null when there is none. */
export function normalised(table: IntensityTable): { readonly table: IntensityTable; readonly flux: number } | null {
  const flux = fluxOfTable(table);
  return flux > 0 ? { table: { ...table, perFlux: table.perFlux.map((v) => v / flux) }, flux } : null;
}
