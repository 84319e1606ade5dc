import { sunshineOf, type Climate } from './climates';
import { outdoorsAt, type Place } from './outdoorsAt';
import { ppfdOf } from './skies';
import type { SkyDriver, SkyReading } from './SkyDriver';

const HOUR_ms = 3_600_000;
/** How long sun or cloud last in the mean, h: our choice, so that a day has a few of each. */
const SPELL_h = 1.6;

/** Evenly spread over 0 … 1 and the same for the same numbers; mixes of integers after Steele & Vigna, "splitmix", public domain. */
function chance(...of: number[]): number {
  let h = 0x9e3779b9;
  for (const n of of) {
    h = Math.imul(h ^ (n | 0), 0x85ebca6b);
    h ^= h >>> 13;
    h = Math.imul(h ^ Math.floor(n / 2 ** 32), 0xc2b2ae35);
    h ^= h >>> 16;
  }
  return (h >>> 0) / 2 ** 32;
}

/**
 * Weather out of a seed: spells of sun and of closed cloud, as often as the climate of the month says, each cloud as thick as chance has
 * it. The stand-in for an outdoor sensor; the same seed, place and time always give the same weather, wherever one begins to listen.
 */
export function simulatedSky(place: Place, climate: Climate, seed: number): SkyDriver {
  return {
    name: 'simulated sky',
    *readings(from_ms, to_ms, every_min) {
      if (!(to_ms >= from_ms) || !(every_min > 0))
        throw new RangeError(`a stretch from ${from_ms} to ${to_ms} every ${every_min} min is none`);
      for (let at_ms = from_ms; at_ms <= to_ms; at_ms += every_min * 60_000) yield readingAt(at_ms);
    },
  };
  function readingAt(at_ms: number): SkyReading {
    const share = sunshineOf(climate, new Date(at_ms).getUTCMonth(), place.latitude);
    const spell = Math.floor(at_ms / (SPELL_h * HOUR_ms));
    const sunny = chance(seed, spell, 1) < share;
    const { clear, overcast } = outdoorsAt(at_ms, place);
    // Clouds pass between half and one and a half of the mean; thin haze takes up to a tenth of the sun.
    const ppfd = sunny
      ? ppfdOf(clear.global) * (1 - 0.1 * chance(seed, spell, 2))
      : ppfdOf(overcast.global) * (0.5 + chance(seed, spell, 3));
    return { at_ms, ppfd, sunny };
  }
}
