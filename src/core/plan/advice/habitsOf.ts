import type { BenchAnswer } from '../../answer/bench/BenchQuestion';
import { daylightOfAll } from '../../answer/daylight/daylightAt';
import { receivedOf, turnedDay, type LightDay } from '../../judge/dli/LightDay';
import { spreadOfMap } from '../../judge/dli/spreadOfMap';
import type { LightMap } from '../../light/field/Grid';
import type { Dli, Share } from '../../units/quantities';
import type { BenchStand, BenchTray } from '../../answer/stand/benchStand';
import { plantAreaOf } from '../../site/stand/footprint';
import { shareInBandOf } from '../../judge/verdict/shareOfMap';

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

/** A habit must lift a weakest spot that gets too little by this much, or the share in band, to be worth the words. */
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
    if (tier.hours === 0 && !tier.trays.some((y) => y.day.daylight?.course?.nine)) continue;
    const trays = tier.trays.filter((y) => trayIds.has(y.tray.id) && answer.tiers[tier.tier.id]?.trays[y.tray.id]);
    const mapOf = (y: BenchTray) => answer.tiers[tier.tier.id]!.trays[y.tray.id]!.map;
    for (const [i, y] of trays.entries()) {
      const map = mapOf(y);
      add(
        habitFrom(
          'half-turn',
          y,
          null,
          map,
          meanWith(map, (k) => map.ppfd[map.ppfd.length - 1 - k]!),
        ),
        y,
      );
      for (const other of trays.slice(i + 1)) {
        const there = mapOf(other);
        const alike = there.ppfd.length === map.ppfd.length && there.columns === map.columns && other.stage === y.stage;
        if (alike)
          add(
            habitFrom(
              'change-places',
              y,
              other,
              map,
              meanWith(map, (k) => there.ppfd[k]!),
            ),
            y,
          );
      }
    }
  }
  return habits.sort((a, b) => b.shareInBand.after - b.shareInBand.before - (a.shareInBand.after - a.shareInBand.before));

  function add(habit: Habit, { stage }: BenchTray) {
    const { weakest, shareInBand } = habit;
    const lifts = weakest.before < stage.dliMin && weakest.after > weakest.before * (1 + 2 * WORTH);
    const better = lifts || shareInBand.after - shareInBand.before > WORTH;
    if (better && shareInBand.before < 0.995 && shareInBand.after >= shareInBand.before) habits.push(habit);
  }
}

const meanWith = (map: LightMap, other: (k: number) => number): LightMap => ({ ...map, ppfd: map.ppfd.map((v, k) => (v + other(k)) / 2) });

function habitFrom(what: Habit['do'], y: BenchTray, other: BenchTray | null, before: LightMap, after: LightMap): Habit {
  const area = [plantAreaOf(y.tray)];
  const as = (map: LightMap, day: LightDay) => {
    const light = spreadOfMap(map, area);
    return {
      ...receivedOf(light, day),
      share: shareInBandOf(map, area, y.stage, day),
    };
  };
  const was = as(before, y.day);
  const is = as(after, other ? sharedDay(y, other) : turnedDay(y.day));
  return {
    do: what,
    trayId: y.tray.id,
    otherId: other?.tray.id ?? null,
    weakest: { before: was.weakest, after: is.weakest },
    strongest: { before: was.strongest, after: is.strongest },
    shareInBand: { before: was.share, after: is.share },
  };
}

/** The day of two trays that change places: half of the time each other's daylight, the rest as it falls here. */
function sharedDay({ day }: BenchTray, other: BenchTray): LightDay {
  const [here, there] = [day.daylight, other.day.daylight];
  const [a, b] = [here?.course?.nine, there?.course?.nine];
  const both = a && b ? daylightOfAll([here, there]) : null;
  if (!both) return day;
  const nine = a!.map((v, i) => (v * here!.dli + b![i]! * there!.dli) / (here!.dli + there!.dli));
  return { ...day, daylight: { ...both, course: { ...both.course!, nine } } };
}
