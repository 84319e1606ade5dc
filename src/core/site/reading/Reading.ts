import type { Hours, Metres, Radians } from '../../units/quantities';
import type { FaceName } from '../../light/room/Room';
import type { Share } from '../../units/quantities';
import type { Travel } from '../../things/lamp/Travel';
import type { LightReading } from '../../units/light';

/** A lamp that was lit when a reading was taken, as it hung then; from the middle of the tier. */
export interface LitLamp {
  readonly lampId: string;
  readonly dx: Metres;
  readonly dy: Metres;
  readonly face: Metres;
  readonly turn: Radians;
  readonly tilt?: Radians;
  /** One on a rail: what was read is taken to be the mean over its way. */
  readonly travel?: Travel;
}

/** The tier as it was when a reading was taken: its size, what its faces were made of, how much of its floor trays covered. */
export interface Around {
  readonly width: Metres;
  readonly depth: Metres;
  readonly height: Metres;
  /** Ids of the material library. */
  readonly faces: Readonly<Record<FaceName, string>>;
  readonly covered: Share;
  /** How high they stood with their leaves, in the mean over what they covered, and how long all their edges were; left out: nothing, or nobody knows. */
  readonly standing?: { readonly height: Metres; readonly edge: Metres };
}

/** What a meter showed, where, under what; enough to be understood when the set-up has changed since. */
export interface Reading extends LightReading {
  readonly id: string;
  /** Kind of meter, of the meter table. */
  readonly kindId: string;
  /** Which of the person's own meters; null: none of them. */
  readonly meterId: string | null;
  /** What that meter showed has to be multiplied by this, as it was known then. */
  readonly factor: number;
  /** What it showed with the lamps off, in the same unit: daylight, to be taken away. */
  readonly dark: number;
  /** Mean of so many. */
  readonly of: number;
  /** Place of the sensor from the middle of the tier. */
  readonly dx: Metres;
  readonly dy: Metres;
  /** Height of the sensor above the tier's floor. */
  readonly z: Metres;
  /** The lamps that were lit; at least one. */
  readonly lit: readonly LitLamp[];
  readonly around: Around;
  /** How many hours the lamps had burned; null: not known. */
  readonly used_h: Hours | null;
  /** Seen and kept, but not believed. */
  readonly leftOut: boolean;
  /** When it was taken, milliseconds since 1970 (UTC). */
  readonly taken_ms: number;
}

/** As many as a tier keeps, and its file holds. */
export const MOST_READINGS = 2000;

/** A reading with what is usually not special about it. */
export const PLAIN_READING = { meterId: null, factor: 1, dark: 0, of: 1, used_h: null, leftOut: false } as const;

/** From the lowest of the lit lamps' faces down to the sensor. */
export const distanceOf = ({ lit, z }: Pick<Reading, 'lit' | 'z'>): Metres => Math.min(...lit.map((l) => l.face)) - z;

/** The lamps of a tier as lit lamps. */
export const litOf = (tier: {
  readonly width: Metres;
  readonly depth: Metres;
  readonly fittings: readonly {
    readonly lampId: string;
    readonly x: Metres;
    readonly y: Metres;
    readonly face: Metres;
    readonly turn: Radians;
    readonly tilt?: Radians;
    readonly travel?: Travel;
  }[];
}): LitLamp[] =>
  tier.fittings.map(({ lampId, x, y, face, turn, tilt, travel }) => ({
    lampId,
    dx: x - tier.width / 2,
    dy: y - tier.depth / 2,
    face,
    turn,
    ...(tilt && { tilt }),
    ...(travel && { travel }),
  }));
