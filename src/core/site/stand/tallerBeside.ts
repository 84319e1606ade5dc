import type { Rect } from '../../light/field/Grid';
import type { Obstruction } from '../../light/scene/Scene';
import type { Metres, Share } from '../../units/quantities';

/** A tray where it stands, with its plants; heights above the floor of its tier. */
export interface StandingTray {
  readonly outline: Rect;
  readonly plantArea: Rect;
  /** Of its leaf tops. */
  readonly canopy: Metres;
  /** Of its solid rim. */
  readonly rim: Metres;
}

/** What the leaves of young plants in a tray or pot let through of light that crosses them. */
const THROUGH_LEAVES: Share = 0.3; // exp(−0.6 · 2): Monsi & Saeki 1953; a leaf area of twice the floor is our choice

/** Leaves that stand no higher than this over others take nothing from them that is worth working out. */
const HIGHER_BY: Metres = 0.01; // our choice

/** The trays and pots beside one that stand higher than its leaf tops: what is solid of them, and their leaves. */
export function tallerBeside<T extends StandingTray>(tray: T, trays: readonly T[]): readonly Obstruction[] {
  const boxes = trays.flatMap((other): Obstruction[] => {
    if (other === tray || other.canopy < tray.canopy + HIGHER_BY) return [];
    const { rim, canopy } = other;
    return [
      { ...besideOf(other.outline, tray.outline), z0: 0, z1: rim },
      { ...besideOf(other.plantArea, tray.outline), z0: rim, z1: canopy, transmittance: THROUGH_LEAVES },
    ];
  });
  return boxes.filter((box) => box.z1 > tray.canopy && box.x1 > box.x0 && box.y1 > box.y0);
}

/** As much of a neighbour as lies beside a tray: where one reaches into the other, which is told as a fault, it ends at its edge. */
function besideOf({ x0, x1, y0, y1 }: Rect, tray: Rect): Rect {
  const into = [tray.x1 - x0, x1 - tray.x0, tray.y1 - y0, y1 - tray.y0];
  const least = Math.min(...into);
  if (least <= 0) return { x0, x1, y0, y1 };
  if (least === into[0]) return { x0: tray.x1, x1: Math.max(tray.x1, x1), y0, y1 };
  if (least === into[1]) return { x0: Math.min(tray.x0, x0), x1: tray.x0, y0, y1 };
  if (least === into[2]) return { x0, x1, y0: tray.y1, y1: Math.max(tray.y1, y1) };
  return { x0, x1, y0: Math.min(tray.y0, y0), y1: tray.y0 };
}
