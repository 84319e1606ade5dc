import type { Lane } from '../../workers/light/light.pool';
import type { SiteStore } from '../site/siteStore';
import { followProfile } from './followProfile';
import { followSetUp } from './followSetUp';
import type { LightStore } from './lightStore';
import type { ProfileStore } from './profileStore';

/**
 * Works out the check's light while somebody looks at it, not on every page, and as soon as there is something that works it out.
 *
 * @param laneOf  where it is worked out; null before the workspace is open
 */
export function checkWatch(
  sites: SiteStore,
  lights: LightStore,
  profiles: ProfileStore,
  laneOf: (which: 'picture' | 'answers') => Lane | null,
) {
  let watchers = 0;
  let ends: (() => void)[] | null = null;
  function begin(): void {
    const [picture, answers] = [laneOf('picture'), laneOf('answers')];
    if (watchers === 0 || !picture || !answers || ends) return;
    const mine = (ends = [followSetUp(sites, lights, picture)]);
    const followAnswers = () => mine.push(followProfile(sites, profiles, answers));
    // The picture comes first: what is found from it has a worker that starts after it is there.
    if (lights.getState().status !== 'waiting') followAnswers();
    else {
      const seen = lights.subscribe(() => {
        seen();
        followAnswers();
      });
      mine.push(seen);
    }
  }
  function end(): void {
    ends?.forEach((stop) => stop());
    ends = null;
  }
  return {
    /** Begins once the workspace is open, if somebody looks already. */
    begin,
    end,
    /** Somebody looks; returns the end of that. */
    watch() {
      watchers++;
      begin();
      return () => {
        watchers--;
        if (watchers === 0) end();
      };
    },
  };
}
