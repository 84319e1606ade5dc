import type { Metres, Share } from '../../units/quantities';
import type { Emitter } from '../emitters/Emitter';
import type { Room } from '../room/Room';

/** One lamp as it hangs: the primitive emitters it is built of. */
export interface SceneLamp {
  readonly id: string;
  readonly emitters: readonly Emitter[];
  /** Of one that travels: the share of the time at each of its stops, whose emitters follow each other, as many at each. */
  readonly stops?: readonly Share[];
}

/** An upright box in the way: a tall pot, a riser, a lamp's own housing. It swallows what meets it, but for what it lets straight through. */
export interface Obstruction {
  readonly x0: Metres;
  readonly x1: Metres;
  readonly y0: Metres;
  readonly y1: Metres;
  readonly z0: Metres;
  readonly z1: Metres;
  /** 0 when left out; light from faces goes by what is solid, and takes the box to be that. */
  readonly transmittance?: Share;
}

/** All that decides the light: lamps, the tiers of a stand as rooms (without any, lamps hang in the open), and things in the way. */
export interface Scene {
  readonly lamps: readonly SceneLamp[];
  readonly rooms: readonly Room[];
  readonly obstructions: readonly Obstruction[];
}
