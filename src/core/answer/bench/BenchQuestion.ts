import type { LightMap, LightSlice, Rect } from '../../light/field/Grid';
import type { AreaStats } from '../../light/field/statsOver';
import type { Room } from '../../light/room/Room';
import type { SceneLamp } from '../../light/scene/Scene';
import type { Hours, Metres, Ppfd, Share } from '../../units/quantities';
import type { PerCentimetre } from '../../judge/uncertainty/uncertaintyOfDistance';
import type { Spots } from '../../judge/dli/Spots';

/** A tray to be judged: where its plants stand, and the height of their tops. */
export interface AskedTray {
  readonly id: string;
  readonly outline: Rect;
  readonly plantArea: Rect;
  readonly canopy: Metres;
  /** Height of its solid rim: to that it stands in the way of light, above it only its leaves do. */
  readonly rim: Metres;
  /** Of the light over it, how much its cover lets through; 1 without one. */
  readonly through: Share;
}

/** One tier in its own coordinates, and where its corner is in the stand. */
export interface AskedTier {
  readonly id: string;
  readonly x: Metres;
  readonly z: Metres;
  readonly width: Metres;
  readonly depth: Metres;
  readonly height: Metres;
  readonly room: Room | null;
  readonly hours: Hours;
  readonly lamps: readonly SceneLamp[];
  /** Where some travel: all with as many stops as a picture of the light close to them needs. */
  readonly drawn?: readonly SceneLamp[];
  readonly trays: readonly AskedTray[];
  /** Height of the plane that is shown between the trays. */
  readonly plane: Metres;
}

/** What the picture of a whole stand needs to know of its light; plain data, so that it can be asked of a worker. */
export interface BenchQuestion {
  readonly tiers: readonly AskedTier[];
  /** From which side the slices are seen; null: no pictures, only what trays are judged by. */
  readonly view: 'front' | 'side' | null;
  /** Side of the cells of maps and slices, m. */
  readonly cell: Metres;
  readonly sliceCell: Metres;
  /** While a hand moves something on one tier: that tier alone, with the light from the others as it was. */
  readonly only: string | null;
  /** Whether light from other tiers is worked out too; without it the answer comes sooner, and is for a first look. */
  readonly spill: boolean;
}

/** The light on one tray. PPFD of lamps that burn for other hours than the tier's own counts by its dose. */
export interface TrayLight {
  /** Over its outline at its own leaf tops. */
  readonly map: LightMap;
  readonly stats: AreaStats;
  /** How a centimetre nearer or farther changes the light at each spot. */
  readonly perCm: Spots<PerCentimetre>;
  readonly reflectedShare: Share;
  /** Of its mean light, how much comes from each lamp of the tier, and from the other tiers. */
  readonly lamps: readonly { readonly id: string; readonly share: Share }[];
  readonly spillShare: Share;
  /** Of the mean light that it would have by itself, how much taller plants and pots beside it take. */
  readonly shadedShare: Share;
  /** The strongest for a moment, while lamps that travel pass; null: none does. Verdicts go by the mean over their way. */
  readonly passing: Ppfd | null;
}

export interface TierLight {
  readonly slice: LightSlice | null;
  readonly map: LightMap | null;
  readonly trays: Readonly<Record<string, TrayLight>>;
}

export interface BenchAnswer {
  readonly tiers: Readonly<Record<string, TierLight>>;
}
