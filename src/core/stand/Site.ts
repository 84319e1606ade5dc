import type { StageName } from '../crop/Crop';
import type { Lamp } from '../lamp/Lamp';
import type { Ageing } from '../lamp/ageing';
import type { Enclosure } from './Enclosure';
import type { Reading } from '../reading/Reading';
import type { Metres, Radians } from '../quantities';

/** Everything a person keeps: their stands, what grows on them, the hours, and lamps of their own. */
export interface Site {
  readonly currency: string;
  readonly price_per_kWh: number;
  readonly stands: readonly Stand[];
  readonly batches: readonly Batch[];
  readonly programmes: readonly Programme[];
  /** Lamps typed from their box; those of the library are known by their id. */
  readonly lamps: readonly Lamp[];
}

/** A rack, shelf, bench, box or sill. */
export interface Stand {
  readonly id: string;
  readonly name: string;
  readonly tiers: readonly Tier[];
}

/** One level of a stand. x runs along its width from the left, y along its depth from the front, z up from its floor. */
export interface Tier {
  readonly id: string;
  readonly width: Metres;
  readonly depth: Metres;
  readonly enclosure: Enclosure;
  readonly ageing: Ageing;
  readonly fittings: readonly Fitting[];
  readonly trays: readonly Tray[];
  readonly programmeId: string;
  /** What meters showed under these lamps, the oldest first. */
  readonly readings: readonly Reading[];
}

/** A lamp where it hangs: the middle of its face, and the height of its face above the tier's floor. */
export interface Fitting {
  readonly id: string;
  readonly lampId: string;
  readonly x: Metres;
  readonly y: Metres;
  readonly face: Metres;
  readonly turn: Radians;
}

/** A container where it stands; x and y of its middle. `turned` puts its length along the depth. */
export interface Tray {
  readonly id: string;
  /** Of the container table; null for a size of the person's own. */
  readonly containerId: string | null;
  readonly length: Metres;
  readonly width: Metres;
  readonly height: Metres;
  /** Where plants stand, inside the walls. */
  readonly insideLength: Metres;
  readonly insideWidth: Metres;
  readonly x: Metres;
  readonly y: Metres;
  readonly turned: boolean;
  readonly batchId: string;
}

/** Plants of one crop sown together. */
export interface Batch {
  readonly id: string;
  readonly cropId: string;
  readonly stage: StageName;
  /** Height of the leaves above the compost as measured; null: from the crop's curve. */
  readonly height: Metres | null;
}

/** The lamp's day: on at a minute of the day, lit for so many minutes (0 … 1440), past midnight if need be. */
export interface Programme {
  readonly id: string;
  readonly on_min: number;
  readonly lit_min: number;
}
