import type { TierLight } from '../../answer/bench/BenchQuestion';
import { scaled, type LightSpread } from '../../judge/dose/LightSpread';
import { lossOf } from '../../judge/verdict/loss';
import { dimmingsOf, type Dimming } from '../../site/ownLamps/dimmings';
import type { BenchTier } from '../../answer/stand/benchStand';
import type { Share } from '../../units/quantities';
import { powerOf, servedBy, type StandTimer } from './servedBy';
import { bestTimes, fareOn, solveTimer, type Served, type TimerAnswer, type TimerRules } from './solveTimer';

/** Times of a timer together with the dimmers of its tiers. */
export interface DimmedTimer {
  readonly answer: TimerAnswer;
  /** Of the tiers whose dimmers are turned; at least one. */
  readonly tiers: readonly { readonly tier: BenchTier; readonly dimming: Dimming }[];
}

/** Light from other tiers lies otherwise on a tray than its own: where it counts, the ends of a dimmed light are so far in doubt. */
const ENDS = 0.02; // a quarter of the light from elsewhere, lamps at a fifth: 1.4 % (dimTimer.test.ts)
const COUNTS: Share = 0.005;

/** The light of a tray with its own lamps so many times as bright; a share of it comes from other tiers and stays. */
function dimmed(light: LightSpread, by: number, spill: Share): LightSpread {
  const all = scaled(light, by + (1 - by) * spill);
  const doubt = spill > COUNTS ? ENDS : 0;
  return { ...all, weakest: all.weakest * (1 - doubt), strongest: all.strongest * (1 + doubt) };
}

/** As often as all tiers are gone through: the hours that are best for one change with the light of another. */
const ROUNDS = 2;

/**
 * Where no hours serve all trays of a timer: the settings of its tiers' dimmers, and the hours with them, by which more of the trays are in
 * range; null where none does, or no tier can be dimmed. Light from other tiers is not dimmed along.
 *
 * Tier by tier the setting that serves best with the others as they are, the best hours to it each time. Never worse than the best hours
 * alone, and held against every combination of settings in dimTimer.test.ts.
 */
export function dimTimer(
  timer: StandTimer,
  lights: Readonly<Record<string, TierLight>>,
  rules: Omit<TimerRules, 'power'>,
): DimmedTimer | null {
  const served = servedBy(timer, lights);
  const dimmable = timer.tiers
    .map((tier) => ({ tier, dimmings: dimmingsOf(tier.tier.fittings) }))
    .filter(({ tier, dimmings }) => dimmings.length > 1 && tier.trays.some((y) => served.some((s) => s.trayId === y.tray.id)));
  if (dimmable.length === 0) return null;
  const tierOf = new Map(timer.tiers.flatMap((t) => t.trays.map((y) => [y.tray.id, t.tier.id] as const)));
  const spillOf = (trayId: string) => lights[tierOf.get(trayId)!]!.trays[trayId]!.spillShare;
  type Set = ReadonlyMap<string, Dimming>;
  const servedWith = (set: Set): Served[] =>
    served.map((s) => {
      const by = set.get(tierOf.get(s.trayId)!)?.by ?? 1;
      return by === 1 ? s : { ...s, light: dimmed(s.light, by, spillOf(s.trayId)) };
    });
  const rulesWith = (set: Set): TimerRules => {
    const watts = timer.tiers.map((t) => {
      const draw = dimmable.find((d) => d.tier === t)?.dimmings.find((d) => d.by === 1)?.draw ?? 1;
      return powerOf({ ...timer, tiers: [t] }) * ((set.get(t.tier.id)?.draw ?? draw) / draw);
    });
    return { ...rules, power: watts.reduce((a, b) => a + b, 0) };
  };
  /** How many trays are out of range at the best hours, and how far off all of them are. */
  const weigh = (set: Set) => {
    const trays = servedWith(set);
    const with_ = rulesWith(set);
    const times = bestTimes(trays, with_, timer, false);
    const out = fareOn(trays, with_, times).fares.filter((f) => f.says !== 'suits').length;
    return { set, out, loss: trays.reduce((sum, s) => sum + lossOf(s.light, s.stage, s.limits, { ...times, daylight: s.daylight }), 0) };
  };
  const asItIs = weigh(new Map());
  if (asItIs.out === 0) return null;
  let best = asItIs;
  for (let round = 0; round < ROUNDS; round++)
    for (const { tier, dimmings } of dimmable)
      for (const dimming of dimmings) {
        const tried = weigh(new Map([...best.set, [tier.tier.id, dimming]]));
        if (tried.out < best.out || (tried.out === best.out && tried.loss < best.loss - 1e-9)) best = tried;
      }
  const tiers = dimmable.flatMap(({ tier }) => {
    const dimming = best.set.get(tier.tier.id);
    return dimming && dimming.by !== 1 ? [{ tier, dimming }] : [];
  });
  if (best.out >= asItIs.out || tiers.length === 0) return null;
  return { answer: solveTimer(servedWith(best.set), rulesWith(best.set), timer), tiers };
}
