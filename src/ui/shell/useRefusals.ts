import { useEffect } from 'react';
import type { SiteStore } from '@/store/site/siteStore';
import { refusalWords } from './refusalWords';
import { say } from './toastStore';

/** Says why a change was not made. */
export function useRefusals(sites: SiteStore): void {
  useEffect(
    () =>
      sites.subscribe(({ refused }, before) => {
        // After whatever the button says that asked for it.
        if (refused && refused !== before.refused) setTimeout(() => say(refusalWords(refused.problems)));
      }),
    [sites],
  );
}
