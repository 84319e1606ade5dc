import type { IntensityTable } from './IntensityTable';
import type { Emitter } from './Emitter';

/** What has been read through once; a table does not change. */
const digests = new WeakMap<IntensityTable, string>();

/**
 * Names an emitter by everything about it, for what has been worked out before. A measured far field of tens of thousands of
 * figures is named by a digest of them, so that naming it costs no more than naming a bar.
 */
export function emitterKey(emitter: Emitter): string {
  if (!('table' in emitter)) return JSON.stringify(emitter);
  const { table, ...rest } = emitter;
  let digest = digests.get(table);
  if (digest === undefined) digests.set(table, (digest = digestOf(table)));
  return `${JSON.stringify(rest)} ${digest}`;
}

/** Two 32-bit FNV-1a sums over the bits of all figures, and how many there are. Source: Fowler, Noll & Vo 1991. */
function digestOf({ gamma, c, perFlux }: IntensityTable): string {
  const bits = new Uint32Array(Float64Array.from([...gamma, ...c, ...perFlux]).buffer);
  let a = 0x811c9dc5, b = 0x1000193; // prettier-ignore
  for (let i = 0; i < bits.length; i++) {
    a = Math.imul(a ^ bits[i]!, 0x01000193);
    b = Math.imul(b ^ bits[bits.length - 1 - i]!, 0x01000193) + i;
  }
  return `${gamma.length} ${c.length} ${(a >>> 0).toString(36)} ${(b >>> 0).toString(36)}`;
}
