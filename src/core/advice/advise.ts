import type { BenchAnswer } from '../bench/BenchQuestion';
import { tables } from '../library/tables';
import { createRecall } from '../light/scene/Recall';
import type { Share } from '../quantities';
import { benchStandOf, type BenchStand } from '../stand/benchStand';
import { faultsOf, type Fault } from '../stand/faults';
import { rememberTiers } from '../stand/rememberTiers';
import type { Site } from '../stand/Site';
import { applyMove } from './applyMove';
import { costOf, effectOf, lightAfter, lightOfAnswer, worstOf, type Effect } from './Effect';
import { missOf } from './missOf';
import { EFFORT_min, type Move } from './Move';
import { movesFor, traysIn, type Scope } from './movesFor';
import { roughJudge } from './roughLight';

/** What advice is asked about; plain data, so that it can be asked of a worker. */
export interface AdviceQuestion {
  readonly site: Site;
  readonly standId: string;
  readonly scope: Scope;
  /** The light of the stand as it is. */
  readonly answer: BenchAnswer;
}

/** One to three moves, and what they would do. */
export interface Offer {
  readonly moves: readonly Move[];
  readonly after: Effect;
  readonly effort_min: number;
  /** A lamp is needed that the person does not have. */
  readonly toBuy: boolean;
}

/** Why nothing helps: the weakest spot, with the lamps as near and the day as long as may be, over the least that is asked. */
export interface Insufficient {
  readonly trayId: string;
  readonly share: Share;
}

export interface Advice {
  readonly before: Effect;
  /** The tray in question that fares worst now: the one whose doses `weakest` and `strongest` are. */
  readonly worstTrayId: string | null;
  readonly offers: readonly Offer[];
  readonly judged: number;
  readonly insufficient: Insufficient | null;
}

/** Told from time to time how many moves have been judged; an answer of false ends the search. */
export type Progress = (judged: number) => boolean | Promise<boolean>;

/** Called off by the person; known by its message, since errors lose their class between threads. */
export const CALLED_OFF = 'called off';

/** How much better a combination must be than the best of its parts, and a move than nothing, to be worth the words. */
const WORTH = 0.02;
/** What a minute of work and a tenth more of cost weigh against the miss. */
const PER_MINUTE = 0.003;
/** A lamp that has to be bought weighs as much as an hour of work. */
const TO_BUY = 60 * PER_MINUTE;
const PER_TENTH_OF_COST = 0.01;

interface Tried {
  readonly moves: readonly Move[];
  readonly site: Site;
  readonly stand: BenchStand;
  readonly miss: number;
  readonly score: number;
}

/**
 * Looks for what would help: judges every single move roughly, puts the best together by twos and threes, and works the best
 * of all out in full. Moves that would set up something wrong are not offered: leaves in the heat, trays over the edge, hours
 * beyond what the crops bear or into the household's quiet.
 */
export async function advise({ site, standId, scope, answer }: AdviceQuestion, progress: Progress = () => true): Promise<Advice> {
  const look = rememberTiers();
  const standIn = (s: Site): BenchStand =>
    benchStandOf(
      s,
      s.stands.find((x) => x.id === standId)!,
      tables,
      look,
    );
  const now = standIn(site);
  const rough = roughJudge(now, answer);
  const trayIds = traysIn(now, scope);
  const others = new Set(now.tiers.flatMap((t) => t.trays.map((y) => y.tray.id)).filter((id) => !trayIds.has(id)));
  const roughNow = rough(now);
  const otherMiss = missOf(now, roughNow, others);
  const faults = new Set(faultsOf(now).map(keyOf));
  const cost = costOf(now, site);
  let judged = 0;

  async function tryOut(moves: readonly Move[], from: Site): Promise<Tried | null> {
    if (++judged % 40 === 0 && !(await progress(judged))) throw new Error(CALLED_OFF);
    const next = applyMove(from, moves[moves.length - 1]!);
    const stand = standIn(next);
    if (faultsOf(stand).some((f) => !faults.has(keyOf(f)))) return null;
    const fares = rough(stand);
    // What helps these must not harm the others.
    const harm = others.size > 0 ? Math.max(0, missOf(stand, fares, others) - otherMiss) : 0;
    const miss = missOf(stand, fares, trayIds) + 2 * harm;
    const dearer = cost > 0 ? costOf(stand, next) / cost - 1 : 0;
    return { moves, site: next, stand, miss, score: miss + troubleOf(moves, site) + PER_TENTH_OF_COST * 10 * dearer };
  }

  const start = missOf(now, roughNow, trayIds);
  const singles: Tried[] = [];
  for (const move of movesFor(site, now, scope)) {
    const tried = await tryOut([move], site);
    if (tried) singles.push(tried);
  }
  singles.sort((a, b) => a.score - b.score);
  const helpful = singles.filter((s) => s.miss < start - WORTH);
  const pairs = await together(spreadOut(helpful, 10), spreadOut(singles, 26), tryOut);
  const triples = await together(pairs.slice(0, 6), spreadOut(helpful.length > 0 ? singles : [], 14), tryOut);

  const chosen = choose(helpful, pairs, triples, start);
  const recall = createRecall(512);
  const before = effectOf(now, site, lightOfAnswer(answer), trayIds);
  const offers: Offer[] = [];
  for (const c of chosen) {
    if (!(await progress(judged))) throw new Error(CALLED_OFF);
    const after = effectOf(c.stand, c.site, lightAfter(now, answer, c.stand, recall), trayIds);
    if (after.miss < before.miss - WORTH)
      offers.push({ moves: c.moves, after, effort_min: effortOf(c.moves), toBuy: isToBuy(c.moves, site) });
  }
  const priceOf = (o: Offer) => o.after.miss + troubleOf(o.moves, site);
  offers.sort((a, b) => priceOf(a) - priceOf(b));
  const best = offers[0]?.after ?? before;
  return { before, worstTrayId: worstOf(now, before.fares, trayIds), offers, judged, insufficient: insufficiencyOf(now, best, trayIds) };
}

const effortOf = (moves: readonly Move[]): number => moves.reduce((sum, m) => sum + EFFORT_min[m.do], 0);
const isToBuy = (moves: readonly Move[], site: Site): boolean =>
  moves.some((m) => m.do === 'swap-lamp' && !site.lamps.some((l) => l.id === m.lampId));
/** What the work and a purchase weigh against the miss. */
const troubleOf = (moves: readonly Move[], site: Site): number => PER_MINUTE * effortOf(moves) + (isToBuy(moves, site) ? TO_BUY : 0);

/** Moves of different kinds on different things, the best first. */
function spreadOut(tried: readonly Tried[], most: number): Tried[] {
  const counts = new Map<string, number>();
  const out: Tried[] = [];
  for (const t of tried) {
    const key = kindOf(t.moves[t.moves.length - 1]!);
    const n = counts.get(key) ?? 0;
    if (n >= 3) continue;
    counts.set(key, n + 1);
    out.push(t);
    if (out.length === most) break;
  }
  return out;
}

const aboutOf = (m: Move): string =>
  'tierId' in m && m.do !== 'tray-to-tier' ? m.tierId : 'trayId' in m ? m.trayId : m.do === 'hours' ? m.programmeId : '';
const kindOf = (m: Move): string => `${m.do} ${aboutOf(m)}`;

/** Each of the first with each of the second that is of another kind. */
async function together(
  first: readonly Tried[],
  second: readonly Tried[],
  tryOut: (moves: readonly Move[], from: Site) => Promise<Tried | null>,
): Promise<Tried[]> {
  const out: Tried[] = [];
  const seen = new Set<string>();
  for (const a of first)
    for (const b of second) {
      const move = b.moves[0]!;
      if (a.moves.some((m) => kindOf(m) === kindOf(move) || clash(m, move))) continue;
      const key = [...a.moves, move].map((m) => JSON.stringify(m)).sort().join(); // prettier-ignore
      if (seen.has(key)) continue;
      seen.add(key);
      const tried = await tryOut([...a.moves, move], a.site);
      if (tried && tried.miss < Math.min(a.miss, b.miss) - WORTH) out.push(tried);
    }
  return out.sort((a, b) => a.score - b.score);
}

/** Moves that name places of the same tray or lamps cannot be put together. */
const TRAY_MOVES = new Set<Move['do']>(['shift-tray', 'swap-trays', 'tray-to-tier', 'turn-tray']);
const LAMP_MOVES = new Set<Move['do']>(['add-lamp', 'swap-lamp', 'gap']);
const clash = (a: Move, b: Move): boolean =>
  (TRAY_MOVES.has(a.do) && TRAY_MOVES.has(b.do)) || (LAMP_MOVES.has(a.do) && LAMP_MOVES.has(b.do));

/** The best of each kind, and the best combinations that are worth their trouble. */
function choose(singles: readonly Tried[], pairs: readonly Tried[], triples: readonly Tried[], start: number): Tried[] {
  const kinds = new Map<string, Tried>();
  for (const s of singles) {
    const kind = s.moves[0]!.do;
    const about = s.moves[0]!.do === 'swap-lamp' ? 'swap-lamp' : `${kind} ${aboutOf(s.moves[0]!)}`;
    if (!kinds.has(about)) kinds.set(about, s);
  }
  const one = [...kinds.values()].slice(0, 6);
  const bestOne = one[0]?.miss ?? start;
  // Many combinations differ by a centimetre: of each make-up the best.
  const make = (t: Tried) => t.moves.map(kindOf).sort().join();
  const distinct = (list: readonly Tried[]) => [...new Map([...list].reverse().map((t) => [make(t), t])).values()].reverse();
  const two = distinct(pairs.filter((p) => p.miss < bestOne - WORTH)).sort((a, b) => a.score - b.score).slice(0, 3); // prettier-ignore
  const bestTwo = two[0]?.miss ?? bestOne;
  const three = distinct(triples.filter((t) => t.miss < bestTwo - WORTH)).sort((a, b) => a.score - b.score).slice(0, 2); // prettier-ignore
  return [...three, ...two, ...one];
}

const keyOf = (f: Fault): string => `${f.why} ${f.thingId} ${'trayId' in f ? f.trayId : ''} ${'otherId' in f ? f.otherId : ''}`;

/** The tray that stays farthest from enough even with the best that was found; null when all get enough. */
function insufficiencyOf(stand: BenchStand, best: Effect, trayIds: ReadonlySet<string>): Insufficient | null {
  const stages = new Map(stand.tiers.flatMap((t) => t.trays.map((y) => [y.tray.id, y.stage] as const)));
  let least: Insufficient | null = null;
  for (const f of best.fares) {
    if (!trayIds.has(f.trayId)) continue;
    const share = f.weakest / stages.get(f.trayId)!.dliMin;
    if (share < 0.97 && (!least || share < least.share)) least = { trayId: f.trayId, share };
  }
  return least;
}
