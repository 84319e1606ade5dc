import type { Treatment } from '../../judge/clinic/Cause';
import type { Tables } from '../../things/tables/Tables';
import type { Share } from '../../units/quantities';
import { createCache } from '../../light/scene/Cache';
import type { AdviceQuestion } from '../advice/AdviceQuestion';
import { effectOf, engineAnswer, resultsOf, type TrayResult } from '../advice/Effect';
import { judgeOf, type Tried } from '../advice/judgeOf';
import type { Move } from '../advice/Move';
import { hoursOf, liftsOf, movesFor } from '../advice/movesFor';

/** A treatment that is a change of the plan, worked out with the whole stand. */
export interface PlanMend {
  readonly treatment: Treatment;
  readonly move: Move;
  readonly before: TrayResult;
  readonly after: TrayResult;
}

/** Asked about one tray. */
export type MendQuestion = AdviceQuestion & { readonly scope: { readonly of: 'tray'; readonly id: string } };

/** How much better it must be to be worth the words: as for advice. */
const WORTH = 0.02;

const SO_MUCH_LEFT = 0.97;
/** A dose of the tray that is ill changes by at least such a share: no plant shows less. Our choice. */
const SEEN: Share = 0.1;

const isSeen = (before: TrayResult, after: TrayResult): boolean =>
  (['weakest', 'mean', 'strongest'] as const).some((k) => Math.abs(after[k] - before[k]) >= SEEN * before[k]);

/** Of the best by the quick estimate so many are worked out, until one stands. */
const WORKED_OUT = 3;

/** Which moves a treatment may be done by. */
function fits(treatment: Treatment, move: Move): boolean {
  switch (treatment) {
    case 'add-lamp':
      return move.do === 'add-lamp';
    case 'spread-lamps':
      return move.do === 'gap' || move.do === 'shift';
    case 'replace-lamp':
    case 'change-spectrum':
      return move.do === 'swap-lamp';
    case 'rotate':
      return move.do === 'turn-tray' || move.do === 'swap-trays';
    case 'move-to-centre':
    case 'move-from-centre':
      return move.do === 'shift-tray';
    case 'light-other-side':
      return move.do === 'line';
    default:
      return false;
  }
}

/**
 * Of the treatments of a tray those that are a change of the plan: each with the move that helps most, what the tray gets now and what
 * it would get. None breaks a limit of any tray, or makes anything wrong that is not.
 */
export function mendsByPlan(question: MendQuestion, treatments: readonly Treatment[], tables: Tables): PlanMend[] {
  const { site, scope } = question;
  const judge = judgeOf(question, tables);
  const tier = judge.now.tiers.find((t) => t.trays.some((y) => y.tray.id === scope.id));
  const before = judge.before.results.find((r) => r.trayId === scope.id);
  if (!tier || !before) return [];
  const structural = movesFor(site, judge.now, scope);
  const cache = createCache(256);
  const candidates = (treatment: Treatment): Move[] => {
    const hang = (up: boolean): Move[] =>
      liftsOf(tier)
        .filter((lift) => (up ? lift > 1e-6 : lift < -1e-6))
        .map((lift) => ({ do: 'hang', tierId: tier.tier.id, lift }));
    const hours = (more: boolean): Move[] =>
      hoursOf(tier.timer, judge.now, site).filter((m) => (more ? m.lit_min > tier.timer.lit_min : m.lit_min < tier.timer.lit_min));
    switch (treatment) {
      case 'lower-lamp':
        return hang(false);
      case 'raise-lamp':
        return hang(true);
      case 'add-hours':
        return hours(true);
      case 'fewer-hours':
        return hours(false);
      default:
        return structural.filter((m) => fits(treatment, m));
    }
  };
  /** By the engine; null where it turns out to be of no use, or not allowed. */
  function workedOut(treatment: Treatment, { moves }: Tried): PlanMend | null {
    const next = judge.moved(moves);
    const stand = judge.standIn(next);
    const results = resultsOf(stand, engineAnswer(stand, cache));
    const effect = effectOf(stand, next, results, judge.trayIds);
    const after = results.find((r) => r.trayId === scope.id);
    // Of what is hardly changed nobody wants to read.
    const isBetter =
      effect.loss < SO_MUCH_LEFT * judge.before.loss &&
      judge.before.loss - effect.loss - judge.harmOf(judge.before.results, results) > WORTH;
    const isAllowed = judge.allows(judge.before.results, results);
    return after && isSeen(before!, after) && isBetter && isAllowed ? { treatment, move: moves[0]!, before: before!, after } : null;
  }
  return treatments.flatMap((treatment): PlanMend[] => {
    const tried = candidates(treatment).flatMap((move) => judge.tryOut([move]) ?? []);
    const best = tried.filter((t) => t.loss < judge.start.loss).sort((a, b) => a.loss - b.loss);
    for (const one of best.slice(0, WORKED_OUT)) {
      const mend = workedOut(treatment, one);
      if (mend) return [mend];
    }
    return [];
  });
}
