import { MOL_SECONDS } from '../../judge/dli/dli';
import type { LightMap } from '../../light/field/Grid';
import type { Hours } from '../../units/quantities';

/**
 * A light map as CSV (RFC 4180, dot as decimal sign), one line for each cell, row by row from the front left corner.
 *
 * @param hours  for the column of doses
 */
export function mapCsv({ area, z, columns, rows, ppfd }: LightMap, hours: Hours): string {
  const lines = ['x_m,y_m,z_m,ppfd_umol_per_m2_s,dli_mol_per_m2_d'];
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const value = ppfd[row * columns + column]!;
      const x = area.x0 + ((column + 0.5) * (area.x1 - area.x0)) / columns;
      const y = area.y0 + ((row + 0.5) * (area.y1 - area.y0)) / rows;
      lines.push([x.toFixed(4), y.toFixed(4), z.toFixed(4), value.toFixed(3), (value * hours * MOL_SECONDS).toFixed(4)].join(','));
    }
  }
  return `${lines.join('\r\n')}\r\n`;
}
