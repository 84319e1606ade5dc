import type { Metres } from '../../units/quantities';
import { fail, ok, type Problem, type Result } from '../../units/result';
import { normalised } from './fluxOfTable';
import { LEAST_DEGREES, MOST_LUMENS, MOST_METRES, type PhotometricFile } from './PhotometricFile';
import { wholeTurn } from './wholeTurn';

const MOST_CHARACTERS = 2_000_000;
const MOST_ANGLES = 2000;
const MOST_VALUES = 400_000;
const FOOT: Metres = 0.3048; // exact; international foot, 1959

const TYPES = ['', 'C', 'B', 'A'] as const;

/**
 * Reads an IES file: LM-63 of 1986, 1991, 1995, 2002 or 2019, `TILT=NONE` or `TILT=INCLUDE`, type C. Lines may be wrapped
 * anywhere, and numbers parted by blanks, commas or both.
 *
 * What is not supported is refused by name: types A and B, tilt in a file of its own.
 *
 * @returns the lamp, or what is wrong and in which line
 * Source: ANSI/IES LM-63-2002 and LM-63-19.
 */
export function readIes(text: string): Result<PhotometricFile> {
  if (text.length > MOST_CHARACTERS) return fail({ code: 'ies/too-large', at: '', found: text.length, expected: String(MOST_CHARACTERS) });
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\n|\r/);
  const tiltLine = lines.findIndex((l) => /^\s*TILT\s*=/i.test(l));
  if (tiltLine < 0) return fail({ code: 'ies/no-tilt', at: lines.length > 1 ? `line ${Math.min(lines.length, 20)}` : 'line 1' });
  const head = lines.slice(0, tiltLine);
  const year = yearOf(head[0] ?? '');
  if (year === null) return fail({ code: 'ies/unknown-version', at: 'line 1', found: (head[0] ?? '').slice(0, 60) });
  const tilt = lines[tiltLine]!.split('=')[1]!.trim().toUpperCase();
  if (tilt !== 'NONE' && tilt !== 'INCLUDE') return fail({ code: 'ies/tilt-file', at: `line ${tiltLine + 1}`, found: tilt.slice(0, 60) });

  const numbers = numbersOf(lines, tiltLine + 1);
  if (!numbers.ok) return numbers;
  const stream = numbers.value;
  let at = 0;
  const place = () => `line ${stream[Math.min(Math.max(0, at - 1), stream.length - 1)]?.line ?? lines.length}`;
  const take = (count: number): readonly number[] | null => {
    if (at + count > stream.length) return null;
    at += count;
    return stream.slice(at - count, at).map((n) => n.value);
  };
  const short = () => fail<Problem>({ code: 'ies/ends-early', at: 'the end' });

  let tiltFactor = 1;
  if (tilt === 'INCLUDE') {
    const begin = take(2);
    if (!begin) return short();
    const pairs = begin[1]!;
    if (!(Number.isInteger(pairs) && pairs >= 1 && pairs <= MOST_ANGLES)) return fail({ code: 'ies/count', at: place(), found: pairs });
    const angles = take(pairs);
    const factors = angles && take(pairs);
    if (!angles || !factors) return short();
    // The lamp hangs as it was measured: the factor for no tilt.
    const level = angles.findIndex((a) => Math.abs(a) < 1e-9);
    tiltFactor = level >= 0 ? factors[level]! : 1;
  }
  const ten = take(10);
  if (!ten) return short();
  const [lamps, lumensPerLamp, multiplier, verticals, horizontals, type, units, width, length] = ten as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  for (const [name, n] of [['vertical angles', verticals], ['horizontal angles', horizontals]] as const)
    if (!(Number.isInteger(n) && n >= 1 && n <= MOST_ANGLES)) return fail({ code: 'ies/count', at: place(), found: n, expected: name }); // prettier-ignore
  if (verticals * horizontals > MOST_VALUES)
    return fail({ code: 'ies/too-many-values', at: place(), found: verticals * horizontals, expected: String(MOST_VALUES) });
  if (type !== 1) return fail({ code: 'ies/type', at: place(), found: TYPES[type] ?? type, expected: 'C' });
  if (units !== 1 && units !== 2) return fail({ code: 'ies/units', at: place(), found: units });
  const three = take(3);
  const vertical = three && take(verticals);
  const horizontal = vertical && take(horizontals);
  const candela = horizontal && take(verticals * horizontals);
  if (!three || !vertical || !horizontal || !candela) return short();
  if (at < stream.length) return fail({ code: 'ies/too-much', at: `line ${stream[at]!.line}`, found: stream.length - at });
  for (const [name, angles] of [['vertical angles', vertical], ['horizontal angles', horizontal]] as const)
    if (angles.some((a, i) => i > 0 && !(a - angles[i - 1]! >= LEAST_DEGREES))) return fail({ code: 'ies/not-rising', at: name }); // prettier-ignore
  if (vertical[0]! < -1e-9 || vertical[vertical.length - 1]! > 180 + 1e-9)
    return fail({ code: 'ies/angle', at: 'vertical angles', found: `${vertical[0]}–${vertical[vertical.length - 1]}`, expected: '0–180' });
  if (candela.some((c) => !(c >= 0))) return fail({ code: 'ies/negative', at: 'candela values', found: candela.find((c) => !(c >= 0)) });

  const [ballast, second, watts] = three as [number, number, number];
  // Up to 1995 the second factor is that of ballast and lamp together; since 2002 it is reserved, since 2019 it says how the file was made.
  const scale = multiplier * ballast * (year <= 1995 ? second : 1) * tiltFactor;
  const planes = wholeTurn(
    horizontal.map((deg, k) => ({ deg, values: candela.slice(k * verticals, (k + 1) * verticals).map((c) => c * scale) })),
  );
  if (!planes)
    return fail({ code: 'ies/symmetry', at: 'horizontal angles', found: `${horizontal[0]}–${horizontal[horizontal.length - 1]}` });
  const table = normalised({
    gamma: vertical.map((a) => (a * Math.PI) / 180),
    c: planes.map((p) => (p.deg * Math.PI) / 180),
    perFlux: planes.flatMap((p) => p.values),
  });
  if (!table) return fail({ code: 'ies/dark', at: 'candela values' });
  if (!(table.flux <= MOST_LUMENS)) return fail({ code: 'ies/too-bright', at: 'candela values', found: table.flux, expected: `${MOST_LUMENS} lm` }); // prettier-ignore
  const metres = units === 1 ? FOOT : 1;
  if (Math.max(Math.abs(width), Math.abs(length)) * metres > MOST_METRES)
    return fail({ code: 'ies/size', at: 'luminous opening', found: `${width} × ${length}`, expected: `at most ${MOST_METRES} m` });
  const round = width < 0 || length < 0;
  return ok({
    name: nameOf(head),
    lumens: table.flux,
    lampLumens: lumensPerLamp > 0 ? lamps * lumensPerLamp : null,
    power: watts > 0 ? watts : null,
    length: Math.abs(length || (round ? width : 0)) * metres,
    width: Math.abs(width || (round ? length : 0)) * metres,
    round,
    table: table.table,
    notes: head
      .filter((l) => /^\s*\[/.test(l))
      .map((l) => l.trim().slice(0, 200))
      .slice(0, 40),
  });
}

/** The year of the standard that a file's first line names; files of 1986 name none. Null for another one. */
function yearOf(first: string): number | null {
  const clean = first.trim().toUpperCase();
  if (/^IESNA91/.test(clean)) return 1991;
  const named = /^(?:IESNA|IES|ANSI\/IES)\s*:\s*LM-63-(\d{2,4})/.exec(clean);
  if (named) return { 86: 1986, 91: 1991, 95: 1995, 1995: 1995, 2002: 2002, 2: 2002, 19: 2019, 2019: 2019 }[Number(named[1])] ?? null;
  return /^IES/.test(clean) ? null : 1986;
}

function nameOf(head: readonly string[]): string {
  const keyword = (word: string) => head.map((l) => new RegExp(`^\\s*\\[${word}\\]\\s*(.+)$`, 'i').exec(l)?.[1]?.trim()).find((v) => v);
  const plain = head.find((l) => l.trim() && !/^\s*(\[|IES)/i.test(l))?.trim();
  return (keyword('LUMINAIRE') ?? keyword('LUMCAT') ?? plain ?? 'Lamp from its IES file').slice(0, 120);
}

/** All numbers from a line on, each with its line; whatever parts them. */
function numbersOf(lines: readonly string[], from: number): Result<readonly { readonly value: number; readonly line: number }[]> {
  const out: { value: number; line: number }[] = [];
  for (let i = from; i < lines.length; i++) {
    for (const word of lines[i]!.split(/[\s,]+/)) {
      if (!word) continue;
      const value = Number(word);
      if (!Number.isFinite(value)) return fail({ code: 'ies/not-a-number', at: `line ${i + 1}`, found: word.slice(0, 40) });
      out.push({ value, line: i + 1 });
      if (out.length > MOST_VALUES + 2 * MOST_ANGLES)
        return fail({ code: 'ies/too-many-values', at: `line ${i + 1}`, expected: String(MOST_VALUES) });
    }
  }
  return ok(out);
}
