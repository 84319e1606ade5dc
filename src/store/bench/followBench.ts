import type { BenchAnswer, BenchQuestion } from '../../core/answer/bench/BenchQuestion';
import { questionOfStand } from '../../core/answer/bench/questionOfStand';
import type { BenchStand } from '../../core/answer/stand/benchStand';
import type { SiteState, SiteStore } from '../site/siteStore';
import { newestWins } from '../newestWins';
import type { ChartStore } from './chartStore';
import { sitePreview } from './sitePreview';
import { benchStandIn } from './benchStandIn';
import type { BenchLightStore, BenchLookStore } from './benchStore';

/** The stand that the bench shows, or null when there is none. */
export function standOnBench({ site }: Pick<SiteState, 'site'>, standId: string | null): BenchStand | null {
  const stand = site.stands.find((s) => s.id === standId) ?? site.stands.find((s) => !s.autoArranged) ?? site.stands[0];
  return stand ? benchStandIn(site, stand) : null;
}

interface Asked {
  readonly of: BenchStand;
  readonly view: 'front' | 'side';
  readonly only: string | null;
  readonly isFirst: boolean;
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
  let last: { of: BenchStand; view: 'front' | 'side'; whole: boolean } | null = null;

  /** What is to be asked as things stand now; null: all is answered. */
  function nextToAsk(): Asked | null {
    const { view, handOn, standId, day } = looks.getState();
    const of = standOnBench({ site: sitePreview(sites.getState().site, charts.getState().chart, day) }, standId);
    if (!of) {
      last = null;
      lights.setState({ status: 'waiting' }, true);
      return null;
    }
    const now = lights.getState();
    // One tier alone can only be put into an answer that has the others.
    const only = handOn !== null && now.status === 'ready' && now.view === view && now.of.stand.id === of.stand.id ? handOn : null;
    if (last && last.of === of && last.view === view && (last.whole || only !== null)) return null;
    if (now.status === 'ready' && now.of.stand.id !== of.stand.id) lights.setState({ status: 'waiting' }, true);
    else if (now.status === 'ready' && only === null) lights.setState({ ...now, stale: true }, true);
    // The first look comes without the light between tiers, which takes longest.
    const isFirst = of.tiers.length > 1 && (now.status !== 'ready' || now.of.stand.id !== of.stand.id);
    last = { of, view, whole: only === null && !isFirst };
    return { of, view, only, isFirst };
  }

  const asked = newestWins<null, (Asked & { readonly answer: BenchAnswer }) | null>(
    async () => {
      const next = nextToAsk();
      return next && { ...next, answer: await ask(questionOfStand(next.of, next.view, next.only, !next.isFirst)) };
    },
    (told) => {
      if (!told) return;
      const { of, view, only, isFirst, answer } = told;
      const before = lights.getState();
      const tiers = only !== null && before.status === 'ready' ? { ...before.answer.tiers, ...answer.tiers } : answer.tiers;
      lights.setState({ status: 'ready', answer: { tiers }, of, view, stale: only !== null || isFirst }, true);
      if (isFirst) asked.put(null);
    },
    (_, reason) => {
      last = null;
      lights.setState({ status: 'failed', reason: reason instanceof Error ? reason.message : String(reason) }, true);
    },
  );
  const follow = () => asked.put(null);

  const ends = [sites.subscribe(follow), looks.subscribe(follow), charts.subscribe(follow)];
  follow();
  return () => {
    asked.stop();
    for (const end of ends) end();
  };
}
