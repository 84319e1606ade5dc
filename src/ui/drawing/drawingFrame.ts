import type { Metres } from '@/core/units/quantities';
import { FRAME_MARGIN } from '@/store/light/frameTop';

/** Where the two drawings lie in the picture, and how metres become pixels: one scale for both, x in line. */
export interface DrawingFrame {
  readonly scale: number;
  readonly height: number;
  readonly front: FrameBox;
  readonly above: FrameBox;
  x(x: Metres): number;
  z(z: Metres): number;
  y(y: Metres): number;
  metresOfZ(pixel: number): Metres;
}

export interface FrameBox {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

const HEAD = 34; // px above the front view, for its title
const BETWEEN = 50; // px between the two, for the shelf and the second title
const FOOT = 10;

/** @param room  the drawing in pixels; `height` null lets the drawing be as tall as its width makes it */
export function drawingFrame(
  room: { width: number; height: number | null },
  tier: { width: Metres; depth: Metres },
  top: Metres,
  side: number,
): DrawingFrame {
  const span = tier.width + 2 * FRAME_MARGIN;
  const free = Math.max(60, room.width - 16 - side);
  const byWidth = free / span;
  const byHeight = room.height === null ? byWidth : (room.height - HEAD - BETWEEN - FOOT) / (top + tier.depth);
  const scale = Math.max(40, Math.min(byWidth, byHeight, 900));
  const left = 16 + Math.max(0, (free - span * scale) / 2);
  const spare = room.height === null ? 0 : Math.max(0, room.height - HEAD - BETWEEN - FOOT - (top + tier.depth) * scale);
  const front: FrameBox = { left, top: HEAD + spare * 0.35, width: span * scale, height: top * scale };
  const above: FrameBox = {
    left: left + FRAME_MARGIN * scale,
    top: front.top + front.height + BETWEEN + spare * 0.15,
    width: tier.width * scale,
    height: tier.depth * scale,
  };
  return {
    scale,
    front,
    above,
    height: above.top + above.height + FOOT,
    x: (x) => left + (x + FRAME_MARGIN) * scale,
    z: (z) => front.top + front.height - z * scale,
    y: (y) => above.top + above.height - y * scale,
    metresOfZ: (pixel) => (front.top + front.height - pixel) / scale,
  };
}
