/**
 * A number by which a text is known again: one that was damaged has another. 53 bits of two multiplicative hashes; not against malice.
 *
 * Source: the mixing constants of MurmurHash3 (A. Appleby, public domain).
 */
export function sealOf(text: string): number {
  let a = 0xdeadbeef, b = 0x41c6ce57; // prettier-ignore
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    a = Math.imul(a ^ c, 0x85ebca6b);
    b = Math.imul(b ^ c, 0xc2b2ae35);
  }
  a = Math.imul(a ^ (a >>> 16), 0x85ebca6b) ^ Math.imul(b ^ (b >>> 13), 0xc2b2ae35);
  b = Math.imul(b ^ (b >>> 16), 0x85ebca6b) ^ Math.imul(a ^ (a >>> 13), 0xc2b2ae35);
  return 4294967296 * (2097151 & b) + (a >>> 0);
}
