import type { Translate } from './translated';

/** The properties of a table that are read; all others are for the program, or name a source. */
const SAID = new Set(
  'name label title text note notes generalNote alsoCalled cautions claimsToDistrust misreads howToHold typicalUse lifeBasis lumenMaintenanceNote startAfter strength'.split(
    ' ',
  ),
);

/** A table of the program (lamps, crops, cautions) in another language. @param source JSON */
export function translatedTable(source: string, translate: Translate): string {
  const within = (value: unknown, isSaid: boolean): unknown => {
    if (typeof value === 'string') return isSaid ? (translate(value) ?? value) : value;
    if (Array.isArray(value)) return value.map((v) => within(v, isSaid));
    if (value === null || typeof value !== 'object') return value;
    return Object.fromEntries(Object.entries(value).map(([key, v]) => [key, within(v, SAID.has(key))]));
  };
  return JSON.stringify(within(JSON.parse(source), false));
}
