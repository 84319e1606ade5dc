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

/** What was worked out last for a stand: coming back to the page finds it. A chart holds for what it was worked out of as well. */
const lights = new WeakMap<BenchStand, BenchAnswer>();
const charts = new WeakMap<BenchStand, { readonly of: readonly unknown[]; readonly chart: HangChart | null }>();
/** A change is waited for this long to be followed by another, ms. */
const REST_MS = 250;

/** The first stand of a walk is often the largest: another is worked out beside it. */
const AT_A_TIME = 2;

/** Light and chart of every stand; what is done is there at once, the light of all of them before any chart. */
export function useTodayCharts(): {
  /** Those whose light is known; the chart of one that is still under way is null. */
  stands: readonly StandToday[];
  /** So many stands whose light is not known yet. */
  dark: number;
  /** So many whose chart is not. */
  left: number;
  failed: boolean;
} {
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
  const chartIn = (bench: BenchStand) => {
    const entry = charts.get(bench);
    return entry?.of.every((c, i) => c === of[i]) ? entry : null;
  };
  const stands = useMemo(
    () =>
      benches.flatMap((bench) => {
        const light = lights.get(bench);
        return light ? [{ stand: bench, light, chart: chartIn(bench)?.chart ?? null }] : [];
      }),
    // What is known grows with each stand that is done.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [benches, of, done],
  );
  useEffect(() => {
    let stopped = false;
    let failures = 0;
    /** Some at a time; one that fails does not keep the others waiting. */
    async function together(work: (bench: BenchStand) => Promise<void>) {
      const open = [...benches];
      const next = async () => {
        for (let bench = open.shift(); bench && !stopped; bench = open.shift()) {
          await work(bench).catch(() => failures++);
          if (!stopped) setDone((n) => n + 1);
        }
      };
      await Promise.all(Array.from({ length: AT_A_TIME }, next));
    }
    async function work() {
      await together(async (bench) => {
        if (!lights.has(bench)) lights.set(bench, await lightOfStand(bench));
      });
      await together(async (bench) => {
        const light = lights.get(bench);
        if (!light || chartIn(bench)) return;
        const isDated = bench.tiers.some((t) => t.lamps.length > 0 && t.trays.some((y) => y.batch.sown !== null));
        const chart = isDated ? await chartOf({ site, standId: bench.stand.id, from: today, timerStep_min }, async () => light) : null;
        charts.set(bench, { of, chart });
      });
    }
    const waiting = setTimeout(() => {
      void work().then(() => !stopped && setFailed(failures > 0));
    }, REST_MS);
    return () => {
      stopped = true;
      clearTimeout(waiting);
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `chartIn` goes by `of`
  }, [benches, of, site, today, timerStep_min, lightOfStand, chartOf]);
  return {
    stands,
    dark: benches.length - stands.length,
    left: benches.filter((bench) => !chartIn(bench)).length,
    failed,
  };
}
