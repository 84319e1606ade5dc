import type { Container } from '../../things/container/Container';
import { containerLibrary } from '../../things/container/containerLibrary';
import type { Rect } from '../../light/field/Grid';
import type { Metres } from '../../units/quantities';

/** The size in which shelf room is counted: the standard flat of the container table. */
export const FLAT = containerLibrary.find((c) => c.id === 'flat-1020')!;

/** How far apart plants stand that are sown freely into an open tray. */
const SOWN_APART: Metres = 0.03; // our choice: room for a seedling until it is pricked out

/** How many plants of a container stand on the room of a standard flat. */
export function plantsPerFlat({ length, width, insideLength, insideWidth, plants, perFlat, columns }: Container): number {
  const share = (FLAT.length * FLAT.width) / (length * width);
  if (columns !== null && plants !== null) return Math.max(1, Math.floor(plants * share + 1e-6));
  if (perFlat !== null) return perFlat;
  if (plants !== null) return Math.max(1, Math.floor(plants * share + 1e-6));
  return Math.max(1, Math.floor(((insideLength * insideWidth) / SOWN_APART ** 2) * Math.max(1, Math.floor(share + 1e-6))));
}

/** The container that plants of another stand in on a tier: itself, or for pots a flat with rims as high as theirs. */
export const standsIn = (container: Container): Container =>
  container.perFlat === null ? container : { ...FLAT, height: Math.max(FLAT.height, container.height) };

/** How many such trays stand on the room of so many standard flats. */
export const traysOfFlats = ({ length, width }: Container, flats: number): number =>
  Math.max(1, flats) * Math.max(1, Math.floor((FLAT.length * FLAT.width) / (length * width)));

/** Where flats stand on a rectangle, all turned the same way, the better of the two; pots need no flat: room too narrow for one counts by its area. */
export function flatsOn(width: Metres, depth: Metres): Rect[] {
  const way = (length: Metres, across: Metres) => ({
    length,
    across,
    columns: Math.floor(width / length + 1e-6),
    rows: Math.floor(depth / across + 1e-6),
  });
  const [along, turned] = [way(FLAT.length, FLAT.width), way(FLAT.width, FLAT.length)];
  const best = along.columns * along.rows >= turned.columns * turned.rows ? along : turned;
  if (best.columns * best.rows > 0) return even(width, depth, best.columns, best.rows, best.length, best.across);
  const pots = Math.floor((width * depth) / (FLAT.length * FLAT.width) + 1e-6);
  return even(width, depth, pots, 1, width / Math.max(1, pots), depth);
}

/** Rectangles of a size, each in the middle of its share of the room. */
const even = (width: Metres, depth: Metres, columns: number, rows: number, length: Metres, across: Metres): Rect[] =>
  Array.from({ length: columns * rows }, (_, i) => {
    const x = (width * ((i % columns) + 0.5)) / columns;
    const y = (depth * (Math.floor(i / columns) + 0.5)) / rows;
    return { x0: x - length / 2, x1: x + length / 2, y0: y - across / 2, y1: y + across / 2 };
  });
