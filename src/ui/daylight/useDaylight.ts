'use client';
import { useEffect, useMemo, useState } from 'react';
import { askedTier } from '@/core/answer/bench/questionOfStand';
import { tallerBeside } from '@/core/site/stand/tallerBeside';
import { askedOfPoint, type SillAsked } from '@/core/answer/daylight/sillsOf';
import { windowOf } from '@/core/answer/daylight/windowOf';
import type { BenchStand, BenchTier, BenchTray } from '@/core/answer/stand/benchStand';
import type { BenchAnswer } from '@/core/answer/bench/BenchQuestion';
import type { DaylightAnswer, DaylightQuestion } from '@/core/plan/daylight/daylightYear';
import { powerOf, servedBy, timersOf } from '@/core/plan/timer/servedBy';
import type { Window } from '@/core/site/window/Window';
import { yearOfDay } from '@/core/units/day';
import { newestWins } from '@/store/newestWins';
import { useSettings, useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';

/** A tray before the window of its stand. */
export interface TrayAtWindow extends BenchTray {
  readonly tier: BenchTier;
  readonly asked: SillAsked;
}

/** Parts of a day of the year on the screen: quarters of an hour. */
export const SCREEN_PARTS = 96;

/** The trays of a stand before its window, the highest tier first. */
export function useTraysAtWindow(stand: BenchStand): { window: Window | undefined; trays: readonly TrayAtWindow[] } {
  const site = useSite((s) => s.site);
  return useMemo(() => {
    const trays = stand.tiers.flatMap((tier) => {
      const standing = askedTier(tier).trays;
      return tier.trays.flatMap((t, i): TrayAtWindow[] => {
        const { x, y } = t.tray;
        const taller = tallerBeside(standing[i]!, standing);
        const asked = askedOfPoint(site, stand.stand, tier.tier, { x, y, z: t.canopy }, taller);
        return asked ? [{ ...t, tier, asked }] : [];
      });
    });
    return { window: windowOf(site, stand.stand), trays };
  }, [site, stand]);
}

/** What a year of daylight is asked for, with the timer of a tray where its lamps' light is known. */
function useQuestion(
  stand: BenchStand,
  trays: readonly TrayAtWindow[],
  chosen: number,
  light: BenchAnswer | null,
): DaylightQuestion | null {
  const { place, climate, timeZone, quiet, cheap, bands, price_per_kWh } = useSite((s) => s.site);
  const { timerStep_min } = useSettings();
  const today = useToday();
  return useMemo(() => {
    if (!place || trays.length === 0) return null;
    const timer = timersOf(stand).find((t) => t.tiers.some((x) => x.trays.some((y) => y.tray.id === trays[chosen]?.tray.id)));
    const asked = { year: yearOfDay(today), place, climate, timeZone, parts: SCREEN_PARTS, sills: trays.map((t) => t.asked) };
    const served = timer && light ? servedBy(timer, light.tiers) : [];
    if (!timer || served.length === 0) return { ...asked, timer: null };
    const placeOf = new Map(trays.map((t, i) => [t.tray.id, i]));
    return {
      ...asked,
      timer: {
        served: served.map((s) => ({ ...s, place: placeOf.get(s.trayId) ?? null })),
        rules: { step_min: timerStep_min, quiet, cheap, bands, price_per_kWh, power: powerOf(timer) },
        now: { on_min: timer.on_min, lit_min: timer.lit_min, pause: timer.pause },
      },
    };
  }, [place, climate, timeZone, quiet, cheap, bands, price_per_kWh, timerStep_min, today, stand, trays, chosen, light]);
}

/** A year of daylight at the trays of a stand; the last one stays while the next is worked out. */
export function useDaylightYear(
  stand: BenchStand,
  trays: readonly TrayAtWindow[],
  chosen: number,
  light: BenchAnswer | null,
): { answer: DaylightAnswer | null; isWorking: boolean; failed: boolean } {
  const { daylightYear } = useWorkspace();
  const question = useQuestion(stand, trays, chosen, light);
  const [state, setState] = useState<{ asked: DaylightQuestion; answer: DaylightAnswer } | { failed: DaylightQuestion } | null>(null);
  const [line, setLine] = useState<ReturnType<typeof newestWins<DaylightQuestion, DaylightAnswer>> | null>(null);
  useEffect(() => {
    const asking = newestWins(
      daylightYear,
      (answer, asked) => setState({ asked, answer }),
      (failed) => setState({ failed }),
    );
    // One line of questions for as long as the view stands.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setLine(asking);
    return () => asking.stop();
  }, [daylightYear]);
  useEffect(() => {
    if (question) line?.put(question);
  }, [line, question]);
  const known = state && 'answer' in state && state.asked.sills.length === question?.sills.length ? state : null;
  return {
    answer: known?.answer ?? null,
    isWorking: known?.asked !== question,
    failed: state !== null && 'failed' in state && state.failed === question,
  };
}
