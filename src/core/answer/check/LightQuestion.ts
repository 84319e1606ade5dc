import type { LightMap, LightSlice, Rect } from '../../light/field/Grid';
import type { AreaStats } from '../../light/field/statsOver';
import type { Scene } from '../../light/scene/Scene';
import type { Metres, Share } from '../../units/quantities';
import type { PerCentimetre } from '../../judge/uncertainty/uncertaintyOfDistance';
import type { Spots } from '../../judge/dli/Spots';

/** What the picture of one tier needs to know of its light; plain data, so that it can be asked of a worker. */
export interface LightQuestion {
  readonly scene: Scene;
  readonly width: Metres;
  readonly depth: Metres;
  readonly canopy: Metres;
  /** Height of the picture from the front, from the floor of the tier. */
  readonly sliceTop: Metres;
  /** Room to the left and right of the tier that the picture shows as well. */
  readonly sliceMargin: Metres;
  /** Where plants stand. */
  readonly plantAreas: readonly Rect[];
  readonly cell: Metres;
  /** Cells of the slice, which is only looked at, may be larger than those of the map, which is judged. */
  readonly sliceCell: Metres;
}

export interface LightAnswer {
  readonly map: LightMap;
  readonly slice: LightSlice;
  readonly stats: AreaStats;
  /** How a centimetre nearer or farther changes the light at each spot. */
  readonly perCm: Spots<PerCentimetre>;
  /** Of the mean over the plants, how much comes by way of the sides. */
  readonly reflectedShare: Share;
}
