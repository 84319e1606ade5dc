import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { benchStandOf, type BenchStand } from '../../answer/stand/benchStand';
import { faultsOf, makesWorse } from '../../answer/faults/faults';
import { createCache } from '../../light/scene/Cache';
import type { Tables } from '../../things/tables/Tables';
import type { Site } from '../../site/stand/Site';
import type { ArmId, Trial } from '../../site/trial/Trial';
import type { Dli } from '../../units/quantities';
import { applyMove, applyMoves } from '../advice/applyMove';
import type { Move } from '../advice/Move';
import { liftsOf } from '../advice/movesFor';
import { dliOfPlace, trialPlacesOf, type TrialPlace } from './trialPlaces';

/** How arms come to the same dose, or why they cannot. */
export type EqualDose =
  | { readonly ok: true; readonly moves: readonly Move[]; readonly before: ArmDoses; readonly after: ArmDoses }
  | { readonly ok: false; readonly why: 'not-drawn' | 'not-lit' | 'one-tier' | 'one-timer' | 'others-timer' | 'out-of-reach' };
export type ArmDoses = Readonly<Partial<Record<ArmId, Dli>>>;

/** Doses within this of each other are equal here: a link of a chain is coarser. */
const EQUAL = 0.05;
/** Minutes in which timers are set. */
const STEP_min = 15;

/**
 * Brings all arms to the dose of the weakest, by the exact light with all that spills over: lamps of brighter arms are raised where they
 * may be, and where distances are what is compared, or that does not suffice, their hours are cut. Arms must not share a tier or a timer.
 * What is raised never comes nearer to leaves; what would be wrong with the stand is not done.
 */
export function equalDose(site: Site, trial: Trial, tables: Tables): EqualDose {
  const cache = createCache(256);
  const look = (s: Site) => placesIn(s, trial, tables, cache);
  const drawn = look(site);
  const ids = trial.trays.map((t) => t.trayId);
  if (ids.some((id) => id === null || !drawn.has(id))) return { ok: false, why: 'not-drawn' };
  const tiersOf = (arm: ArmId) => [...new Set(trial.trays.filter((t) => t.arm === arm).map((t) => drawn.get(t.trayId!)!.tier))];
  const arms = trial.arms.map((a) => a.id);
  const shared = (key: (arm: ArmId) => readonly string[]) =>
    arms.some((a, i) => arms.slice(i + 1).some((b) => key(a).some((k) => key(b).includes(k))));
  if (shared((a) => tiersOf(a).map((t) => t.tier.id))) return { ok: false, why: 'one-tier' };
  const before = dosesOf(trial, drawn);
  if (arms.some((a) => !((before[a] ?? 0) > 0))) return { ok: false, why: 'not-lit' };
  const target = Math.min(...arms.map((a) => before[a]!));
  const lightsOthers = (timerId: string) =>
    site.stands.some((s) => s.tiers.some((t) => t.timerId === timerId && t.trays.some((y) => !ids.includes(y.id))));

  let now = site;
  const moves: Move[] = [];
  const make = (list: readonly Move[]) => {
    now = applyMoves(now, list, tables);
    moves.push(...list);
  };
  // Twice, since what spills from one arm to the other changes with it.
  for (let round = 0; round < 2; round++)
    for (const arm of arms) {
      const dose = () => dosesOf(trial, look(now))[arm]!;
      if (dose() <= target * (1 + EQUAL)) continue;
      if (trial.factor !== 'distance') {
        const best = bestLift(arm);
        if (best) make([best]);
      }
      const left = dose();
      if (left <= target * (1 + EQUAL)) continue;
      if (shared((a) => tiersOf(a).map((t) => t.timer.id))) return { ok: false, why: 'one-timer' };
      for (const timerId of new Set(tiersOf(arm).map((t) => t.timer.id))) {
        const p = now.timers.find((x) => x.id === timerId)!;
        const lit = Math.max(STEP_min, Math.round((p.lit_min * target) / left / STEP_min) * STEP_min);
        // Other plants on that timer would have a shorter day that nobody asked for.
        if (lit < p.lit_min && lightsOthers(timerId)) return { ok: false, why: 'others-timer' };
        if (lit < p.lit_min) make([{ do: 'hours', timerId, on_min: (p.on_min + Math.round((p.lit_min - lit) / 2)) % 1440, lit_min: lit }]);
      }
    }
  const after = dosesOf(trial, look(now));
  const [low, high] = [Math.min(...arms.map((a) => after[a]!)), Math.max(...arms.map((a) => after[a]!))];
  return high / low <= 1 + 2 * EQUAL ? { ok: true, moves, before, after } : { ok: false, why: 'out-of-reach' };

  /** Of all heights above the one there is the one whose dose comes nearest from above or below; light falls with height, so by halves. */
  function bestLift(arm: ArmId): Move | null {
    const [tier] = tiersOf(arm);
    if (!tier || tiersOf(arm).length > 1) return null;
    const current = look(now);
    const stand = [...current.values()].find((p) => p.tier.tier.id === tier.tier.id)!.stand;
    const lifts = liftsOf(stand.tiers.find((t) => t.tier.id === tier.tier.id)!).filter((l) => l > 1e-6);
    const moveOf = (lift: number): Move => ({ do: 'hang', tierId: tier.tier.id, lift });
    const doseAt = (lift: number): number | null => {
      const next = applyMove(now, moveOf(lift), tables);
      const places = look(next);
      const then = [...places.values()].find((p) => p.tier.tier.id === tier.tier.id)!.stand;
      return makesWorse(faultsOf(stand), faultsOf(then)) ? null : dosesOf(trial, places)[arm]!;
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

function placesIn(site: Site, trial: Trial, tables: Tables, cache: ReturnType<typeof createCache>): ReadonlyMap<string, TrialPlace> {
  const wanted = new Set(trial.trays.map((t) => t.trayId));
  const stands: BenchStand[] = site.stands
    .filter((s) => s.tiers.some((t) => t.trays.some((y) => wanted.has(y.id))))
    .map((s) => benchStandOf(site, s, tables));
  return trialPlacesOf(stands.map((stand) => ({ stand, answer: answerBench(questionOfStand(stand, null), cache) })));
}

function dosesOf(trial: Trial, places: ReadonlyMap<string, TrialPlace>): ArmDoses {
  return Object.fromEntries(
    trial.arms.map(({ id }) => {
      const doses = trial.trays.filter((t) => t.arm === id && t.trayId !== null).map((t) => dliOfPlace(places.get(t.trayId!)!) ?? 0);
      return [id, doses.length > 0 ? doses.reduce((a, b) => a + b, 0) / doses.length : 0];
    }),
  );
}
