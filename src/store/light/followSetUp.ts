import type { LightQuestion } from '../../core/answer/check/LightQuestion';
import { plantAreaOf } from '../../core/site/stand/footprint';
import { sceneOfSetUp, setUpOf, type SetUp } from '../../core/answer/stand/setUp';
import type { LightWorker } from '../../workers/light/light.client';
import type { SiteState, SiteStore } from '../site/siteStore';
import { frameTopOf, sliceMarginOf } from './frameTop';
import { newestWins } from '../newestWins';
import type { LightState, LightStore } from './lightStore';
import { tables } from '../../core/things/tables/libraryTables';

type Shown = Pick<SiteState, 'site' | 'activeId'>;
/** The page and all that follows it ask for the same one at every move of a hand. */
let last: (Shown & { readonly setUp: SetUp | null }) | null = null;

/** The set-up that the check shows: one that is laid out by numbers; null when there is none, or it lives on the bench. */
export function activeSetUp({ site, activeId }: Shown): SetUp | null {
  if (last?.site === site && last.activeId === activeId) return last.setUp;
  const stands = site.stands.filter((s) => s.autoArranged);
  const stand = stands.find((s) => s.id === activeId) ?? stands[0];
  last = { site, activeId, setUp: stand ? setUpOf(site, stand, tables) : null };
  return last.setUp;
}

/** Side of a cell of the map: a centimetre, more for what is wider than 1.6 m. */
export const cellOf = ({ tier }: SetUp): number => Math.max(0.01, Math.max(tier.width, tier.depth) / 160);

/** What to ask of the light of a set-up; a large tier is computed in larger cells; `quick` while a hand drags. */
export function questionOf(setUp: SetUp, top: number, quick = false): LightQuestion {
  const { tier, canopy } = setUp;
  const cell = cellOf(setUp);
  return {
    scene: sceneOfSetUp(setUp),
    width: tier.width,
    depth: tier.depth,
    canopy,
    sliceTop: top,
    sliceMargin: sliceMarginOf(setUp),
    plantAreas: tier.trays.map(plantAreaOf),
    cell,
    sliceCell: Math.max(quick ? 2 * cell : cell, top / 160),
  };
}

/**
 * Keeps the light up to date with the set-up. What changes while a question is under way is asked once, as it then stands, so a fast
 * drag never builds a queue. Returns the function that stops following.
 */
export function followSetUp(sites: SiteStore, lights: LightStore, worker: Pick<LightWorker, 'answer'>): () => void {
  let asked: { setUp: SetUp; top: number; quick: boolean } | null = null;

  /** Looks at the set-up as it is now. @returns what its light has become; null where nothing is to be worked out */
  async function look(): Promise<LightState | null> {
    const state = sites.getState();
    const setUp = activeSetUp(state);
    if (!setUp) {
      asked = null;
      return { status: 'waiting' };
    }
    // A hand on the lamp keeps the scale still.
    const top = state.inGesture && asked ? asked.top : frameTopOf(setUp);
    const quick = state.inGesture;
    const isSame = asked !== null && asked.top === top && asked.quick === quick && sameLight(asked.setUp, setUp);
    asked = { setUp, top, quick };
    if (isSame) {
      const now = lights.getState();
      return now.status === 'ready' ? { ...now, of: setUp } : null;
    }
    try {
      return { status: 'ready', answer: await worker.answer(questionOf(setUp, top, quick)), of: setUp, top };
    } catch (error) {
      asked = null;
      return { status: 'failed', reason: error instanceof Error ? error.message : String(error) };
    }
  }

  const { put, stop } = newestWins<void, LightState | null>(
    look,
    (light) => {
      if (light) lights.setState(light, true);
    },
    () => undefined, // what fails is said in the light
  );
  const unsubscribe = sites.subscribe(() => put());
  put();
  return () => {
    stop();
    unsubscribe();
  };
}

/** Hours, names and prices do not change the light. */
function sameLight(a: SetUp, b: SetUp): boolean {
  return a.tier === b.tier && a.lamp === b.lamp && a.canopy === b.canopy;
}
