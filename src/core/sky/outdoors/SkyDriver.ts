import type { Ppfd } from '../../units/quantities';

/** What an outdoor sensor or a weather service says of a moment. */
export interface SkyReading {
  /** Since 1970 UTC. */
  readonly at_ms: number;
  /** On open level ground. */
  readonly ppfd: Ppfd;
  /** Whether the sun shone. */
  readonly sunny: boolean;
}

/** All that the rest knows of a source of weather. */
export interface SkyDriver {
  readonly name: string;
  /** The readings of a stretch of time, in order, every so many minutes. @throws RangeError when it ends before it begins */
  readings(from_ms: number, to_ms: number, every_min: number): Iterable<SkyReading>;
}
