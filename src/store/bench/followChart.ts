import type { ChartAsked, ChartOnTheWay, HangChart } from '../../core/plan/hang/HangChart';
import type { BenchAnswer } from '../../core/answer/bench/BenchQuestion';
import type { BenchStand } from '../../core/answer/stand/benchStand';
import type { Site } from '../../core/site/stand/Site';
import type { BenchLookStore } from './benchStore';
import { standOnBench } from './followBench';
import type { DayStore } from '../day/dayStore';
import type { SettingsStore } from '../settings/settingsStore';
import type { SiteStore } from '../site/siteStore';
import type { ChartStore } from './chartStore';

/** A change is waited for this long to be followed by another, ms: a chart is worked out when a hand rests. */
const REST_MS = 250;

interface ChartWays {
  lightOfStand(stand: BenchStand): Promise<BenchAnswer>;
  /** @param light  asked for where the chart is not known already */
  chartOf(asked: ChartAsked, light: () => Promise<BenchAnswer>, progress: ChartOnTheWay): Promise<HangChart>;
}

/** What a chart follows from; the rest of a site may change without a new one. */
const causesOf = (site: Site, stand: BenchStand, today: number, step: number) =>
  [stand, site.visits, site.quiet, site.cheap, site.bands, site.price_per_kWh, site.batches, today, step] as const;

/**
 * Keeps the hang chart of the stand on the bench up to date. One is worked out at a time; what changes meanwhile is asked once,
 * as it then stands. Returns the function that stops following.
 */
export function followChart(
  stores: { sites: SiteStore; looks: BenchLookStore; days: DayStore; settings: SettingsStore; charts: ChartStore },
  ways: ChartWays,
): () => void {
  const { sites, looks, days, settings, charts } = stores;
  let last: readonly unknown[] = [];
  let working = false, changed = false, stopped = false; // prettier-ignore
  let waiting: ReturnType<typeof setTimeout> | undefined;

  function look() {
    clearTimeout(waiting);
    waiting = setTimeout(() => void follow(), REST_MS);
  }

  async function follow() {
    if (working) {
      changed = true;
      return;
    }
    working = true;
    do {
      changed = false;
      const { site, inGesture } = sites.getState();
      // What a hand still holds is not settled: letting go asks again.
      if (inGesture) continue;
      const { today } = days.getState();
      const { timerStep_min } = settings.getState();
      const stand = standOnBench({ site }, looks.getState().standId);
      if (!stand) {
        charts.setState({ chart: null, working: null, soFar: null, failed: null });
        break;
      }
      const causes = causesOf(site, stand, today, timerStep_min);
      if (causes.every((c, i) => c === last[i])) continue;
      last = causes;
      const { chart } = charts.getState();
      charts.setState({ working: 0, soFar: null, failed: null, chart: chart?.standId === stand.stand.id ? chart : null });
      try {
        const asked = { site, standId: stand.stand.id, from: today, timerStep_min };
        const light = () => ways.lightOfStand(stand);
        const made = await ways.chartOf(asked, light, (working, visits) => {
          if (!stopped) charts.setState({ working, soFar: { standId: asked.standId, visits } });
        });
        if (!stopped) charts.setState({ chart: made, working: null, soFar: null });
      } catch (error) {
        last = [];
        if (!stopped) charts.setState({ working: null, soFar: null, failed: error instanceof Error ? error.message : String(error) });
      }
    } while (changed && !stopped);
    working = false;
  }

  const ends = [sites.subscribe(look), looks.subscribe(look), days.subscribe(look), settings.subscribe(look)];
  void follow();
  return () => {
    stopped = true;
    clearTimeout(waiting);
    for (const end of ends) end();
  };
}
