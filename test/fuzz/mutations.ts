/** A number from 0 up to 1, the same row for the same seed (mulberry32). */
export function randomFrom(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

type Random = () => number;
const one = <T>(random: Random, of: readonly T[]): T => of[Math.floor(random() * of.length)]!;

/** What is put where something else is due. */
const HOSTILE: readonly unknown[] = [
  null, true, false, 0, -0, -1, 1, 0.5, 1e-320, 1e308, -1e308, 1e21, 2 ** 53, 4294967296, '', ' ', '0', '1e999', 'NaN', '__proto__',
  'constructor', '\u0000', '\u202e', '🌱'.repeat(40), 'x'.repeat(200), [], [[]], [null], [{}], {}, { length: 1e9 }, { then: 1 }, '2027-02-30',
  '9999-12-31', '0000-01-01', '2027-01-01T24:00:00Z', 'on', 'off',
]; // prettier-ignore

/** A document with one to three things in it changed: replaced, left out, doubled, nested, put beside others. */
export function mutateJson(random: Random, document: unknown): unknown {
  const copy = structuredClone(document);
  const changes = 1 + Math.floor(random() * 3);
  let root = copy;
  for (let i = 0; i < changes; i++) root = changeOnce(random, root);
  return root;
}

type Holder = Record<string, unknown>;

function changeOnce(random: Random, root: unknown): unknown {
  const places: { holder: Holder; key: string }[] = [];
  const walk = (value: unknown): void => {
    if (typeof value !== 'object' || value === null) return;
    for (const key of Object.keys(value)) {
      places.push({ holder: value as Holder, key });
      walk((value as Holder)[key]);
    }
  };
  walk(root);
  if (places.length === 0 || random() < 0.01) return one(random, HOSTILE);
  const { holder, key } = one(random, places);
  const value = holder[key];
  const what = random();
  if (what < 0.45) holder[key] = structuredClone(one(random, HOSTILE));
  else if (what < 0.55 && typeof value === 'number') holder[key] = value * one(random, [-1, 0, 1e-9, 0.5, 2, 1000, 1e12]);
  else if (what < 0.65) delete holder[key];
  else if (what < 0.72) holder[key] = [value];
  else if (what < 0.78) holder[`${key}2`] = value;
  else if (what < 0.88 && Array.isArray(value)) holder[key] = [...(value as unknown[]), ...(value as unknown[])];
  else {
    const other = one(random, places);
    // What holds itself is no document any more.
    const moved = structuredClone(other.holder[other.key]);
    holder[key] = moved;
  }
  return root;
}

const PIECES = ['\n', '\r', ',', ';', '\t', '"', "'", '{', '[', ']', '}', '-', '.', 'e', '0', '9'.repeat(20), '1e308', 'NaN', 'Infinity', '\u0000', '\ufeff', 'TILT=INCLUDE', 'µ', '½', '-0']; // prettier-ignore

/** A text with one to six changes: letters changed, left out, doubled or put in, lines moved, the end cut off. */
export function mutateText(random: Random, text: string): string {
  let out = text;
  const changes = 1 + Math.floor(random() * 6);
  for (let i = 0; i < changes; i++) {
    const at = Math.floor(random() * (out.length + 1));
    const long = 1 + Math.floor(random() ** 3 * 40);
    const what = random();
    if (what < 0.3) out = out.slice(0, at) + one(random, PIECES) + out.slice(at + (random() < 0.5 ? long : 0));
    else if (what < 0.5) out = out.slice(0, at) + out.slice(at + long);
    else if (what < 0.65) out = out.slice(0, at) + out.slice(at, at + long).repeat(1 + Math.floor(random() * 5)) + out.slice(at + long);
    else if (what < 0.75) out = out.slice(0, at) + String.fromCharCode(Math.floor(random() * 300)) + out.slice(at + 1);
    else if (what < 0.95)
      out = out.replace(/-?\d+(\.\d+)?/g, (n) => (random() < 0.03 ? String(one(random, [-1, 0, 1e9, 1e308, 1e-300, -Number(n), Number(n) * 1000])) : n)); // prettier-ignore
    else out = out.slice(0, at);
  }
  return out;
}
