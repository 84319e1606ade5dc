import type { LightMap } from '../../light/field/Grid';
import { ppfdOn } from '../../light/field/ppfdOn';
import { lightOf } from '../../light/ppfdAtPoint';
import type { SceneLamp } from '../../light/scene/Scene';
import { ACROSS, ALONG, alongSide } from '../../site/stand/trayPoints';
import type { Metres, Ppfd } from '../../units/quantities';
import type { AskedTray } from './BenchQuestion';

/**
 * The strongest light that plants get for a moment, while lamps that travel stand nearest: of several, all are taken to pass at once.
 * Looked for on a grid and under each stop; light by way of the sides is taken as its mean.
 *
 * @param map  the light over the tray as its mean over time, PPFD
 * @returns µmol m⁻² s⁻¹; null: no lamp of the tier travels
 */
export function passingLight(
  { plantArea, canopy, through }: Pick<AskedTray, 'plantArea' | 'canopy' | 'through'>,
  lamps: readonly SceneLamp[],
  map: LightMap,
): Ppfd | null {
  const passing = lamps.flatMap(({ stops, emitters }) =>
    stops ? [stops.map((share, i) => stopOf(emitters, stops.length, i, share))] : [],
  );
  if (passing.length === 0) return null;
  const { x0, x1, y0, y1 } = plantArea;
  const within = (v: Metres, from: Metres, to: Metres) => Math.min(to, Math.max(from, v));
  const grid = alongSide(x0, x1, ALONG).flatMap((x) => alongSide(y0, y1, ACROSS).map((y) => [x, y] as const));
  const feet = passing.flat().map((stop) => [within(stop.x, x0, x1), within(stop.y, y0, y1)] as const);
  const more = ([x, y]: readonly [Metres, Metres]): Ppfd =>
    passing.reduce((sum, stops) => {
      const there = stops.map((s) => s.light(x, y, canopy));
      const mean = there.reduce((m, v, i) => m + stops[i]!.share * v, 0);
      return sum + Math.max(...there) - mean;
    }, 0);
  return Math.max(...[...grid, ...feet].map((place) => ppfdOn(map, place[0], place[1]) + through * more(place)));
}

/** A lamp as if it stood still at one of its stops. */
function stopOf(emitters: SceneLamp['emitters'], count: number, i: number, share: number) {
  const each = emitters.length / count;
  const here = emitters.slice(i * each, (i + 1) * each);
  const lights = here.map((e) => lightOf({ ...e, ppf: e.ppf / share }));
  const middle = (of: (e: SceneLamp['emitters'][number]) => Metres) => here.reduce((sum, e) => sum + of(e), 0) / here.length;
  return {
    share,
    x: middle((e) => e.x),
    y: middle((e) => e.y),
    light: (x: Metres, y: Metres, z: Metres): Ppfd => Math.max(0, lights.reduce((sum, light) => sum + light(x, y, z), 0)), // prettier-ignore
  };
}
