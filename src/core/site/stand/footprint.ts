import { isRoundShape } from '../../things/lamp/isRound';
import type { Lamp } from '../../things/lamp/Lamp';
import type { Rect } from '../../light/field/Grid';
import type { Metres } from '../../units/quantities';
import type { Fitting, Tray } from './Site';

/** The outline of a tray, seen from above. */
export function outlineOf(tray: Tray): Rect {
  return around(tray.x, tray.y, tray.turned ? tray.width : tray.length, tray.turned ? tray.length : tray.width);
}

/** Where the plants of a tray stand, seen from above: inside its walls. */
export function plantAreaOf(tray: Tray): Rect {
  const { insideLength: l, insideWidth: w } = tray;
  return around(tray.x, tray.y, tray.turned ? w : l, tray.turned ? l : w);
}

/** How much of that there is, m². */
export function plantedAreaOf(tray: Tray): number {
  return tray.insideLength * tray.insideWidth;
}

/** Where the leaves of a tray are, seen from above: over its outline, and beyond it where plants are as wide as `across`. */
export function leavesOf(tray: Tray, across: Metres): Rect {
  const { x0, x1, y0, y1 } = outlineOf(tray);
  return around(tray.x, tray.y, Math.max(x1 - x0, across), Math.max(y1 - y0, across));
}

/** The outline of a fitting, seen from above; of a turned one the box around it. */
export function outlineOfFitting(fitting: Fitting, lamp: Lamp): Rect {
  const cos = Math.abs(Math.cos(fitting.turn));
  const sin = Math.abs(Math.sin(fitting.turn));
  const { length, width } = faceSizeOf(lamp);
  return around(fitting.x, fitting.y, length * cos + width * sin, length * sin + width * cos);
}

/** Size of the face that a lamp turns to the plants: a bulb's is round, whatever the length of its neck. */
export function faceSizeOf(lamp: Pick<Lamp, 'shape' | 'length' | 'width' | 'emitters' | 'spacing'>): { length: Metres; width: Metres } {
  const round = isRoundShape(lamp.shape);

  const width =
    lamp.emitters > 1 && lamp.spacing > 0 && lamp.shape !== 'coil'
      ? Math.max(lamp.width, (lamp.emitters - 1) * lamp.spacing + 0.02)
      : lamp.width;
  return { length: round ? lamp.width : lamp.length, width };
}

function around(x: Metres, y: Metres, width: Metres, depth: Metres): Rect {
  return { x0: x - width / 2, x1: x + width / 2, y0: y - depth / 2, y1: y + depth / 2 };
}
