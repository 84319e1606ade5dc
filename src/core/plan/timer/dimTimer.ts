import type { TierLight } from '../../answer/bench/BenchQuestion';
import { scaled, type LightSpread } from '../../judge/dli/LightSpread';
import { dimmingsOf, type Dimming } from '../../site/ownLamps/dimmings';
import type { BenchTier } from '../../answer/stand/benchStand';
import type { Share } from '../../units/quantities';
import { powerOf, servedBy, type StandTimer } from './servedBy';
import { lossAndStanding, solveTimer, timesToTry, type Served, type TimerAnswer, type TimerRules } from './solveTimer';

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
  const uncertainty = spill > COUNTS ? ENDS : 0;
  return { ...all, weakest: all.weakest * (1 - uncertainty), strongest: all.strongest * (1 + uncertainty) };
}

/** Days are tried in steps of this; the hours that are told are then solved in the timer's own. */
const STEP_min = 30;

/**
 * Where no hours serve all trays of a timer: the settings of its tiers' dimmers, and the hours with them, by which more of the trays are in
 * range; null where none does, or no tier can be dimmed. Light from other tiers is not dimmed along.
 *
 * With the hours given each tier has a best setting of its own, whatever the others': so all settings are tried at all hours, and held
 * against every combination in dimTimer.test.ts.
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
  const outOf = ({ results }: TimerAnswer) => results.filter((f) => f.says !== 'suits').length;
  const asItIs = outOf(solveTimer(served, rulesWith(new Map()), timer));
  if (asItIs === 0) return null;
  // Of each tray the light at each setting of its tier.
  const lightsOf = served.map((s) => {
    const of = dimmable.find((d) => d.tier.tier.id === tierOf.get(s.trayId));
    return (of?.dimmings ?? [null]).map((d) => (d ? servedWith(new Map([[of!.tier.tier.id, d]])).find((x) => x.trayId === s.trayId)! : s));
  });
  const groups = timer.tiers
    .map((t) => served.flatMap((s, i) => (tierOf.get(s.trayId) === t.tier.id ? [i] : [])))
    .filter((g) => g.length > 0);
  let best = { out: Infinity, loss: Infinity, set: new Map<string, Dimming>() as Set };
  for (const times of timesToTry(served, rulesWith(new Map()), timer, STEP_min)) {
    let out = 0, loss = 0; // prettier-ignore
    const set = new Map<string, Dimming>();
    for (const trays of groups) {
      let least = { out: Infinity, loss: Infinity, k: 0 };
      for (let k = 0; k < lightsOf[trays[0]!]!.length; k++) {
        const here = trays.map((i) => lossAndStanding(lightsOf[i]![k]!, times));
        const tried = { out: here.filter((h) => h.says !== 'suits').length, loss: here.reduce((sum, h) => sum + h.loss, 0), k };
        if (tried.out < least.out || (tried.out === least.out && tried.loss < least.loss)) least = tried;
      }
      out += least.out;
      loss += least.loss;
      const of = dimmable.find((d) => d.tier.tier.id === tierOf.get(served[trays[0]!]!.trayId));
      if (of) set.set(of.tier.tier.id, of.dimmings[least.k]!);
    }
    if (out < best.out || (out === best.out && loss < best.loss - 1e-9)) best = { out, loss, set };
  }
  const tiers = dimmable.flatMap(({ tier }) => {
    const dimming = best.set.get(tier.tier.id);
    return dimming && dimming.by !== 1 ? [{ tier, dimming }] : [];
  });
  if (tiers.length === 0) return null;
  const answer = solveTimer(servedWith(best.set), rulesWith(best.set), timer);
  return outOf(answer) < asItIs ? { answer, tiers } : null;
}
