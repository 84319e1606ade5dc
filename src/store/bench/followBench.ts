import type { BenchAnswer, BenchQuestion } from '../../core/answer/bench/BenchQuestion';
import { questionOfStand } from '../../core/answer/bench/questionOfStand';
import type { BenchStand } from '../../core/answer/stand/benchStand';
import type { SiteState, SiteStore } from '../site/siteStore';
import type { ChartStore } from './chartStore';
import { sitePreview } from './sitePreview';
import { benchStandIn } from './benchStandIn';
import type { BenchLightStore, BenchLookStore } from './benchStore';

/** The stand that the bench shows, or null when there is none. */
export function standOnBench({ site }: Pick<SiteState, 'site'>, standId: string | null): BenchStand | null {
  const stand = site.stands.find((s) => s.id === standId) ?? site.stands.find((s) => !s.autoArranged) ?? site.stands[0];
  return stand ? benchStandIn(site, stand) : null;
}

/**
 * Keeps the light of the bench up to date. One question is under way at a time; what changes meanwhile is asked once, as it
 * then stands. While a hand moves something, only its tier is asked. Returns the function that stops following.
 */
export function followBench(
  sites: SiteStore,
  looks: BenchLookStore,
  lights: BenchLightStore,
  charts: ChartStore,
  ask: (question: BenchQuestion) => Promise<BenchAnswer>,
): () => void {
  let asking = false, changed = false, stopped = false; // prettier-ignore
  let last: { of: BenchStand; view: 'front' | 'side'; whole: boolean } | null = null;

  async function follow() {
    if (asking) {
      changed = true;
      return;
    }
    asking = true;
    do {
      changed = false;
      const { view, handOn, standId, day } = looks.getState();
      const of = standOnBench({ site: sitePreview(sites.getState().site, charts.getState().chart, day) }, standId);
      if (!of) {
        last = null;
        lights.setState({ status: 'waiting' }, true);
        break;
      }
      const now = lights.getState();
      // One tier alone can only be put into an answer that has the others.
      const only = handOn !== null && now.status === 'ready' && now.view === view && now.of.stand.id === of.stand.id ? handOn : null;
      if (last && last.of === of && last.view === view && (last.whole || only !== null)) continue;
      if (now.status === 'ready' && now.of.stand.id !== of.stand.id) lights.setState({ status: 'waiting' }, true);
      else if (now.status === 'ready' && only === null) lights.setState({ ...now, stale: true }, true);
      // The first look comes without the light between tiers, which takes longest.
      const first = of.tiers.length > 1 && (now.status !== 'ready' || now.of.stand.id !== of.stand.id);
      last = { of, view, whole: only === null && !first };
      try {
        const answer = await ask(questionOfStand(of, view, only, !first));
        if (stopped) break;
        const before = lights.getState();
        const tiers = only !== null && before.status === 'ready' ? { ...before.answer.tiers, ...answer.tiers } : answer.tiers;
        lights.setState({ status: 'ready', answer: { tiers }, of, view, stale: only !== null || first }, true);
        if (first) changed = true;
      } catch (error) {
        last = null;
        if (!stopped) lights.setState({ status: 'failed', reason: error instanceof Error ? error.message : String(error) }, true);
      }
    } while (changed && !stopped);
    asking = false;
  }

  const ends = [sites.subscribe(follow), looks.subscribe(follow), charts.subscribe(follow)];
  void follow();
  return () => {
    stopped = true;
    for (const end of ends) end();
  };
}
