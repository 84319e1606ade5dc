import type { BenchAnswer } from '../../answer/bench/BenchQuestion';
import { daylightDose } from '../../judge/dose/LightDay';
import { MOL_SECONDS } from '../../judge/dose/dli';
import type { LightMap } from '../../light/field/Grid';
import { shareWithin, statsOver } from '../../light/field/statsOver';
import type { Dli, Ppfd, Share } from '../../units/quantities';
import type { BenchStand, BenchTier, BenchTray } from '../../answer/stand/benchStand';
import { plantAreaOf } from '../../site/stand/footprint';
import { shareInBand } from '../../judge/verdict/loss';

/** Something done every few days instead of once: leaves then live in the mean of two places. */
export interface Habit {
  readonly do: 'half-turn' | 'change-places';
  readonly trayId: string;
  /** The tray with which it changes places; null when it turns where it stands. */
  readonly otherId: string | null;
  readonly weakest: { readonly before: Dli; readonly after: Dli };
  readonly strongest: { readonly before: Dli; readonly after: Dli };
  readonly shareInBand: { readonly before: Share; readonly after: Share };
}

/** A habit must lift the weakest spot by this much, or the share in band, to be worth the words. */
const WORTH = 0.05;

/**
 * What turning trays by half, or two equal trays changing places, every few days would do: each leaf gets the mean of what
 * its two places get. Source: dose adds up (definition of the DLI); growers turn trays for the same reason.
 *
 * @param trayIds  the trays in question
 */
export function habitsOf(stand: BenchStand, answer: BenchAnswer, trayIds: ReadonlySet<string>): Habit[] {
  const habits: Habit[] = [];
  for (const tier of stand.tiers) {
    if (tier.hours === 0) continue;
    const trays = tier.trays.filter((y) => trayIds.has(y.tray.id) && answer.tiers[tier.tier.id]?.trays[y.tray.id]);
    const mapOf = (y: BenchTray) => answer.tiers[tier.tier.id]!.trays[y.tray.id]!.map;
    for (const [i, y] of trays.entries()) {
      const map = mapOf(y);
      add(
        habitFrom(
          'half-turn',
          tier,
          y,
          null,
          map,
          meanWith(map, (k) => map.ppfd[map.ppfd.length - 1 - k]!),
        ),
      );
      for (const other of trays.slice(i + 1)) {
        const there = mapOf(other);
        const alike = there.ppfd.length === map.ppfd.length && there.columns === map.columns && other.stage === y.stage;
        if (alike)
          add(
            habitFrom(
              'change-places',
              tier,
              y,
              other,
              map,
              meanWith(map, (k) => there.ppfd[k]!),
            ),
          );
      }
    }
  }
  return habits.sort((a, b) => b.shareInBand.after - b.shareInBand.before - (a.shareInBand.after - a.shareInBand.before));

  function add(habit: Habit) {
    const better =
      habit.shareInBand.after - habit.shareInBand.before > WORTH || habit.weakest.after > habit.weakest.before * (1 + 2 * WORTH);
    if (better && habit.shareInBand.before < 0.995 && habit.shareInBand.after >= habit.shareInBand.before) habits.push(habit);
  }
}

const meanWith = (map: LightMap, other: (k: number) => number): LightMap => ({ ...map, ppfd: map.ppfd.map((v, k) => (v + other(k)) / 2) });

function habitFrom(what: Habit['do'], tier: BenchTier, y: BenchTray, other: BenchTray | null, before: LightMap, after: LightMap): Habit {
  const area = [plantAreaOf(y.tray)];
  const dose = (ppfd: Ppfd) => ppfd * tier.hours * MOL_SECONDS + daylightDose(tier.day);
  const share = (map: LightMap) => shareInBand((low, high) => shareWithin(map, area, low, high), y.stage, tier.day);
  const [was, is] = [statsOver(before, area), statsOver(after, area)];
  return {
    do: what,
    trayId: y.tray.id,
    otherId: other?.tray.id ?? null,
    weakest: { before: dose(was.weakest.ppfd), after: dose(is.weakest.ppfd) },
    strongest: { before: dose(was.strongest.ppfd), after: dose(is.strongest.ppfd) },
    shareInBand: { before: share(before), after: share(after) },
  };
}
