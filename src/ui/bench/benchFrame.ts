import { topOfFitting } from '@/core/site/stand/poseOf';
import type { Metres } from '@/core/units/quantities';
import type { BenchStand, BenchTier } from '@/core/answer/stand/benchStand';
import type { FrameBox } from '../drawing/drawingFrame';

export type View = 'front' | 'side';

/** Where the stand lies on the drawing: metres become pixels here, and nowhere else. */
export interface BenchFrame {
  readonly view: View;
  readonly scale: number;
  readonly width: number;
  readonly height: number;
  /** Left edge of the widest tier. */
  readonly left: number;
  /** Height of the stand's lowest floor. */
  readonly floor: number;
  /** Along a tier: its x from the front, its y from the side. */
  u(tier: Pick<BenchTier, 'x'>, along: Metres): number;
  /** Above a tier's floor. */
  z(tier: Pick<BenchTier, 'z'>, height: Metres): number;
  boxOf(tier: BenchTier): FrameBox;
}

/** Room beside the stand, px: the word on each tier at the left, the distance at the right. */
const SIDES = { wide: { left: 108, right: 124 }, narrow: { left: 34, right: 88 } } as const;
const HEAD = 26;
const FOOT = 30;

/** Height of all that is to be seen: lamps over an open shelf and tall plants may reach beyond the stand. */
const reachOf = (stand: BenchStand): Metres =>
  Math.max(
    stand.height,
    ...stand.tiers.flatMap((t) => [
      ...t.lamps.map(({ fitting, lamp }) => t.z + topOfFitting(fitting, lamp)),
      ...t.trays.map((y) => t.z + y.canopy),
    ]),
  );

/** What of a stand decides its frame: most that a hand moves does not change it. */
interface Measures {
  /** From left to right, as it is seen. */
  readonly span: Metres;
  readonly reach: Metres;
}

export const measuresOf = (stand: BenchStand, view: View): Measures => ({
  span: view === 'front' ? stand.width : stand.depth,
  reach: reachOf(stand),
});

/** @param zoom  1: the whole stand fits the room */
export function benchFrame(
  { span, reach }: Measures,
  view: View,
  room: { width: number; height: number },
  zoom: number,
  narrow: boolean,
): BenchFrame {
  const { left: l, right: r } = SIDES[narrow ? 'narrow' : 'wide'];
  const fit = Math.min((room.width - l - r) / span, (room.height - HEAD - FOOT) / reach, 900);
  const scale = Math.max(30, fit * zoom);
  const width = Math.max(room.width, span * scale + l + r);
  const height = Math.max(room.height, reach * scale + HEAD + FOOT);
  const left = l + (width - l - r - span * scale) / 2;
  const floor = height - FOOT - (height - HEAD - FOOT - reach * scale) / 2;
  const u = (tier: Pick<BenchTier, 'x'>, along: Metres) => left + ((view === 'front' ? tier.x : 0) + along) * scale;
  const z = (tier: Pick<BenchTier, 'z'>, h: Metres) => floor - (tier.z + h) * scale;
  return {
    view,
    scale,
    width,
    height,
    left,
    floor,
    u,
    z,
    boxOf(t) {
      const h = t.tier.enclosure.height;
      return { left: u(t, 0), top: z(t, h), width: (view === 'front' ? t.tier.width : t.tier.depth) * scale, height: h * scale };
    },
  };
}

/** The tier at a height of the drawing: the one whose floor to ceiling holds it, else the nearest. */
export function tierAt(stand: BenchStand, frame: BenchFrame, y: number): BenchTier {
  const height = (frame.floor - y) / frame.scale;
  const away = (t: BenchTier) => Math.max(t.z - height, height - t.z - t.tier.enclosure.height, 0);
  return stand.tiers.reduce((best, t) => (away(t) < away(best) ? t : best));
}
