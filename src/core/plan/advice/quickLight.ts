import { answerBench } from '../../answer/bench/answerBench';
import type { BenchAnswer } from '../../answer/bench/BenchQuestion';
import { askedTier } from '../../answer/bench/questionOfStand';
import { mapped, spreadOf, type LightSpread } from '../../judge/dli/LightSpread';
import { spreadOfMap } from '../../judge/dli/spreadOfMap';
import { emittersHung } from '../../site/stand/emittersHung';
import { throughCover } from '../../things/container/coverLibrary';
import { lightOf } from '../../light/ppfdAtPoint';
import type { Ppf, Ppfd, Share } from '../../units/quantities';
import type { BenchLamp, BenchStand, BenchTier, BenchTray } from '../../answer/stand/benchStand';
import { plantAreaOf } from '../../site/stand/footprint';
import { NINE_AMONG_POINTS } from '../../site/stand/nineSpots';
import { trayPointsOf } from '../../site/stand/trayPoints';

/** The light of the lamps on a tray of a stand. */
export type LightOfTray = (tier: BenchTier, tray: BenchTray) => LightSpread;

/**
 * A quick look at what a change would do, for looking at thousands: the straight light of a tier's lamps in full; what comes
 * from sides and other tiers as it is now, in proportion to the photons of the lamps. It ranks; what is shown to a person is
 * worked out by the engine afterwards.
 *
 * @param now     the stand as it is
 * @param answer  its light, from the engine
 */
export function quickLight(now: BenchStand, answer: BenchAnswer): LightOfTray {
  const ofLamp = new Map<string, Float64Array>();
  const spreads = new Map<string, LightSpread>();
  const hungOf = ({ fitting, real }: BenchLamp) =>
    `${real.id} ${real.ppf} ${fitting.x.toFixed(4)} ${fitting.y.toFixed(4)} ${fitting.face.toFixed(4)} ${fitting.turn.toFixed(4)} ${(fitting.tilt ?? 0).toFixed(4)} ${fitting.travel ? `${fitting.travel.along} ${fitting.travel.length.toFixed(4)}` : ''}`;
  // Most tiers stay as they are from one change to the next.
  const hangings = new WeakMap<BenchTier, { readonly each: readonly string[]; readonly all: string }>();
  function hangingOf(tier: BenchTier) {
    let known = hangings.get(tier);
    if (!known) {
      const each = tier.lamps.map(hungOf);
      hangings.set(tier, (known = { each, all: each.join('|') }));
    }
    return known;
  }
  const placeOf = ({ tray, canopy }: BenchTray) => {
    const { x0, x1, y0, y1 } = plantAreaOf(tray);
    return `${x0.toFixed(4)} ${x1.toFixed(4)} ${y0.toFixed(4)} ${y1.toFixed(4)} ${canopy.toFixed(4)} ${tray.coverId}`;
  };

  /** Straight light at the points of a tray; the same tray under the same lamps is worked out once. */
  function straightAt(tier: BenchTier, tray: BenchTray): Straight {
    const { places, weights } = trayPointsOf(plantAreaOf(tray.tray), tier.lamps);
    const { each, all } = hangingOf(tier);
    const place = placeOf(tray);
    const values = new Float64Array(places.length);
    for (const [i, lamp] of tier.lamps.entries()) {
      // The points depend on all lamps: under each there is one.
      const key = `${place} ${each[i]} ${all}`;
      let own = ofLamp.get(key);
      if (!own) {
        const lights = emittersHung(lamp.real, lamp.fitting, tray.canopy).map(lightOf);
        const through = throughCover(tray.tray);
        own = Float64Array.from(places, ([x, y]) => through * lights.reduce((sum, light) => sum + light(x, y, tray.canopy), 0));
        ofLamp.set(key, own);
      }
      for (let k = 0; k < values.length; k++) values[k]! += own[k]!;
    }
    return { values, weights };
  }
  const meanOf = ({ values, weights }: ReturnType<typeof straightAt>): Ppfd => values.reduce((sum, v, i) => sum + v * weights[i]!, 0);
  const fluxOf = (t: BenchTier): Ppf => t.lamps.reduce((sum, l) => sum + l.real.ppf, 0);

  // The rest of the light, as the mean over each tray that stands there now; for a tray elsewhere as on its new tier.
  const rests = new Map<string, Rest>();
  // That rest is not the same all over a tray: where it comes on top decides whether its strongest spot is within a limit.
  const stretches = new Map<string, Stretch>();
  for (const t of now.tiers) {
    let sum = 0;
    for (const tray of t.trays) {
      const light = answer.tiers[t.tier.id]?.trays[tray.tray.id];
      if (!light) continue;
      const straight = straightAt(t, tray);
      const rest = restBeside(meanOf(straight), light.stats.mean, fluxOf(t));
      const key = `${t.tier.id} ${tray.tray.id}`;
      rests.set(key, rest);
      stretches.set(key, stretchOf(spreadWith(straight, rest, 1), spreadOfMap(light.map, [plantAreaOf(tray.tray)])));
      sum += rest.add / t.trays.length;
    }
    rests.set(t.tier.id, { add: sum, leave: 1, flux: fluxOf(t) });
  }

  const facesOf = (t: BenchTier) => Object.values(t.tier.enclosure.faces).join();
  const nowFaces = new Map(now.tiers.map((t) => [t.tier.id, facesOf(t)]));
  const lined = new Map<string, ReadonlyMap<string, Rest>>();
  /** What comes from sides and other tiers; sides of another material are worked out in full once, and the spill stays as it is. */
  function restOf(t: BenchTier, trayId: string): Rest {
    const known = rests.get(`${t.tier.id} ${trayId}`) ?? rests.get(t.tier.id) ?? { add: 0, leave: 1, flux: 0 };
    if (facesOf(t) === nowFaces.get(t.tier.id)) return known;
    const key = `${t.tier.id} ${facesOf(t)}`;
    let of = lined.get(key);
    if (!of) lined.set(key, (of = restsBetween(t)));
    return of.get(trayId) ?? known;
  }
  function restsBetween(t: BenchTier): ReadonlyMap<string, Rest> {
    const question = { tiers: [askedTier(t)], view: null, cell: 0.02, sliceCell: 0.02, only: null, spill: true };
    const alone = answerBench(question).tiers[t.tier.id]!;
    return new Map(
      t.trays.map((y) => {
        const was = answer.tiers[t.tier.id]?.trays[y.tray.id];
        const mean = alone.trays[y.tray.id]!.stats.mean + (was ? was.spillShare * was.stats.mean : 0);
        return [y.tray.id, restBeside(meanOf(straightAt(t, y)), mean, fluxOf(t))] as const;
      }),
    );
  }

  return (tier, tray) => {
    const key = `${tier.tier.id} ${tray.tray.id} ${facesOf(tier)} ${placeOf(tray)} ${hangingOf(tier).all}`;
    const known = spreads.get(key);
    if (known) return known;
    const rest = restOf(tier, tray.tray.id);
    const times = rest.flux > 0 ? fluxOf(tier) / rest.flux : 1;
    const spread = stretched(spreadWith(straightAt(tier, tray), rest, times), stretches.get(`${tier.tier.id} ${tray.tray.id}`));
    spreads.set(key, spread);
    return spread;
  };
}

interface Straight {
  readonly values: Float64Array;
  readonly weights: Float64Array;
}

/** Straight light with the rest of the light of lamps that are so many times as strong by now. */
const spreadWith = ({ values, weights }: Straight, { add, leave }: Rest, times: number): LightSpread =>
  spreadOf(
    values.map((v) => v * leave + add * times),
    weights,
    NINE_AMONG_POINTS,
  );

/** How many times as far from the mean the ends of a tray are as a quick look has them. */
interface Stretch {
  readonly below: Share;
  readonly above: Share;
}

/** A quick look is never off by more; where it says so the light is all but even. */
const MOST_STRETCH = 1.5; // our choice

function stretchOf(quick: LightSpread, engine: LightSpread): Stretch {
  const times = (is: Ppfd, looks: Ppfd) => (looks > 0 ? Math.min(MOST_STRETCH, Math.max(1 / MOST_STRETCH, is / looks)) : 1);
  return {
    below: times(engine.mean - engine.weakest, quick.mean - quick.weakest),
    above: times(engine.strongest - engine.mean, quick.strongest - quick.mean),
  };
}

const stretched = (light: LightSpread, stretch: Stretch | undefined): LightSpread =>
  stretch ? mapped(light, (v) => Math.max(0, light.mean + (v < light.mean ? stretch.below : stretch.above) * (v - light.mean))) : light;

/** What there is beside the straight light of lamps of so much flux: what comes on top, or the part of it that neighbours leave. */
interface Rest {
  readonly add: Ppfd;
  readonly leave: Share;
  readonly flux: Ppf;
}

const restBeside = (straight: Ppfd, all: Ppfd, flux: Ppf): Rest =>
  all < straight ? { add: 0, leave: all / straight, flux } : { add: all - straight, leave: 1, flux };
