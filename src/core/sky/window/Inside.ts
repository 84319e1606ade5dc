import type { Metres, Share } from '../../units/quantities';

export const PALENESS = ['pale', 'middling', 'dark'] as const;

/** The room behind a window. */
export interface Inside {
  readonly width: Metres;
  readonly depth: Metres;
  readonly height: Metres;
  readonly paleness: (typeof PALENESS)[number];
}

/** Reflectances of floor, walls and ceiling; usual figures of indoor lighting (CIBSE SLL Code for Lighting, 2012, part 2). */
const REFLECTANCES = {
  pale: { floor: 0.3, walls: 0.7, ceiling: 0.85 },
  middling: { floor: 0.2, walls: 0.5, ceiling: 0.7 },
  dark: { floor: 0.1, walls: 0.3, ceiling: 0.5 },
} as const;

/** What comes back from the room for light that came in, evenly: as a share of its density in the glass, for light that goes down and up. */
export interface ComesBack {
  readonly ofDownward: Share;
  readonly ofUpward: Share;
}

/**
 * Light that walls, floor and ceiling give back.
 *
 *     E = W (E↓ · R_floor and lower walls + E↑ · R_ceiling and upper walls) / (A (1 − R))
 *
 * Error: ±30 %; nearer to the window less, deep in the room more than this mean.
 * Source: the split flux of Hopkinson, Longmore & Petherbridge 1954, Trans. Illum. Eng. Soc. 19:201–219.
 *
 * @param area    of glass, m²
 * @param middle  height of the window's middle over the floor
 */
export function comesBack({ width, depth, height, paleness }: Inside, area: number, middle: Metres): ComesBack {
  const r = REFLECTANCES[paleness];
  const walls = (h: number) => (width + 2 * depth) * Math.max(0, h);
  const low = Math.min(Math.max(middle, 0), height);
  const [below, above] = [walls(low), walls(height - low)];
  const [floor, all] = [width * depth, 2 * width * depth + 2 * (width + depth) * height];
  // The window's own wall counts as a wall, its glass as dark.
  const own = Math.max(0, width * height - area);
  const mean = (floor * (r.floor + r.ceiling) + (below + above + own) * r.walls) / all;
  const k = area / (all * (1 - mean));
  return {
    ofDownward: k * ((floor * r.floor + below * r.walls) / (floor + below)),
    ofUpward: k * ((floor * r.ceiling + above * r.walls) / (floor + above)),
  };
}
