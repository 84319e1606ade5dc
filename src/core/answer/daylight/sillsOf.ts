import type { Obstruction } from '../../light/scene/Scene';
import type { Aperture, Beside } from '../../sky/window/Aperture';
import type { Sill } from '../../sky/window/sillLight';
import type { Site, Stand, Tier } from '../../site/stand/Site';
import type { AtWindow, Window } from '../../site/window/Window';
import { materialOf } from '../../things/material/materialLibrary';
import type { Place } from '../../sky/outdoors/outdoorsAt';
import type { Metres, Share } from '../../units/quantities';
import { correctionOf, withRaise } from './correctionOf';
import { NEAREST_PANE, sillAsBuilt, type BeforeWindow } from './sillAsBuilt';
import { windowOf } from './windowOf';

/** What lets more through than this does not hide the sky. */
const SEE_THROUGH = 0.5;

/** A free place before a window, with what was measured at it. @param place for the check of its readings; null: unknown */
export function askedAt(window: Window, at: BeforeWindow, place: Place | null): SillAsked {
  const { factor, raise } = correctionOf(window, place);
  return { window: withRaise(window, raise), at, lintels: [], beside: [], open: factor };
}

/** The same, made ready. */
export const sillAt = (window: Window, at: BeforeWindow, place: Place | null = null): Sill => sillFrom(askedAt(window, at, place));

/** How much of the sky's light comes through what is above a tier: its own lid, and the floor of the next tier, Share. */
export function passedAbove(stand: Pick<Stand, 'tiers'>, tier: Tier): Share {
  const above = stand.tiers[stand.tiers.findIndex((t) => t.id === tier.id) - 1];
  const through = (material: string) => materialOf(material).transmittance;
  return Math.min(through(tier.enclosure.faces.ceiling), above ? through(above.enclosure.faces.floor) : 1);
}

/** How a step on a tier looks to who looks out of its window: towards the glass, and to the right. */
function seenFrom(side: AtWindow['side'], dx: Metres, dy: Metres): { readonly out: Metres; readonly right: Metres } {
  if (side === 'back') return { out: dy, right: dx };
  if (side === 'front') return { out: -dy, right: -dx };
  if (side === 'left') return { out: -dx, right: dy };
  return { out: dx, right: -dy };
}

/** A block of a tier as a point of it sees it before the window. */
function besideOf(side: AtWindow['side'], { x0, x1, y0, y1, z1, transmittance = 0 }: Obstruction, { x, y, z }: Point): Beside {
  const [a, b] = [seenFrom(side, x0 - x, y0 - y), seenFrom(side, x1 - x, y1 - y)];
  return {
    left: Math.min(a.right, b.right),
    right: Math.max(a.right, b.right),
    near: Math.min(a.out, b.out),
    far: Math.max(a.out, b.out),
    over: z1 - z,
    transmittance,
  };
}

interface Point {
  readonly x: Metres;
  readonly y: Metres;
  readonly z: Metres;
}

/** Where a point of a tier is before the window of its stand. @param point as in `Tier`, z over its floor */
export function beforeWindow(at: AtWindow, tier: Tier, base: Metres, point: Point): BeforeWindow {
  const { out, right } = seenFrom(at.side, point.x - tier.width / 2, point.y - tier.depth / 2);
  const half = (at.side === 'back' || at.side === 'front' ? tier.depth : tier.width) / 2;
  return { depth: at.gap + half - out, along: at.along + right, over: at.above + base + point.z };
}

/** Height of a tier's floor over that of the lowest tier of its stand. */
export function baseOf(stand: Stand, tierId: string): Metres {
  let base = 0;
  for (const tier of [...stand.tiers].reverse()) {
    if (tier.id === tierId) return base;
    base += tier.enclosure.height + stand.shelf;
  }
  return base;
}

/** A place before a window with what of its stand stands between them: plain data, for workers. */
export interface SillAsked {
  readonly window: Window;
  readonly at: BeforeWindow;
  readonly lintels: Aperture['lintels'];
  readonly beside: readonly Beside[];
  /** What comes through besides the window as it is built: of a side between, and by what was measured; may be above 1. */
  readonly open: number;
}

export const sillFrom = ({ window, at, lintels, open, beside }: SillAsked): Sill => sillAsBuilt(window, at, lintels, open, beside);

/**
 * A point of a tier before the window of its stand, its own sides and shelf counted; null where it stands at none.
 *
 * @param taller  what stands higher than the point on the same tier
 */
export function askedOfPoint(
  site: Pick<Site, 'windows' | 'place'>,
  stand: Stand,
  tier: Tier,
  point: Point,
  taller: readonly Obstruction[] = [],
): SillAsked | null {
  const window = windowOf(site, stand);
  if (!window || !stand.window) return null;
  const { faces, height } = tier.enclosure;
  const at = beforeWindow(stand.window, tier, baseOf(stand, tier.id), point);
  const roofed = passedAbove(stand, tier) < SEE_THROUGH;
  const away = Math.max(NEAREST_PANE, at.depth - stand.window.gap);
  // The clear side of a sill is the window itself.
  const side = stand.kind === 'sill' && faces[stand.window.side] === 'clear' ? 1 : materialOf(faces[stand.window.side]).transmittance;
  const { factor, raise } = correctionOf(window, site.place);
  return {
    window: withRaise(window, raise),
    at,
    lintels: roofed ? [{ away, over: Math.max(0, height - point.z) }] : [],
    beside: taller.map((box) => besideOf(stand.window!.side, box, point)),
    open: side * factor,
  };
}
