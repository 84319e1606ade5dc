import type { Tables } from '../../things/tables/Tables';
import type { LightSpread } from '../../judge/dli/LightSpread';
import type { Metres, Share } from '../../units/quantities';
import { benchStandOf, type BenchStand, type BenchTier } from '../../answer/stand/benchStand';
import { faultsOf, makesWorse } from '../../answer/faults/faults';
import { createSunCache, litByWindow } from '../../answer/daylight/litByWindow';
import { rememberTiers } from '../../answer/stand/rememberTiers';
import type { Site } from '../../site/stand/Site';
import { isWorse } from '../../judge/verdict/hardLimits';
import type { AdviceQuestion } from './AdviceQuestion';
import { applyMoves, canMove } from './applyMove';
import { costOf, effectOf, lossOfAll, trayResultOf, resultsOf, type Effect, type TrayResult, uniformityOf } from './Effect';
import { aboutOf, isStructural, kindOf, type Move } from './Move';
import { dimsOf, hoursOf, liftsOf, traysIn } from './movesFor';
import { quickLight } from './quickLight';
import { troubleOf } from './trouble';

/** Some moves, and what they are worth by the quick light: the loss of the trays in question, harm to others, trouble and cost. */
export interface Tried {
  readonly moves: readonly Move[];
  readonly loss: number;
  readonly score: number;
}

/** One height and one day of a tier by the quick light. */
export interface QuickSetting extends Tried {
  readonly shareInBand: Share;
  readonly uniformity: Share;
  readonly costPerMonth: number;
}

/** Judges changes of a site against the site as it is. */
export interface Judge {
  readonly now: BenchStand;
  readonly trayIds: ReadonlySet<string>;
  /** As the engine has it. */
  readonly before: Effect;
  /** The site as it is, by the quick light. */
  readonly start: Tried;
  standIn(site: Site): BenchStand;
  /** A site after some moves, each tray in the daylight of its new place. */
  moved(moves: readonly Move[]): Site;
  judged(): number;
  /** Null where it may not be. */
  tryOut(moves: readonly Move[]): Tried | null;
  /** Some moves with the heights and hours that suit them best: of heights alone, hours alone and both together the best. */
  tune(moves: readonly Move[], grain: Grain): readonly Tried[];
  /** Every height of the lamps of a tier, and every setting of their dimmers, with every day of its timer that may be. */
  settings(tierId: string): readonly QuickSetting[];
  /** The same again in the finest steps about what was found. */
  finish(found: Tried): Tried;
  /** The moves that bring the weakest spot of a tray nearest to enough, of all that were judged; null: nothing was better than now. */
  brightestFor(trayId: string): readonly Move[] | null;
  /** Whether no tray's limit is broken that was kept, or more deeply than now. */
  allows(before: readonly TrayResult[], after: readonly TrayResult[]): boolean;
  harmOf(before: readonly TrayResult[], after: readonly TrayResult[]): number;
  dearness(costPerMonth: number): number;
}

const PER_TENTH_OF_COST = 0.01;
/** Other trays must not pay for it: what they lose counts double. */
const HARM = 2;
/** More is not done at once. */
const MOST_MOVES = 4;
/** How finely heights and hours are looked through: at a glance, one after the other, or in the finest steps about what was found. */
export type Grain = 'glance' | 'coarse' | 'fine';
const STEPS: Readonly<Record<Grain, { readonly lift: Metres; readonly lit_min: number }>> = {
  glance: { lift: 0.06, lit_min: 60 },
  coarse: { lift: 0.02, lit_min: 30 },
  fine: { lift: 0.005, lit_min: 15 },
};

export function judgeOf({ site, standId, scope, answer, day }: AdviceQuestion, tables: Tables): Judge {
  const look = rememberTiers();
  const suns = createSunCache();
  const standIn = (s: Site): BenchStand =>
    benchStandOf(
      s,
      s.stands.find((x) => x.id === standId)!,
      tables,
      look,
    );
  const now = standIn(site);
  const light = quickLight(now, answer);
  const trayIds = traysIn(now, scope);
  const faults = faultsOf(now);
  const cost = costOf(now, site);
  let judged = 0;

  const allows: Judge['allows'] = (before, after) => {
    const was = new Map(before.map((r) => [r.trayId, r.breaches]));
    return after.every((r) => !isWorse(was.get(r.trayId) ?? [], r.breaches));
  };
  const harmOf: Judge['harmOf'] = (before, after) => {
    const was = new Map(before.map((r) => [r.trayId, r.loss]));
    const others = after.filter((r) => !trayIds.has(r.trayId));
    return others.reduce((sum, r) => sum + HARM * Math.max(0, r.loss - (was.get(r.trayId) ?? 0)), 0);
  };
  // Against what the stand costs now, whatever the currency.
  const dearness = (costPerMonth: number) => (cost > 0 ? 10 * PER_TENTH_OF_COST * (costPerMonth / cost - 1) : 0);

  type Lights = ReadonlyMap<string, LightSpread>;
  // Tiers that stay as they are keep their results.
  const known = new Map<BenchTier, readonly TrayResult[]>();
  const lightsOf = (stand: BenchStand): Lights =>
    new Map(stand.tiers.filter((t) => !known.has(t)).flatMap((t) => t.trays.map((y) => [y.tray.id, light(t, y)] as const)));
  const resultsWith = (stand: BenchStand, lights: Lights): TrayResult[] =>
    stand.tiers.flatMap((t) => known.get(t) ?? t.trays.map((y) => trayResultOf(y, lights.get(y.tray.id) ?? light(t, y))));
  const quickBefore = resultsWith(now, lightsOf(now));
  const before = new Map(quickBefore.map((r) => [r.trayId, r]));
  for (const t of now.tiers) known.set(t, t.trays.map((y) => before.get(y.tray.id)!)); // prettier-ignore
  const stages = new Map(now.tiers.flatMap((t) => t.trays.map((y) => [y.tray.id, y.stage] as const)));
  const brightest = new Map<string, { share: number; moves: readonly Move[] }>();

  function weigh(moves: readonly Move[], stand: BenchStand, lights: Lights): Tried | null {
    judged++;
    const results = resultsWith(stand, lights);
    if (!allows(quickBefore, results)) return null;
    for (const r of results) {
      const share = r.weakest / stages.get(r.trayId)!.dliMin;
      if (share > (brightest.get(r.trayId)?.share ?? 0) + 1e-6) brightest.set(r.trayId, { share, moves });
    }
    const loss = lossOfAll(results.filter((r) => trayIds.has(r.trayId))) + harmOf(quickBefore, results);
    return { moves, loss, score: loss + troubleOf(moves, site, tables) + dearness(costOf(stand, site)) };
  }

  /** The stand after some moves; null where something would be wrong with it that is not now. */
  function soundAfter(moves: readonly Move[]): { stand: BenchStand; site: Site } | null {
    const next = applyMoves(site, moves, tables);
    const stand = standIn(next);
    return makesWorse(faults, faultsOf(stand)) ? null : { stand, site: next };
  }

  const tryOut: Judge['tryOut'] = (moves) => {
    const sound = soundAfter(moves);
    return sound ? weigh(moves, sound.stand, lightsOf(sound.stand)) : null;
  };

  /** The tiers whose lamps shine on the trays in question, or that the moves touch. */
  function tiersToTune(moves: readonly Move[], stand: BenchStand): readonly BenchTier[] {
    const about = new Set(moves.flatMap((m) => [aboutOf(m), 'tierId' in m ? m.tierId : '', 'otherId' in m ? m.otherId : '']));
    const touched = stand.tiers.filter((t) => about.has(t.tier.id) || t.trays.some((y) => about.has(y.tray.id)));
    const asked = stand.tiers.filter((t) => t.trays.some((y) => trayIds.has(y.tray.id)));
    const tiers = moves.length > 0 && scope.of === 'stand' ? touched : [...new Set([...asked, ...touched])];
    return tiers.filter((t) => t.lamps.length > 0);
  }

  /** @param about  only lifts about this one; null: all that there are */
  function tuned(moves: readonly Move[], grain: Grain, about: Metres | null): readonly Tried[] {
    const from = applyMoves(site, moves, tables);
    const stand = standIn(from);
    const best = new Map<string, Tried>();
    const keep = (tried: Tried | null) => {
      if (!tried || tried.moves.length === 0) return;
      const make = tried.moves.map(kindOf).join();
      if (tried.score < (best.get(make)?.score ?? Infinity)) best.set(make, tried);
    };
    let so: readonly Move[] = moves;
    // Several tiers one after the other, each from the best so far.
    for (const tier of tiersToTune(moves, stand)) {
      const lifts = liftsOf(tier, STEPS[grain].lift, about);
      const hangs = lifts.map((lift): Move => ({ do: 'hang', tierId: tier.tier.id, lift })).filter((m) => canMove(from, m));
      const hours = hoursOf(tier.timer, stand, from).filter((h) => h.lit_min % STEPS[grain].lit_min === 0);
      for (const hang of [null, ...hangs]) {
        const hung = hang ? [...so.filter((m) => m.do === 'hours' || kindOf(m) !== kindOf(hang)), hang] : so;
        const sound = hung.length > MOST_MOVES ? null : soundAfter(hung);
        if (!sound) continue;
        const lights = lightsOf(sound.stand);
        keep(weigh(hung, sound.stand, lights));
        for (const h of hours) {
          const both = [...hung.filter((m) => kindOf(m) !== kindOf(h)), h];
          if (both.length <= MOST_MOVES) keep(weigh(both, atHours(sound.stand, h), lights));
        }
      }
      so = [...best.values()].reduce<Tried | null>((a, b) => (a && a.score <= b.score ? a : b), null)?.moves ?? so;
    }
    return [...best.values()];
  }

  return {
    now,
    trayIds,
    before: effectOf(now, site, resultsOf(now, answer), trayIds),
    start: weigh([], now, lightsOf(now))!,
    standIn,
    moved(moves) {
      const next = applyMoves(site, moves, tables);
      return day === undefined ? next : litByWindow(next, day, tables, suns);
    },
    judged: () => judged,
    tryOut,
    tune: (moves, grain) => tuned(moves, grain, null),
    brightestFor: (trayId) => brightest.get(trayId)?.moves ?? null,
    settings(tierId) {
      const tier = now.tiers.find((t) => t.tier.id === tierId)!;
      const hours = hoursOf(tier.timer, now, site);
      const hangs = liftsOf(tier).map((lift): Move => ({ do: 'hang', tierId, lift })).filter((m) => canMove(site, m)); // prettier-ignore
      const set = [null, ...dimsOf(tier)].map((dim) => (dim ? [dim] : [])).filter((m) => m.every((d) => canMove(site, d)));
      const placed = [null, ...hangs].flatMap((hang) => set.map((dims): Move[] => (hang ? [hang, ...dims] : dims)));
      return placed.flatMap((hung) => {
        const sound = soundAfter(hung);
        if (!sound) return [];
        const lights = lightsOf(sound.stand);
        return [null, ...hours].flatMap((h): QuickSetting[] => {
          const moves = h ? [...hung, h] : hung;
          const stand = h ? atHours(sound.stand, h) : sound.stand;
          const tried = moves.length > 0 ? weigh(moves, stand, lights) : null;
          if (!tried) return [];
          const { shareInBand, costPerMonth, results } = effectOf(stand, site, resultsWith(stand, lights), trayIds);
          const own = results.filter((r) => trayIds.has(r.trayId));
          const uniformity = uniformityOf(own);
          return [{ ...tried, shareInBand, costPerMonth, uniformity }];
        });
      });
    },
    finish(found) {
      const hang = found.moves.find((m) => m.do === 'hang');
      if (!hang || hang.do !== 'hang') return found;
      const make = (t: Tried) => [...t.moves.map(kindOf)].sort().join();
      const finer = tuned(found.moves.filter(isStructural), 'fine', hang.lift).filter((t) => make(t) === make(found));
      return [found, ...finer].reduce((a, b) => (b.score < a.score ? b : a));
    },
    allows,
    harmOf,
    dearness,
  };
}

/** A stand with other hours on one of its timers; nothing else of it changes. */
function atHours(stand: BenchStand, { timerId, on_min, lit_min }: Extract<Move, { do: 'hours' }>): BenchStand {
  const tiers = stand.tiers.map((t) =>
    t.timer.id === timerId
      ? {
          ...t,
          timer: { ...t.timer, on_min, lit_min },
          hours: lit_min / 60,
          day: { ...t.day, on_min, lit_min },
          trays: t.trays.map((y) => ({ ...y, day: { ...y.day, on_min, lit_min } })),
        }
      : t,
  );
  return { ...stand, tiers };
}
