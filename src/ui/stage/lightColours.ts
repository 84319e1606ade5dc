import type { LightBand } from '@/core/dose/lightBand';

/** Colours of the stage at the edges of the bands: darkest shade, shade, suits dimly and well, too strong and far too strong. */
const STOPS = {
  night: [16, 23, 22],
  slate: [82, 98, 124],
  verdigrisDim: [29, 104, 95],
  verdigris: [48, 152, 138],
  copper: [184, 92, 48],
  copperBright: [240, 170, 116],
} as const;

const SIZE = 1024;
/** The table spans from a thousandth of the band's lower end to a hundred times it, evenly in the logarithm. */
const LOW = Math.log(1e-3);
const SPAN = Math.log(100) - LOW;

type Colour = readonly [number, number, number];

/**
 * A table of colours for PPFD: dark slate below the band, verdigris within, copper above; each band rises in lightness,
 * so that the picture reads in grey as well.
 */
export function coloursOf(band: LightBand): Uint32Array {
  const table = new Uint32Array(SIZE);
  const low = band.low > 0 && Number.isFinite(band.low) ? band.low : 1;
  const high = Math.max(band.high / low, 1e-3);
  for (let i = 0; i < SIZE; i++) {
    const v = Math.exp(LOW + (SPAN * (i + 0.5)) / SIZE); // share of the band's lower end
    let c: Colour;
    if (v > high) c = mix(STOPS.copper, STOPS.copperBright, Math.log(v / high) / Math.log(6));
    else if (v >= 1) c = mix(STOPS.verdigrisDim, STOPS.verdigris, Math.log(v) / Math.log(Math.max(high, 1.01)));
    else c = mix(STOPS.night, STOPS.slate, Math.pow(v, 0.8));
    table[i] = (255 << 24) | (c[2] << 16) | (c[1] << 8) | c[0];
  }
  return table;
}

function mix(a: Colour, b: Colour, t: number): Colour {
  const s = Math.min(1, Math.max(0, t));
  return [0, 1, 2].map((i) => Math.round(a[i]! + (b[i]! - a[i]!) * s)) as unknown as Colour;
}

interface Grid {
  readonly columns: number;
  readonly rows: number;
  readonly ppfd: Float32Array;
}

/**
 * Paints PPFD onto a canvas of its own size, between the cells by straight lines, row 0 at the foot or at the head.
 * Colours are looked up for each pixel, so the edges of the bands stay crisp however coarse the cells.
 */
export function paintLight(canvas: HTMLCanvasElement, grid: Grid, band: LightBand, rowZero: 'foot' | 'head'): void {
  const { width, height } = canvas;
  const context = canvas.getContext('2d');
  if (!context || width === 0 || height === 0) return;
  const { columns, rows, ppfd } = grid;
  const colours = coloursOf(band);
  const lowest = band.low > 0 && Number.isFinite(band.low) ? band.low : 1;
  const scale = SIZE / SPAN;
  const shift = (-Math.log(lowest) - LOW) * scale;
  const image = context.createImageData(width, height);
  const pixels = new Uint32Array(image.data.buffer);
  const lefts = new Int32Array(width);
  const shares = new Float32Array(width);
  for (let px = 0; px < width; px++) {
    const u = Math.min(columns - 1, Math.max(0, ((px + 0.5) / width) * columns - 0.5));
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
      const index = value > 0 ? Math.log(value) * scale + shift : 0;
      pixels[py * width + px] = colours[index < 0 ? 0 : index >= SIZE ? SIZE - 1 : index | 0]!;
    }
  }
  context.putImageData(image, 0, 0);
}
