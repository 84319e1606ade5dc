import { fail, ok, type Result } from '../../units/result';
import { readNumber } from '../../units/readNumber';
import type { Radians } from '../../units/quantities';

const RAD = Math.PI / 180;
export type CoordinateAxis = 'latitude' | 'longitude';
const MOST: Record<CoordinateAxis, number> = { latitude: 90, longitude: 180 };
const LETTERS: Record<CoordinateAxis, Readonly<Record<string, 1 | -1>>> = {
  latitude: { n: 1, s: -1 },
  longitude: { e: 1, w: -1 },
};

/** Reads `54.2`, `-3,5`, `54°12'N`, `54 12 30 s`, `3.1 W`. @returns radians, north and east positive */
export function readCoordinate(text: string, axis: CoordinateAxis, sign: '.' | ',' = '.'): Result<Radians> {
  const problem = () => fail({ code: 'place/not-a-coordinate', at: axis, found: text });
  const bare = text.trim().toLowerCase();
  const letter = /[nsew]$/.exec(bare)?.[0];
  const side = letter === undefined ? 1 : LETTERS[axis][letter];
  if (side === undefined) return problem();
  const parts = (letter ? bare.slice(0, -1) : bare).split(/[°'’′"”″\s]+/).filter((p) => p !== '');
  if (parts.length < 1 || parts.length > 3) return problem();
  const numbers = parts.map((p) => readNumber(p.replace('−', '-'), sign));
  if (numbers.some((n) => n === null)) return problem();
  const [degrees, minutes = 0, seconds = 0] = numbers as number[];
  const below = degrees! < 0 || Object.is(degrees, -0);
  if (minutes < 0 || minutes >= 60 || seconds < 0 || seconds >= 60 || (below && letter !== undefined)) return problem();
  const value = (Math.abs(degrees!) + minutes / 60 + seconds / 3600) * (below ? -1 : 1) * side;
  if (Math.abs(value) > MOST[axis]) return fail({ code: 'place/beyond', at: axis, found: text, expected: String(MOST[axis]) });
  return ok(tidy(value));
}

/** Degrees to a millionth, so that what is written is read back the same. */
const tidy = (degrees: number): Radians => (Number(degrees.toFixed(6)) + 0) * RAD;

export const radiansOf = tidy;

/** `54.20° N`. */
export function showCoordinate(angle: Radians, axis: CoordinateAxis): string {
  const degrees = angle / RAD;
  const letter = axis === 'latitude' ? (degrees < 0 ? 'S' : 'N') : degrees < 0 ? 'W' : 'E';
  return `${Math.abs(degrees).toFixed(2)}° ${letter}`;
}
