import type { ProfileQuestion } from '../../core/answer/solve/Profile';
import { plantAreaOf } from '../../core/site/stand/footprint';
import { sceneOfSetUp, type SetUp } from '../../core/answer/stand/setUp';
import type { LightWorker } from '../../workers/light/light.client';
import type { SiteStore } from '../site/siteStore';
import { farthestOf, NEAREST_FACE } from '../site/setUpVerbs';
import { activeSetUp } from './followSetUp';
import type { ProfileStore } from './profileStore';

/** What to ask so that any distance can be answered: the lamps at height 0, the plants below them. */
export function profileQuestionOf(setUp: SetUp): ProfileQuestion {
  return {
    emitters: sceneOfSetUp(setUp, 0).lamps.flatMap((lamp) => lamp.emitters),
    plantAreas: setUp.tier.trays.map(plantAreaOf),
    nearest: NEAREST_FACE,
    farthest: farthestOf(setUp.tier.enclosure, setUp.canopy),
    around: setUp.room && { room: setUp.room, face: setUp.canopy },
  };
}

/**
 * Keeps the light at all distances up to date with lamps, trays and readings; distance and hours do not matter to it.
 * One question is under way at a time; what changes meanwhile is asked once. Returns the function that stops following.
 */
export function followProfile(sites: SiteStore, profiles: ProfileStore, worker: Pick<LightWorker, 'profile'>): () => void {
  let asking = false, changed = false, stopped = false; // prettier-ignore
  let lastKey = '';

  async function ask() {
    if (asking) {
      changed = true;
      return;
    }
    asking = true;
    do {
      changed = false;
      const setUp = activeSetUp(sites.getState());
      if (!setUp) break;
      const question = profileQuestionOf(setUp);
      const key = JSON.stringify(question);
      if (key === lastKey) continue;
      lastKey = key;
      profiles.setState({ profile: null });
      try {
        const profile = await worker.profile(question);
        if (!stopped) profiles.setState({ profile });
      } catch {
        // The light of the picture says that the worker is gone; there is no answer without it.
        lastKey = '';
      }
    } while (changed && !stopped);
    asking = false;
  }

  const unsubscribe = sites.subscribe(ask);
  void ask();
  return () => {
    stopped = true;
    unsubscribe();
  };
}
