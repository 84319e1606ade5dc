import { createCache, type Cache } from '../../light/scene/Cache';
import type { Metres, Share } from '../../units/quantities';
import { overLeavesOf, type BenchStand } from '../../answer/stand/benchStand';
import type { Tables } from '../../things/tables/Tables';
import type { Site } from '../../site/stand/Site';
import type { AdviceQuestion } from './AdviceQuestion';
import { applyMoves, canMove } from './applyMove';
import { effectOf, engineAnswer, resultsOf, worstOf, type Effect } from './Effect';
import { judgeOf, type Judge, type Tried } from './judgeOf';
import { aboutOf, idOf, isStructural, kindOf, type Move } from './Move';
import { hoursOf, liftsOf, movesFor } from './movesFor';
import { effortOf, isToBuy, troubleOf } from './trouble';
import { withoutIdleMoves, WORTH } from './withoutIdleMoves';

/** One to four moves, and what they would do, as the engine has it. */
export interface Offer {
  /** The same for the same moves. */
  readonly id: string;
  readonly moves: readonly Move[];
  readonly after: Effect;
  readonly effort_min: number;
  /** Lamps are needed that do not lie in the cupboard. */
  readonly toBuy: boolean;
  /** Of each tier whose lamps go up or down: how far the lowest is above the tallest leaves, now and then. */
  readonly hung: readonly HungAnew[];
}

interface HungAnew {
  readonly tierId: string;
  readonly was: Metres;
  readonly is: Metres;
}

/** Why nothing helps: the weakest spot of a tray at best, of all that was found, over the least that it needs. */
export interface Insufficient {
  readonly trayId: string;
  readonly share: Share;
}

export interface Advice {
  readonly before: Effect;
  /** The tray in question that is farthest from right now: by its doses offers are told. */
  readonly worstTrayId: string | null;
  readonly offers: readonly Offer[];
  readonly judged: number;
  /** The tray that stays short with every offer, and with lamps as near and days as long as may be; null when each can get enough. */
  readonly insufficient: Insufficient | null;
}

/** Told from time to time how many moves have been judged; an answer of false ends the search. */
export type Progress = (judged: number) => boolean | Promise<boolean>;

/** Called off by the person; known by its message, since errors lose their class between threads. */
export const CALLED_OFF = 'called off';

/** So many of the best are put together by twos, and so many are worked out by the engine. */
const KEPT = 8;
const PARTNERS = 14;
/** Of the single moves so many are looked at with every height and hour, and of the pairs as many as are kept. */
const TUNED = 16;
const SHOWN = 8;

/**
 * Looks for what would help: every single move, each with the height and hours that suit it best, then the best put together
 * by twos and tuned again, so that what is right only together with something else is found too; and the best of all worked out
 * by the engine with the whole stand.
 *
 * Nothing is offered that breaks a limit of any tray or breaks it more deeply than now, that makes something wrong or more wrong
 * with the stand, or that cannot be done.
 *
 * Held against every combination on small stands in exhaustive.test.ts.
 */
export async function advise(question: AdviceQuestion, tables: Tables, progress: Progress = () => true): Promise<Advice> {
  const { site, scope } = question;
  const judge = judgeOf(question, tables);
  const { now, trayIds, before } = judge;
  let told = 0;
  const breathe = async () => {
    if (judge.judged() - told < 40) return;
    told = judge.judged();
    if (!(await progress(told))) throw new Error(CALLED_OFF);
  };

  const tried: Tried[] = [...judge.tune([], scope.of === 'stand' ? 'coarse' : 'fine')];
  for (const move of movesFor(site, now, scope)) {
    const alone = judge.tryOut([move]);
    if (alone) tried.push(alone);
    tried.push(...judge.tune([move], 'glance'));
    await breathe();
  }
  const structural = (t: Tried) => t.moves.filter(isStructural);
  const singles = tried.filter((t) => structural(t).length === 1);
  for (const t of spreadOut(singles, TUNED)) {
    tried.push(...judge.tune(structural(t), 'coarse'));
    await breathe();
  }
  const partners = spreadOut(singles, PARTNERS).map((t) => structural(t)[0]!);
  const pairs: Tried[] = [];
  for (const a of spreadOut(
    tried.filter((t) => structural(t).length === 1),
    KEPT,
  ))
    // prettier-ignore
    for (const move of partners) {
      const first = structural(a);
      if (first.some((m) => kindOf(m) === kindOf(move) || clash(m, move))) continue;
      if (!canMove(applyMoves(site, first, tables), move)) continue;
      pairs.push(...judge.tune([...first, move], 'glance'));
      await breathe();
    }
  tried.push(...pairs);
  for (const t of spreadOut(pairs, KEPT)) {
    tried.push(...judge.tune(structural(t), 'coarse'));
    await breathe();
  }

  const cache = createCache(1024);
  const offers: Offer[] = [];
  for (const chosen of choose(tried, judge.start.score)) {
    if (!(await progress(judge.judged()))) throw new Error(CALLED_OFF);
    const { moves } = judge.finish(chosen);
    const next = judge.moved(moves);
    const stand = judge.standIn(next);
    const results = resultsOf(stand, engineAnswer(stand, cache));
    const after = effectOf(stand, next, results, trayIds);
    const better = before.loss - after.loss - judge.harmOf(before.results, results) > WORTH;
    const id = moves.map(idOf).sort().join('+'); // whatever their order
    if (better && judge.allows(before.results, results) && offers.every((o) => o.id !== id))
      offers.push({ id, moves, after, effort_min: effortOf(moves), toBuy: isToBuy(moves, site, tables), hung: hungBy(moves, now, stand) });
  }
  const priceOf = (o: Offer) => o.after.loss + troubleOf(o.moves, site, tables) + judge.dearness(o.after.costPerMonth);
  offers.sort((a, b) => priceOf(a) - priceOf(b));
  const asked = before.results.filter((r) => trayIds.has(r.trayId));
  const all = [before, ...offers.map((o) => o.after), brightest(judge, site, cache)];
  for (const id of trayIds) {
    const moves = judge.brightestFor(id);
    if (moves && insufficiencyOf(now, all, new Set([id]))) all.push(workedOut(judge, moves, cache));
  }
  return {
    before,
    worstTrayId: worstOf(asked)?.trayId ?? null,
    offers: withoutIdleMoves(notBoughtInVain(keepingLimits(offers, trayIds)), (o) => o.after.loss),
    judged: judge.judged(),
    insufficient: insufficiencyOf(now, all, trayIds),
  };
}

function hungBy(moves: readonly Move[], before: BenchStand, after: BenchStand): HungAnew[] {
  const overLeaves = (stand: BenchStand, tierId: string) => overLeavesOf(stand.tiers.find((t) => t.tier.id === tierId)!);
  return moves.flatMap((m) => {
    if (m.do !== 'hang') return [];
    const [was, is] = [overLeaves(before, m.tierId), overLeaves(after, m.tierId)];
    return was === null || is === null || was === is ? [] : [{ tierId: m.tierId, was, is }];
  });
}

/** Where some offers keep all limits of the trays in question, those that still break one are not shown; where none does, none that another outdoes in all. */
function keepingLimits(offers: readonly Offer[], trayIds: ReadonlySet<string>): readonly Offer[] {
  const keeping = offers.filter((o) => o.after.results.every((r) => !trayIds.has(r.trayId) || r.breaches.length === 0));
  return keeping.length > 0 ? keeping : offers.filter((o) => !offers.some((a) => outdoes(a, o)));
}

const outdoes = (a: Offer, b: Offer): boolean =>
  a.after.loss < b.after.loss - WORTH &&
  a.effort_min <= b.effort_min &&
  a.after.costPerMonth <= b.after.costPerMonth + 1e-9 &&
  (!a.toBuy || b.toBuy);

/** Nothing is bought where something that is at hand does as well, and costs no more to run. */
function notBoughtInVain(offers: readonly Offer[]): readonly Offer[] {
  const asGood = (a: Offer, b: Offer) => a.after.loss <= b.after.loss + WORTH && a.after.costPerMonth <= b.after.costPerMonth + 1e-9;
  return offers.filter((o) => !o.toBuy || !offers.some((a) => !a.toBuy && asGood(a, o)));
}

/** Moves that name places of the same tray or lamps cannot be put together. */
const TRAY_MOVES = new Set<Move['do']>(['shift-tray', 'swap-trays', 'tray-to-tier', 'turn-tray']);
const LAMP_MOVES = new Set<Move['do']>(['add-lamp', 'swap-lamp', 'gap']);
const clash = (a: Move, b: Move): boolean =>
  (TRAY_MOVES.has(a.do) && TRAY_MOVES.has(b.do)) || (LAMP_MOVES.has(a.do) && LAMP_MOVES.has(b.do) && aboutOf(a) === aboutOf(b));

/** Moves of different kinds on different things, the best first. */
function spreadOut(tried: readonly Tried[], most: number): Tried[] {
  const counts = new Map<string, number>();
  const out: Tried[] = [];
  for (const t of [...tried].sort((a, b) => a.score - b.score)) {
    const key = t.moves.filter(isStructural).map(kindOf).join();
    const n = counts.get(key) ?? 0;
    if (n >= 2) continue;
    counts.set(key, n + 1);
    out.push(t);
    if (out.length === most) break;
  }
  return out;
}

/** The best of each make-up, simple ones among them. */
function choose(tried: readonly Tried[], start: number): Tried[] {
  const helpful = tried.filter((t) => t.score < start - WORTH).sort((a, b) => a.score - b.score);
  const makes = new Map<string, Tried>();
  for (const t of helpful) {
    // Many differ by a centimetre or by the kind of lamp: of each make-up the best.
    const make = t.moves.map((m) => (m.do === 'swap-lamp' ? m.do : kindOf(m))).sort().join(); // prettier-ignore
    if (!makes.has(make)) makes.set(make, t);
  }
  const worth = withoutIdleMoves([...makes.values()], (t) => t.loss);
  const simple = worth.filter((t) => t.moves.length === 1).slice(0, 4);
  return [...new Set([...worth.slice(0, SHOWN), ...simple])];
}

/** What the trays get with the lamps of each tier as near and the days of each timer as long as may be. */
function brightest(judge: Judge, site: Site, cache: Cache): Effect {
  let moves: readonly Move[] = [];
  const allowed = (more: Move) => judge.tryOut([...moves, more]) !== null;
  for (const tier of judge.now.tiers) {
    const longest = hoursOf(tier.timer, judge.now, site).findLast((h) => h.lit_min > tier.timer.lit_min && allowed(h));
    if (longest && moves.every((m) => m.do !== 'hours' || m.timerId !== longest.timerId)) moves = [...moves, longest];
    const lowest = liftsOf(tier)
      .filter((lift) => lift < 0)
      .map((lift): Move => ({ do: 'hang', tierId: tier.tier.id, lift }))
      .find((m) => canMove(site, m) && allowed(m));
    if (lowest) moves = [...moves, lowest];
  }
  return workedOut(judge, moves, cache);
}

/** What some moves do, as the engine has it. */
function workedOut(judge: Judge, moves: readonly Move[], cache: Cache): Effect {
  const next = judge.moved(moves);
  const stand = judge.standIn(next);
  return effectOf(stand, next, resultsOf(stand, engineAnswer(stand, cache)), judge.trayIds);
}

/** The tray that stays farthest from enough with the best of all that was found for it; null when each can get enough. */
function insufficiencyOf(stand: BenchStand, effects: readonly Effect[], trayIds: ReadonlySet<string>): Insufficient | null {
  let least: Insufficient | null = null;
  for (const { tray, stage } of stand.tiers.flatMap((t) => t.trays)) {
    if (!trayIds.has(tray.id)) continue;
    const weakest = effects.flatMap((e) => e.results.filter((r) => r.trayId === tray.id).map((r) => r.weakest));
    const share = Math.max(...weakest) / stage.dliMin;
    if (share < 1 && (!least || share < least.share)) least = { trayId: tray.id, share };
  }
  return least;
}
