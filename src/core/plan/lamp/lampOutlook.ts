import { ageingOf } from '../../site/ownLamps/ageingOf';
import { hoursBurned, hoursUntilFaded, maintenance } from '../../things/lamp/ageing';
import type { BenchLamp, BenchTier } from '../../answer/stand/benchStand';
import type { JudgedTray } from '../../answer/bench/judgeTray';
import { daylightDli } from '../../judge/dli/LightDay';
import type { Lamp } from '../../things/lamp/Lamp';
import type { Day } from '../../units/day';
import type { Dli, Hours, Share } from '../../units/quantities';

/** Shares of its first light at which somebody wants to know of a lamp. */
export const MARKS: readonly Share[] = [0.9, 0.8, 0.7];
/** Nobody plans farther ahead, days. */
const FARTHEST = 50 * 365;

/** When a lamp will have faded to a share of its first light. */
export interface FadesTo {
  readonly share: Share;
  readonly hours: Hours;
  /** Null: it burns nowhere, or not within fifty years; today, where it has faded so far already. */
  readonly day: Day | null;
}

/** A lamp's fading from today on, at so many hours a day. */
export function fadingOf(
  lamp: Pick<Lamp, 'family' | 'life_h' | 'maintenanceAtEnd'>,
  burned: Hours,
  hoursADay: Hours,
  today: Day,
): FadesTo[] {
  return MARKS.map((share) => {
    const hours = hoursUntilFaded(lamp, share);
    return { share, hours, day: dayAt(hours, burned, hoursADay, today) };
  });
}

function dayAt(hours: Hours, burned: Hours, hoursADay: Hours, today: Day): Day | null {
  if (hours <= burned) return today;
  const days = hoursADay > 0 ? Math.ceil((hours - burned) / hoursADay) : Infinity;
  return days <= FARTHEST ? today + days : null;
}

/** What the fading of the lamps over a tray does to it. */
export interface TrayOutlook {
  readonly trayId: string;
  /** Weakest spot now, and what the crop needs there. */
  readonly weakest: Dli;
  readonly needs: Dli;
  /** Weakest spot once all lamps of the tier are down to each of the marks; null where they are below it already. */
  readonly at: readonly (Dli | null)[];
  /** The first day on which it falls short, if nothing is changed; today: it does already; null: not within fifty years. */
  readonly shortFrom: Day | null;
}

/**
 * What comes of the trays of a tier while its lamps fade together as the given one does, hung and timed as they are now: the reason to
 * replace a lamp is a tray that falls short, not the life on its box.
 */
export function traysUnder(tier: BenchTier, lamp: BenchLamp, trays: readonly JudgedTray[], today: Day): TrayOutlook[] {
  const burned = hoursBurned(lamp.lamp, ageingOf(tier.tier, lamp.fitting));
  const now = maintenance(lamp.lamp, burned);
  return trays.map(({ tray, verdict }) => {
    const { weakest } = verdict.received;
    const byDay = daylightDli(tray.day);
    const byLamps = Math.max(0, weakest - byDay);
    const needs = tray.stage.dliMin;
    const share = byLamps > 0 ? (now * (needs - byDay)) / byLamps : Infinity;
    const shortFrom = share <= 0 ? null : share >= now ? today : dayAt(hoursUntilFaded(lamp.lamp, share), burned, tier.hours, today);
    return { trayId: tray.tray.id, weakest, needs, at: MARKS.map((m) => (m >= now ? null : byDay + (byLamps * m) / now)), shortFrom };
  });
}
