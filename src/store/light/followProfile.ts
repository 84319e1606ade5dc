import type { ProfileQuestion } from '../../core/answer/solve/Profile';
import { plantAreaOf } from '../../core/site/stand/footprint';
import { sceneOfSetUp, type SetUp } from '../../core/answer/stand/setUp';
import type { LightWorker } from '../../workers/light/light.client';
import { newestWins } from '../newestWins';
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
 * Returns the function that stops following.
 */
export function followProfile(sites: SiteStore, profiles: ProfileStore, worker: Pick<LightWorker, 'profile'>): () => void {
  let asked = '';
  const { put, stop } = newestWins(
    (question: { readonly key: string; readonly of: ProfileQuestion }) => worker.profile(question.of),
    (profile, { key }) => {
      if (key === asked) profiles.setState({ profile });
    },
    // The light of the picture says that the worker is gone; there is no answer without it.
    ({ key }) => {
      if (key === asked) asked = '';
    },
  );
  const look = () => {
    const setUp = activeSetUp(sites.getState());
    if (!setUp) return;
    const of = profileQuestionOf(setUp);
    const key = JSON.stringify(of);
    if (key === asked) return;
    asked = key;
    profiles.setState({ profile: null });
    put({ key, of });
  };
  const unsubscribe = sites.subscribe(look);
  look();
  return () => {
    stop();
    unsubscribe();
  };
}
