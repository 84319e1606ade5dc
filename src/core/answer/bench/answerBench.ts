import type { LightMap, LightSlice } from '../../light/field/Grid';
import { statsOver } from '../../light/field/statsOver';
import { lightOf } from '../../light/ppfdAtPoint';
import { lightFieldOf, type LightField } from '../../light/scene/LightField';
import { createCache, type Cache } from '../../light/scene/Cache';
import { turnScene } from '../../light/scene/turnScene';
import { ninthsOf, perCentimetreOf, straightMean } from '../check/perCentimetreOf';
import type { Metres, Share } from '../../units/quantities';
import type { AskedTier, AskedTray, BenchAnswer, BenchQuestion, TierLight, TrayLight } from './BenchQuestion';
import { sceneOfTier, sceneOfTiers } from './benchScene';
import { passingLight } from './passingLight';
import { addSpill, mapOnTray } from './mapOnTray';
import { addCoarse, coarseAt, isSpiltInto, spillInto } from './spillOver';

/**
 * Computes the light of a whole stand: for each tier a slice and a map, for each tray the light at its own leaf tops.
 *
 * Each tier's own lamps are worked out in full; what comes from the other tiers, through wire shelves and open sides, is the
 * whole stand's light less the tier's own, taken at a few places. Taller plants and pots beside a tray shade it.
 *
 * Error: under 1 % of the light of the other tiers (answerBench.test.ts).
 *
 * @param cache  what the last question left behind, for the next frame of a drag
 */
export function answerBench(question: BenchQuestion, cache: Cache = createCache()): BenchAnswer {
  const { tiers, only } = question;
  // Weighed by its hours alone, one field serves all tiers: over the hours of a tier it is what burns while its own lamps do.
  let whole: LightField | null = null;
  const wholeOf = (): LightField => (whole ??= lightFieldOf(sceneOfTiers(tiers, 1), cache));
  const answered: Record<string, TierLight> = {};
  for (const tier of tiers) {
    if (only !== null && tier.id !== only) continue;
    answered[tier.id] = answerTier(question, tier, question.spill && isSpiltInto(tier, tiers) ? wholeOf : null, cache);
  }
  return { tiers: answered };
}

function answerTier(question: BenchQuestion, tier: AskedTier, whole: (() => LightField) | null, cache: Cache): TierLight {
  const { view, cell, sliceCell, only } = question;
  const scene = sceneOfTier(tier);
  const own = lightFieldOf(scene, cache);

  const spill = whole && spillInto(tier, own, whole, cache, only !== null);

  function slice(): LightSlice {
    const side = view === 'side';
    const shown = tier.drawn && only === null ? sceneOfTier({ ...tier, lamps: tier.drawn }) : scene;
    const field = side ? lightFieldOf(turnScene(shown), cache) : shown === scene ? own : lightFieldOf(shown, cache);
    const wide = side ? tier.depth : tier.width;
    const at = side ? -tier.width / 2 : tier.depth / 2;
    const drawn = field.slice({ x0: 0, x1: wide, z0: 0, z1: tier.height, y: at }, sliceCell);
    if (spill) addCoarse(spill.upright(side ? 'side' : 'front'), drawn, [0, 0], [wide, tier.height]);
    return drawn;
  }

  function plane(): LightMap {
    // Between the trays nothing is judged: while a hand moves, larger cells do.
    const map = own.map({ x0: 0, x1: tier.width, y0: 0, y1: tier.depth }, tier.plane, only === null ? cell : 2 * cell);
    addSpill(spill, map);
    return map;
  }

  function tray(asked: AskedTray): TrayLight {
    const { plantArea, canopy, through } = asked;
    const { map, shadedShare } = mapOnTray(asked, tier, own, spill, cell, cache);
    const stats = statsOver(map, [plantArea]);
    const parts = tier.lamps.map((lamp) => ({ id: lamp.id, mean: straightMean(lamp.emitters.map(lightOf), [plantArea], canopy) }));
    const straight = parts.reduce((sum, p) => sum + p.mean, 0);
    const places = ninthsOf(plantArea);
    const coarse = spill?.level(canopy);
    const spilt = through * (coarse ? places.reduce((sum, [x, y]) => sum + coarseAt(coarse, x, y), 0) / places.length : 0);
    const spillShare = stats.mean > 0 ? Math.min(1, Math.max(0, spilt / stats.mean)) : 0;
    const lights = tier.lamps.flatMap((lamp) => lamp.emitters.map((e) => lightOf({ ...e, ppf: e.ppf * through })));
    return {
      map,
      stats,
      perCm: perCentimetreOf(lights, stats, [plantArea], canopy),
      reflectedShare: tier.room ? reflectedShareOf(own, places, canopy) : 0,
      lamps: parts.map((p) => ({ id: p.id, share: straight > 0 ? ((1 - spillShare) * p.mean) / straight : 0 })),
      spillShare,
      shadedShare,
      passing: passingLight(asked, tier.lamps, map),
    };
  }

  return {
    slice: view ? slice() : null,
    map: view ? plane() : null,
    trays: Object.fromEntries(tier.trays.map((t) => [t.id, tray(t)])),
  };
}

function reflectedShareOf(field: LightField, places: readonly (readonly [Metres, Metres])[], z: Metres): Share {
  let reflected = 0, all = 0; // prettier-ignore
  for (const [x, y] of places) {
    reflected += field.reflectedAt(x, y, z);
    all += field.ppfdAt(x, y, z);
  }
  return all > 0 ? reflected / all : 0;
}
