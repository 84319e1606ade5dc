import type { LightBand } from '@/core/judge/dli/lightBand';

/** Colours of the drawing at the edges of the bands: darkest shade, shade, suits dimly and well, too strong and far too strong. */
const STOPS = {
  night: [16, 23, 22],
  slate: [82, 98, 124],
  verdigrisDim: [29, 104, 95],
  verdigris: [48, 152, 138],
  copper: [184, 92, 48],
  copperBright: [240, 170, 116],
} as const;

/** What of a band decides the colours. */
type Edges = Pick<LightBand, 'low' | 'high'>;

/** The table has an entry for each value of a float's exponent and the first seven bits of its fraction: 1/128 of a doubling. */
const SHIFT = 16;
const bits = new Uint32Array(1);
const float = new Float32Array(bits.buffer);
const stepOf = (value: number): number => {
  float[0] = value;
  return bits[0]! >>> SHIFT;
};
/** From a thousandth to a hundred thousand µmol m⁻² s⁻¹; darker and brighter look like the ends. */
const FIRST = stepOf(1e-3);
const LAST = stepOf(1e5);

type Colour = readonly [number, number, number];

/**
 * A table of colours for PPFD: dark slate below the band, verdigris within, copper above; each band rises in lightness,
 * so that the picture reads in grey as well. Looked up by the bits of a float, which is as good as its logarithm and quicker.
 */
export function coloursOf({ low, high }: Edges): Uint32Array {
  // Both pictures of a page, and one that is painted anew, ask for the same.
  if (last?.low !== low || last.high !== high) last = { low, high, table: tableOf({ low, high }) };
  return last.table;
}
let last: (Edges & { readonly table: Uint32Array }) | null = null;

function tableOf(band: Edges): Uint32Array {
  const table = new Uint32Array(LAST - FIRST + 1);
  const low = band.low > 0 && Number.isFinite(band.low) ? band.low : 1;
  const high = Math.max(band.high / low, 1e-3);
  for (let i = 0; i < table.length; i++) {
    bits[0] = ((FIRST + i) << SHIFT) + (1 << (SHIFT - 1));
    const v = float[0]! / low; // share of the band's lower end
    if (v > high) table[i] = mix(STOPS.copper, STOPS.copperBright, Math.log(v / high) / Math.log(6));
    else if (v >= 1) table[i] = mix(STOPS.verdigrisDim, STOPS.verdigris, Math.log(v) / Math.log(Math.max(high, 1.01)));
    else table[i] = mix(STOPS.night, STOPS.slate, Math.pow(v, 0.8));
  }
  return table;
}

/** The colour of a strength of light. */
export function colourOfLight(table: Uint32Array, ppfd: number): number {
  const i = stepOf(ppfd) - FIRST;
  return table[i < 0 ? 0 : i >= table.length ? table.length - 1 : i]!;
}

/** A pixel of a colour between two. */
function mix(a: Colour, b: Colour, t: number): number {
  const s = Math.min(1, Math.max(0, t));
  const part = (i: 0 | 1 | 2) => Math.round(a[i] + (b[i] - a[i]) * s);
  return (255 << 24) | (part(2) << 16) | (part(1) << 8) | part(0);
}

const css = (pixel: number) => `rgb(${pixel & 255} ${(pixel >> 8) & 255} ${(pixel >> 16) & 255})`;

/** One colour of each band, for a key beside a picture. */
export const KEY_COLOURS = {
  dim: css(mix(STOPS.night, STOPS.slate, 0.6)),
  useful: css(mix(STOPS.verdigrisDim, STOPS.verdigris, 0.4)),
  strong: css(mix(STOPS.copper, STOPS.copperBright, 0.4)),
};

const WHOLE = { from: 0, to: 1 };

interface Grid {
  readonly columns: number;
  readonly rows: number;
  readonly ppfd: Float32Array;
}

/**
 * Paints PPFD onto a canvas of its own size, between the cells by straight lines, row 0 at the foot or at the head.
 * Colours are looked up for each pixel, so the edges of the bands stay crisp however coarse the cells.
 *
 * @param part  of the grid's width that the canvas shows, as shares
 */
export function paintLight(
  canvas: HTMLCanvasElement,
  grid: Grid,
  band: Edges,
  rowZero: 'foot' | 'head',
  part: { from: number; to: number } = WHOLE,
): void {
  const { width, height } = canvas;
  const context = canvas.getContext('2d');
  if (!context || width === 0 || height === 0) return;
  const { columns, rows, ppfd } = grid;
  const colours = coloursOf(band);
  const image = context.createImageData(width, height);
  const pixels = new Uint32Array(image.data.buffer);
  const lefts = new Int32Array(width);
  const shares = new Float32Array(width);
  for (let px = 0; px < width; px++) {
    const u = Math.min(columns - 1, Math.max(0, (part.from + ((px + 0.5) / width) * (part.to - part.from)) * columns - 0.5));
    lefts[px] = Math.min(columns - 2, Math.floor(u));
    shares[px] = u - lefts[px]!;
  }
  for (let py = 0; py < height; py++) {
    const fromFoot = rowZero === 'foot' ? height - py - 0.5 : py + 0.5;
    const v = Math.min(rows - 1, Math.max(0, (fromFoot / height) * rows - 0.5));
    const row = Math.min(rows - 2, Math.floor(v));
    const up = v - row;
    const at = row * columns;
    for (let px = 0; px < width; px++) {
      const left = at + lefts[px]!;
      const share = shares[px]!;
      const below = ppfd[left]! + (ppfd[left + 1]! - ppfd[left]!) * share;
      const above = ppfd[left + columns]! + (ppfd[left + columns + 1]! - ppfd[left + columns]!) * share;
      const value = below + (above - below) * up;
      pixels[py * width + px] = colourOfLight(colours, value);
    }
  }
  context.putImageData(image, 0, 0);
}
