import type { HorizonPoint } from '../../sky/window/Aperture';
import type { PaneKind } from '../../sky/window/Glass';
import type { Inside } from '../../sky/window/Inside';
import type { Metres, Radians, Share } from '../../units/quantities';
import type { LightUnit } from '../../units/light';
import type { Span } from '../../units/Span';
import { radiansOf } from '../../sky/place/readCoordinate';

export const DIRT_KINDS = ['clean', 'usual', 'dirty'] as const;
export type DirtKind = (typeof DIRT_KINDS)[number];

/** A window of the household, and what stands before and behind it. */
export interface Window {
  readonly id: string;
  readonly name: string;
  /** Where it looks, from north through east, 0 … 2π. */
  readonly facing: Radians;
  readonly width: Metres;
  readonly height: Metres;
  /** Its lower edge over the floor of the room. */
  readonly sill: Metres;
  /** Thickness of the wall outside the glass. */
  readonly reveal: Metres;
  readonly panes: PaneKind;
  readonly dirt: DirtKind;
  /** Of its area that frame and bars take. */
  readonly frame: Share;
  /** What a net curtain lets through; 1: none hangs there. */
  readonly curtain: Share;
  /** A balcony or roof: how far it comes out, how far over the glass it is. */
  readonly overhang: { readonly out: Metres; readonly above: Metres } | null;
  /** When a blind is shut. */
  readonly blind: Span | null;
  /** What stands outside, from left to right looking out. */
  readonly horizon: readonly HorizonPoint[];
  /** The room behind it; null: nothing is counted that comes back from it. */
  readonly inside: Inside | null;
  /** What was measured at it, the oldest first. */
  readonly readings: readonly SillReading[];
}

export const SKIES_SEEN = ['overcast', 'clear', 'changing'] as const;

/** A meter on the sill, at best with one outdoors at the same time; both in one unit. */
export interface SillReading {
  readonly id: string;
  readonly taken_ms: number;
  readonly sky: (typeof SKIES_SEEN)[number];
  /** From the glass, and across from the window's middle. */
  readonly depth: Metres;
  readonly along: Metres;
  /** Over the lower edge of the window. */
  readonly over: Metres;
  readonly inside: number;
  /** On open level ground; null: not taken. */
  readonly outside: number | null;
  readonly unit: LightUnit;
  /** What curtain and dirt let through then. */
  readonly passed: Share;
  /** What stands outside was drawn anew after it. */
  readonly horizonSince: boolean;
}

/** Which side of a stand is turned to its window. */
export const WINDOW_SIDES = ['back', 'front', 'left', 'right'] as const;

/** Where a stand is before a window. */
export interface AtWindow {
  readonly windowId: string;
  readonly side: (typeof WINDOW_SIDES)[number];
  /** From the glass to the nearest edge of the stand. */
  readonly gap: Metres;
  /** The stand's middle across from the window's, positive to the right looking out. */
  readonly along: Metres;
  /** Floor of the lowest tier over the lower edge of the window; below it: negative. */
  readonly above: Metres;
}

/** What is left by dirt on both sides. Source: BS 8206-2 (2008), annex A, upright glass of homes in town: 0.92; clean and dirty are our estimates. */
export const DIRT_LEAVES: Record<DirtKind, Share> = { clean: 0.97, usual: 0.92, dirty: 0.8 };

/** What curtain and dirt let through now. */
export const passedBy = ({ curtain, dirt }: Pick<Window, 'curtain' | 'dirt'>): Share => curtain * DIRT_LEAVES[dirt];

/** A usual window of homes, to begin from. */
export const USUAL_WINDOW: Omit<Window, 'id' | 'name' | 'facing'> = {
  width: 1.2,
  height: 1.2,
  sill: 0.9,
  reveal: 0.12,
  panes: 'double-coated',
  dirt: 'usual',
  frame: 0.2,
  curtain: 1,
  overhang: null,
  blind: null,
  horizon: [],
  inside: { width: 4, depth: 4, height: 2.5, paleness: 'middling' },
  readings: [],
};

export const MOST_WINDOWS = 40;
export const MOST_HORIZON_POINTS = 40;
export const MOST_SILL_READINGS = 200;

/** Points for a house opposite: so high over the window's lower edge, so far, so wide, its middle so far to the right. */
export function houseOpposite(house: {
  readonly height: Metres;
  readonly distance: Metres;
  readonly width: Metres;
  readonly along: Metres;
}): HorizonPoint[] {
  const { height, distance, width, along } = house;
  const left = Math.atan2(along - width / 2, distance);
  const right = Math.atan2(along + width / 2, distance);
  const elevation = (azimuth: Radians) => Math.atan2(height * Math.cos(azimuth), distance);
  const steps = 2;
  const point = (azimuth: Radians, elevation: Radians) => ({ azimuth: tidyAngle(azimuth), elevation: tidyAngle(elevation) });
  const roof = Array.from({ length: steps + 1 }, (_, i) => left + ((right - left) * i) / steps);
  return [point(left, 0), ...roof.map((azimuth) => point(azimuth, elevation(azimuth))), point(right, 0)];
}

/** To a millionth of a degree, so that what is written is read back the same. */
export const tidyAngle = (angle: Radians): Radians => radiansOf((angle * 180) / Math.PI);
