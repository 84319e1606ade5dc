import type { BeforeWindow } from '@/core/answer/daylight/sillAsBuilt';
import type { Window } from '@/core/site/window/Window';
import type { SunPosition } from '@/core/sky/sun/sunPosition';
import type { Metres, Radians } from '@/core/units/quantities';

/** A point of the pane's plane: across from the window's middle to the right looking out, up from its lower edge. */
export interface PanePoint {
  readonly across: Metres;
  readonly up: Metres;
}

/** Where a direction, seen from a place, goes through the plane of the pane; null: it does not. @param azimuth from the facing */
export function onPane(at: BeforeWindow, azimuth: Radians, elevation: Radians): PanePoint | null {
  if (Math.abs(azimuth) >= Math.PI / 2 - 1e-6) return null;
  return { across: at.along + at.depth * Math.tan(azimuth), up: at.over + (at.depth * Math.tan(elevation)) / Math.cos(azimuth) };
}

/** The direction of a point of the pane, seen from a place. */
export function directionThrough(at: BeforeWindow, { across, up }: PanePoint): { azimuth: Radians; elevation: Radians } {
  const azimuth = Math.atan2(across - at.along, at.depth);
  return { azimuth, elevation: Math.atan2((up - at.over) * Math.cos(azimuth), at.depth) };
}

/** How far to the right of a window's facing the sun stands, −π … π. */
export const besideFacing = (sun: Pick<SunPosition, 'azimuth'>, facing: Radians): Radians =>
  ((sun.azimuth - facing + 3 * Math.PI) % (2 * Math.PI)) - Math.PI;

/** A place in the room, seen from above. */
export interface FloorPoint {
  readonly across: Metres;
  readonly depth: Metres;
}

/**
 * The patch that the sun throws through a window onto a level plane, its corners in order; empty where none falls there.
 * What stands outside and the thickness of the wall are not cut out of it.
 *
 * @param over  height of the plane over the window's lower edge
 */
export function sunPatch(window: Window, sun: SunPosition, over: Metres): FloorPoint[] {
  const turned = besideFacing(sun, window.facing);
  if (!(sun.elevation > 0.005) || Math.abs(turned) >= Math.PI / 2 - 0.01) return [];
  const [low, high] = [Math.max(0, -over), window.height - over];
  if (high <= low) return [];
  const half = window.width / 2;
  const at = (across: Metres, up: Metres): FloorPoint => {
    const depth = (up * Math.cos(turned)) / Math.tan(sun.elevation);
    return { across: across - depth * Math.tan(turned), depth };
  };
  return [at(-half, low), at(half, low), at(half, high), at(-half, high)];
}
