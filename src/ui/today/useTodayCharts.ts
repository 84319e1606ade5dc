'use client';
import { useEffect, useMemo, useState } from 'react';
import type { BenchAnswer } from '@/core/answer/bench/BenchQuestion';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import type { HangChart } from '@/core/plan/hang/HangChart';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { useSettings, useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';

/** What is known of a stand today: its light, and its chart where plants with dates grow under its lamps. */
export interface StandToday {
  readonly stand: BenchStand;
  readonly light: BenchAnswer;
  readonly chart: HangChart | null;
}

/** What was worked out last for a stand, and out of what: coming back to the page finds it. */
const known = new WeakMap<BenchStand, { readonly of: readonly unknown[]; readonly today: StandToday }>();
/** A change is waited for this long to be followed by another, ms. */
const REST_MS = 250;

/** The first stand of a walk is often the largest: another is worked out beside it. */
const AT_A_TIME = 2;

/** Light and chart of every stand; what is done is there at once. */
export function useTodayCharts(): { stands: readonly StandToday[]; left: number; failed: boolean } {
  const { lightOfStand, chartOf } = useWorkspace();
  const site = useSite((s) => s.site);
  const { timerStep_min } = useSettings();
  const today = useToday();
  const [done, setDone] = useState(0);
  const [failed, setFailed] = useState(false);
  const benches = useMemo(() => site.stands.filter((s) => !s.autoArranged).map((s) => benchStandIn(site, s)), [site]);
  const of = useMemo(
    () => [site.visits, site.quiet, site.cheap, site.bands, site.price_per_kWh, today, timerStep_min],
    [site.visits, site.quiet, site.cheap, site.bands, site.price_per_kWh, today, timerStep_min],
  );
  const stands = useMemo(
    () =>
      benches.flatMap((bench) => {
        const entry = known.get(bench);
        return entry?.of.every((c, i) => c === of[i]) ? [entry.today] : [];
      }),
    // What is known grows with each stand that is done.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [benches, of, done],
  );
  useEffect(() => {
    let stopped = false;
    const open = [...benches];
    async function work() {
      for (let bench = open.shift(); bench; bench = open.shift()) {
        if (stopped) return;
        if (known.get(bench)?.of.every((c, i) => c === of[i])) continue;
        const light = await lightOfStand(bench);
        const isDated = bench.tiers.some((t) => t.lamps.length > 0 && t.trays.some((y) => y.batch.sown !== null));
        const chart = isDated ? await chartOf({ site, standId: bench.stand.id, from: today, timerStep_min }, async () => light) : null;
        known.set(bench, { of, today: { stand: bench, light, chart } });
        if (!stopped) setDone((n) => n + 1);
      }
    }
    const waiting = setTimeout(() => {
      Promise.all(Array.from({ length: AT_A_TIME }, work)).then(
        () => !stopped && setFailed(false),
        () => !stopped && setFailed(true),
      );
    }, REST_MS);
    return () => {
      stopped = true;
      clearTimeout(waiting);
    };
  }, [benches, of, site, today, timerStep_min, lightOfStand, chartOf]);
  return { stands, left: benches.length - stands.length, failed };
}
