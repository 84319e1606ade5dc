import type { Rect } from '../../light/field/Grid';
import type { AreaStats } from '../../light/field/statsOver';
import type { LightAt } from '../../light/emitters/Emitter';
import type { Metres, Ppfd } from '../../units/quantities';
import { perCentimetre, type PerCentimetre } from '../../judge/uncertainty/uncertaintyOfDistance';
import type { Spots } from '../../judge/dli/Spots';

/** The middles of three by three parts of an area. */
export function ninthsOf({ x0, x1, y0, y1 }: Rect): readonly (readonly [Metres, Metres])[] {
  const thirds = [1 / 6, 1 / 2, 5 / 6];
  return thirds.flatMap((u) => thirds.map((v) => [x0 + u * (x1 - x0), y0 + v * (y1 - y0)] as const));
}

/** Straight light of some lamps, the mean over a few places of some areas. */
export function straightMean(lights: readonly LightAt[], areas: readonly Rect[], z: Metres): Ppfd {
  const places = areas.flatMap(ninthsOf);
  return places.reduce((sum, [x, y]) => sum + lights.reduce((s, light) => s + light(x, y, z), 0), 0) / places.length;
}

/**
 * How a centimetre changes the light at each spot by which a tray is judged. It is read off the straight light; what comes by way
 * of sides and other tiers hardly changes with it.
 *
 * @param stats  of the whole light at the leaf tops
 */
export function perCentimetreOf(
  lights: readonly LightAt[],
  stats: AreaStats,
  areas: readonly Rect[],
  canopy: Metres,
): Spots<PerCentimetre> {
  const spot = (here: Ppfd, straight: (z: Metres) => Ppfd) => {
    const rest = here - straight(canopy);
    return perCentimetre(rest + straight(canopy + 0.01), here, rest + straight(canopy - 0.01));
  };
  const at =
    ({ x, y }: { x: Metres; y: Metres }) =>
    (z: Metres) =>
      lights.reduce((sum, light) => sum + light(x, y, z), 0);
  return {
    weakest: spot(stats.weakest.ppfd, at(stats.weakest)),
    mean: spot(stats.mean, (z) => straightMean(lights, areas, z)),
    strongest: spot(stats.strongest.ppfd, at(stats.strongest)),
  };
}

/** The strengths at the spots of some statistics. */
export const spotsOf = ({ weakest, mean, strongest }: AreaStats): Spots<Ppfd> => ({
  weakest: weakest.ppfd,
  mean,
  strongest: strongest.ppfd,
});
