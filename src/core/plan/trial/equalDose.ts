import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { benchStandOf, type BenchStand } from '../../answer/stand/benchStand';
import { faultsOf, makesWorse } from '../../answer/faults/faults';
import { createCache } from '../../light/scene/Cache';
import type { Tables } from '../../things/tables/Tables';
import type { Site, Tier } from '../../site/stand/Site';
import type { ArmId, Trial } from '../../site/trial/Trial';
import type { Dli } from '../../units/quantities';
import { applyMove, applyMoves } from '../advice/applyMove';
import type { Move } from '../advice/Move';
import { liftsOf } from '../advice/movesFor';
import { freeOf, onAround } from '../timer/aroundQuiet';
import { dliInPlace, traysInPlace, type TrayInPlace } from '../../answer/bench/traysInPlace';

/** How arms come to the same dose, or why they cannot. */
export type EqualDose =
  | { readonly ok: true; readonly moves: readonly Move[]; readonly before: ArmDoses; readonly after: ArmDoses }
  | { readonly ok: false; readonly why: 'not-drawn' | 'not-lit' | 'one-tier' | 'one-timer' | 'others' | 'short-day' | 'out-of-reach' };
export type ArmDoses = Readonly<Partial<Record<ArmId, Dli>>>;

/** Doses within this of each other are equal here: a link of a chain is coarser. */
const EQUAL = 0.05;
/** Minutes in which timers are set. */
const STEP_min = 15;

/**
 * Brings all arms to the dose of the weakest, by the exact light with all that spills over: lamps of brighter tiers are raised where they
 * may be, and where distances are what is compared, or that does not suffice, their hours are cut, and those of the weaker made longer where
 * that would make too short a day; not where hours are what is compared. Arms must not share a tier or a timer, nor either of them with
 * plants that are not compared. What is raised never comes nearer to leaves; what would be wrong with the stand is not done.
 */
export function equalDose(site: Site, trial: Trial, tables: Tables): EqualDose {
  const cache = createCache(256);
  const look = (s: Site) => placesIn(s, trial, tables, cache);
  const drawn = look(site);
  const ids = trial.trays.map((t) => t.trayId);
  if (ids.some((id) => id === null || !drawn.has(id))) return { ok: false, why: 'not-drawn' };
  const placesOf = (arm: ArmId, in_ = drawn) => trial.trays.filter((t) => t.arm === arm).map((t) => in_.get(t.trayId!)!);
  const tiersOf = (arm: ArmId) => [...new Set(placesOf(arm).map((p) => p.tier))];
  const arms = trial.arms.map((a) => a.id);
  const shared = (key: (arm: ArmId) => readonly string[]) =>
    arms.some((a, i) => arms.slice(i + 1).some((b) => key(a).some((k) => key(b).includes(k))));
  if (shared((a) => tiersOf(a).map((t) => t.tier.id))) return { ok: false, why: 'one-tier' };
  const before = dosesOf(trial, drawn);
  if (arms.some((a) => !((before[a] ?? 0) > 0))) return { ok: false, why: 'not-lit' };
  const target = Math.min(...arms.map((a) => before[a]!));
  const lightsOthers = (isLit: (t: Tier) => boolean) =>
    site.stands.some((s) => s.tiers.some((t) => isLit(t) && t.trays.some((y) => !ids.includes(y.id))));

  let now = site;
  const moves: Move[] = [];
  const make = (list: readonly Move[]) => {
    now = applyMoves(now, list, tables);
    moves.push(...list);
  };
  const isNear = (dose: number) => dose <= target * (1 + EQUAL);
  /** The mean dose of an arm's trays that stand on some tiers. */
  const doseOn = (arm: ArmId, isMeant: (t: Tier) => boolean, places = look(now)) =>
    meanDose(placesOf(arm, places).filter((p) => isMeant(p.tier.tier)));
  const allNear = () => arms.every((arm) => isNear(doseOn(arm, () => true)));
  // Twice, since what spills from one arm to the other changes with it.
  for (let round = 0; round < 2; round++) {
    if (trial.factor !== 'distance')
      for (const arm of arms.filter((a) => !isNear(doseOn(a, () => true))))
        for (const { tier } of tiersOf(arm)) {
          // Other plants there would have less light that nobody asked for.
          if (isNear(doseOn(arm, (t) => t.id === tier.id)) || lightsOthers((t) => t.id === tier.id)) continue;
          const best = bestLift(arm, tier.id);
          if (best) make([best]);
        }
    if (allNear()) continue;
    if (trial.factor === 'hours') return { ok: false, why: 'out-of-reach' };
    if (shared((a) => tiersOf(a).map((t) => t.timer.id))) return { ok: false, why: 'one-timer' };
    const problem = setHours();
    if (problem) return { ok: false, why: problem };
  }
  const after = dosesOf(trial, look(now));
  const [low, high] = [Math.min(...arms.map((a) => after[a]!)), Math.max(...arms.map((a) => after[a]!))];
  return high / low <= 1 + 2 * EQUAL ? { ok: true, moves, before, after } : { ok: false, why: 'out-of-reach' };

  /** Cuts the hours of what is brighter; where that would make too short a day, what is weaker has longer ones, as far as its crop bears. */
  function setHours(): 'others' | 'short-day' | null {
    const timers = arms.flatMap((arm) =>
      [...new Set(tiersOf(arm).map((t) => t.timer.id))].map((id) => {
        const trays = placesOf(arm).filter((p) => p.tier.timer.id === id);
        const timer = now.timers.find((t) => t.id === id)!;
        const { lit_min } = timer;
        const dose = doseOn(arm, (t) => t.timerId === id);
        const least = Math.max(...trays.map((p) => p.tray.stage.hoursMin)) * 60;
        const longest = Math.min(...trays.map((p) => p.tray.limits.longestDay)) * 60;
        const most = Math.min(longest, Math.max(lit_min, freeOf(timer, site.quiet)));
        return { id, timer, lit_min, dose, least: (dose * least) / lit_min, most: (dose * most) / lit_min };
      }),
    );
    const isFar = (dose: Dli, from: Dli) => Math.abs(dose / from - 1) > EQUAL;
    const isOthers = (id: string) => lightsOthers((t) => t.timerId === id);
    if (timers.some((t) => isFar(t.dose, target) && isOthers(t.id))) return 'others';
    const [low, high] = [Math.max(...timers.map((t) => t.least)), Math.min(...timers.map((t) => t.most))];
    if (low > high) return 'short-day';
    const meant = Math.min(high, Math.max(low, target));
    for (const { id, timer, lit_min, dose } of timers) {
      const lit = Math.max(STEP_min, Math.round((lit_min * meant) / dose / STEP_min) * STEP_min);
      if (lit === lit_min || !isFar(dose, meant)) continue;
      if (isOthers(id)) return 'others';
      make([{ do: 'hours', timerId: id, on_min: onAround(timer, lit, site.quiet), lit_min: lit }]);
    }
    return null;
  }

  /** Of all heights of a tier above the one there is the one whose dose comes nearest from above or below; light falls with height, so by halves. */
  function bestLift(arm: ArmId, tierId: string): Move | null {
    const standIn = (places: ReadonlyMap<string, TrayInPlace>) => [...places.values()].find((p) => p.tier.tier.id === tierId)!.stand;
    const stand = standIn(look(now));
    const lifts = liftsOf(stand.tiers.find((t) => t.tier.id === tierId)!).filter((l) => l > 1e-6);
    const moveOf = (lift: number): Move => ({ do: 'hang', tierId, lift });
    const doseAt = (lift: number): number | null => {
      const places = look(applyMove(now, moveOf(lift), tables));
      return makesWorse(faultsOf(stand), faultsOf(standIn(places))) ? null : doseOn(arm, (t) => t.id === tierId, places);
    };
    let [a, b] = [0, lifts.length - 1];
    let found: { lift: number; off: number } | null = null;
    while (a <= b) {
      const mid = (a + b) >> 1;
      const dose = doseAt(lifts[mid]!);
      if (dose !== null) {
        const off = Math.abs(dose / target - 1);
        if (!found || off < found.off) found = { lift: lifts[mid]!, off };
      }
      // Where it may not hang so high, it has to hang lower.
      if (dose === null || dose < target) b = mid - 1;
      else a = mid + 1;
    }
    return found && moveOf(found.lift);
  }
}

function placesIn(site: Site, trial: Trial, tables: Tables, cache: ReturnType<typeof createCache>): ReadonlyMap<string, TrayInPlace> {
  const wanted = new Set(trial.trays.map((t) => t.trayId));
  const stands: BenchStand[] = site.stands
    .filter((s) => s.tiers.some((t) => t.trays.some((y) => wanted.has(y.id))))
    .map((s) => benchStandOf(site, s, tables));
  return traysInPlace(stands.map((stand) => ({ stand, answer: answerBench(questionOfStand(stand, null), cache) })));
}

const meanDose = (places: readonly TrayInPlace[]): Dli =>
  places.length > 0 ? places.reduce((sum, p) => sum + (dliInPlace(p) ?? 0), 0) / places.length : 0;

function dosesOf(trial: Trial, places: ReadonlyMap<string, TrayInPlace>): ArmDoses {
  return Object.fromEntries(
    trial.arms.map(({ id }) => [
      id,
      meanDose(trial.trays.flatMap((t) => (t.arm === id && t.trayId !== null ? (places.get(t.trayId) ?? []) : []))),
    ]),
  );
}
