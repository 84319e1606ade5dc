import { fail, ok, type Result } from '../../units/result';
import { normalised } from './fluxOfTable';
import { LEAST_DEGREES, MOST_LUMENS, MOST_METRES, type PhotometricFile } from './PhotometricFile';
import { wholeTurn, type Planes } from './wholeTurn';

const MOST_CHARACTERS = 2_000_000;

/** How many planes of C a file of a symmetry gives, of the Mc that it would have over the whole turn. */
const GIVEN: Readonly<Record<number, (mc: number) => number>> = {
  0: (mc) => mc,
  1: () => 1,
  2: (mc) => mc / 2 + 1,
  3: (mc) => mc / 2 + 1,
  4: (mc) => mc / 4 + 1,
};

/**
 * Reads a EULUMDAT file (.ldt), one value a line: all five symmetries, several sets of lamps.
 *
 * Its planes count from across the lamp, C 90 along it; they are turned by a quarter to ours, which count from along it.
 *
 * @returns the lamp, or what is wrong and in which line
 * Source: the format as published by Stockmar (1990), from memory.
 */
export function readLdt(text: string): Result<PhotometricFile> {
  if (text.length > MOST_CHARACTERS) return fail({ code: 'ldt/too-large', at: '', found: text.length, expected: String(MOST_CHARACTERS) });
  const lines = text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\n|\r/)
    .map((l) => l.trim());
  const wrong: { line: number; found: string }[] = [];
  const number = (line: number): number => {
    const value = Number((lines[line - 1] ?? '').replace(',', '.'));
    if (lines[line - 1] === undefined || lines[line - 1] === '' || !Number.isFinite(value))
      wrong.push({ line, found: (lines[line - 1] ?? 'the end').slice(0, 40) });
    return value;
  };
  const symmetry = number(3), mc = number(4), ng = number(6); // prettier-ignore
  const [lengthMm, widthMm, openLengthMm, openWidthMm] = [number(13), number(14), number(16), number(17)];
  const conversion = number(24);
  const sets = number(26);
  if (wrong.length > 0) return fail(...wrong.map((w) => ({ code: 'ldt/not-a-number', at: `line ${w.line}`, found: w.found })));
  const given = GIVEN[symmetry];
  if (!given) return fail({ code: 'ldt/symmetry', at: 'line 3', found: symmetry, expected: '0–4' });
  if (!(Number.isInteger(mc) && mc >= 1 && mc <= 721)) return fail({ code: 'ldt/count', at: 'line 4', found: mc });
  if (!(Number.isInteger(ng) && ng >= 2 && ng <= 721)) return fail({ code: 'ldt/count', at: 'line 6', found: ng });
  if (!(Number.isInteger(sets) && sets >= 1 && sets <= 20)) return fail({ code: 'ldt/count', at: 'line 26', found: sets });
  const planesGiven = given(mc);
  if (!Number.isInteger(planesGiven)) return fail({ code: 'ldt/count', at: 'line 4', found: mc });

  let lampLumens = 0, power = 0; // prettier-ignore
  for (let s = 0; s < sets; s++) {
    const first = 27 + 6 * s;
    lampLumens += number(first + 2);
    power += number(first + 5);
  }
  const anglesAt = 27 + 6 * sets + 10;
  const c = Array.from({ length: mc }, (_, i) => number(anglesAt + i));
  const gamma = Array.from({ length: ng }, (_, i) => number(anglesAt + mc + i));
  const values = Array.from({ length: planesGiven * ng }, (_, i) => number(anglesAt + mc + ng + i));
  if (wrong.length > 0) return fail(...wrong.slice(0, 20).map((w) => ({ code: 'ldt/not-a-number', at: `line ${w.line}`, found: w.found })));
  for (const [line, mm] of [[13, lengthMm], [14, widthMm], [16, openLengthMm], [17, openWidthMm]] as const)
    if (!(mm >= 0 && mm <= 1000 * MOST_METRES)) return fail({ code: 'ldt/size', at: `line ${line}`, found: mm, expected: `0–${1000 * MOST_METRES} mm` }); // prettier-ignore
  if (!(gamma[0]! >= 0 && gamma[ng - 1]! <= 180 + 1e-9))
    return fail({ code: 'ldt/angle', at: `line ${anglesAt + mc}`, found: `${gamma[0]}–${gamma[ng - 1]}`, expected: '0–180' });
  if (gamma.some((a, i) => i > 0 && !(a - gamma[i - 1]! >= LEAST_DEGREES)))
    return fail({ code: 'ldt/not-rising', at: `line ${anglesAt + mc}` });
  if (values.some((v) => v < 0)) return fail({ code: 'ldt/negative', at: `line ${anglesAt + mc + ng + values.findIndex((v) => v < 0)}` });
  if (!(lampLumens > 0)) return fail({ code: 'ldt/no-flux', at: 'line 29', found: lampLumens });

  const plane = (k: number) => values.slice(k * ng, (k + 1) * ng);
  // Symmetry 3 (about C 90–270) gives the half from C 90 to C 270.
  const from = symmetry === 3 ? c.findIndex((a) => Math.abs(a - 90) < 1e-6) : 0;
  if (from < 0) return fail({ code: 'ldt/symmetry', at: `line ${anglesAt}`, found: 'no plane at 90°' });
  const listed: Planes = Array.from({ length: planesGiven }, (_, k) => ({ deg: symmetry === 1 ? 0 : c[from + k]!, values: plane(k) }));
  const whole = symmetry === 0 ? wholeTurn([...listed, { deg: 360, values: plane(0) }]) : wholeTurn(listed);
  if (!whole) return fail({ code: 'ldt/symmetry', at: `line ${anglesAt}`, found: `${listed[0]!.deg}–${listed[listed.length - 1]!.deg}` });
  const turned = symmetry === 1 ? whole : whole.map((p) => ({ ...p, deg: (p.deg + 270) % 360 })).sort((a, b) => a.deg - b.deg);
  const scale = (lampLumens / 1000) * (conversion > 0 ? conversion : 1);
  const table = normalised({
    gamma: gamma.map((a) => (a * Math.PI) / 180),
    c: turned.map((p) => (p.deg * Math.PI) / 180),
    perFlux: turned.flatMap((p) => p.values.map((v) => v * scale)),
  });
  if (!table) return fail({ code: 'ldt/dark', at: `line ${anglesAt + mc + ng}` });
  if (!(table.flux <= MOST_LUMENS)) return fail({ code: 'ldt/too-bright', at: `line ${anglesAt + mc + ng}`, found: table.flux, expected: `${MOST_LUMENS} lm` }); // prettier-ignore
  const round = openWidthMm === 0 && (openLengthMm > 0 || widthMm === 0);
  const length = (openLengthMm || lengthMm) / 1000;
  return ok({
    name: ([lines[8], lines[0]].find((l) => l) ?? 'Lamp from its EULUMDAT file').slice(0, 120),
    lumens: table.flux,
    lampLumens,
    power: power > 0 ? power : null,
    length,
    width: round ? length : (openWidthMm || widthMm) / 1000,
    round,
    table: table.table,
    notes: [lines[0], lines[8], lines[9]].filter((l): l is string => !!l).map((l) => l.slice(0, 200)),
  });
}
