import { fail, ok, type Result } from '../../units/result';
import { readNumber } from '../../units/readNumber';
import type { Radians } from '../../units/quantities';
import { radiansOf } from './readCoordinate';

export const COMPASS = ['N', 'NNE', 'NE', 'ENE', 'E', 'ESE', 'SE', 'SSE', 'S', 'SSW', 'SW', 'WSW', 'W', 'WNW', 'NW', 'NNW'] as const;
const NAMES = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'] as const;

/** Reads a direction: `NE`, `north-east`, `45`, `45°`. @returns radians from north through east, 0 … 2π */
export function readFacing(text: string, sign: '.' | ',' = '.'): Result<Radians> {
  const bare = text.trim().toLowerCase().replace(/[ _]/g, '-');
  const point = COMPASS.findIndex((c) => c.toLowerCase() === bare.replace(/-/g, ''));
  if (point >= 0) return ok(radiansOf(point * 22.5));
  const name = NAMES.findIndex((n) => n === bare || n.replace('-', '') === bare);
  if (name >= 0) return ok(radiansOf(name * 45));
  const degrees = readNumber(bare.replace('°', ''), sign);
  if (degrees === null || degrees < 0 || degrees > 360) return fail({ code: 'window/not-a-direction', at: 'facing', found: text });
  return ok(radiansOf(degrees % 360));
}

/** `NE`. */
export const compassOf = (facing: Radians): string => COMPASS[Math.round((facing * 8) / Math.PI) % 16]!;

/** `north-east`. */
export const directionOf = (facing: Radians): string => NAMES[Math.round((facing * 4) / Math.PI) % 8]!;

/** Where the sun stands at noon for most of the year; of an unknown place as in the north. */
export const noonFacing = (latitude: Radians | null): Radians => ((latitude ?? 1) >= 0 ? Math.PI : 0);
