import type { Compared } from '../../measure/reading/calibrate';
import type { Tier } from '../../site/stand/Site';

const HEAD = 'taken,meter,value,unit,daylight,mean_of,factor,x_m,y_m,z_m,ppfd_umol_per_m2_s,left_out';

/**
 * Readings of a tier as CSV (RFC 4180, dot as decimal sign): places from the left front corner of the tier and its floor, light
 * as shown and as converted.
 *
 * @param meterName  what a reading's meter is called
 */
export function readingsCsv(tier: Tier, compared: readonly Compared[], meterName: (c: Compared) => string): string {
  const round = (v: number) => String(Math.round(v * 10_000) / 10_000);
  const lines = compared.map((c) => {
    const { reading: r, measured } = c;
    return [
      new Date(r.taken_ms).toISOString(),
      quoted(meterName(c)),
      String(r.value),
      r.unit,
      String(r.dark),
      String(r.of),
      round(r.factor),
      round(r.dx + tier.width / 2),
      round(r.dy + tier.depth / 2),
      round(r.z),
      round(measured),
      r.leftOut ? 'yes' : 'no',
    ].join(',');
  });
  return [HEAD, ...lines].map((l) => `${l}\r\n`).join('');
}

/** A text that no spreadsheet takes for a formula. */
const quoted = (text: string) => `"${(/^[=+\-@\t\r]/.test(text) ? `'${text}` : text).replace(/"/g, '""')}"`;
