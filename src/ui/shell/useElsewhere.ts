import { useEffect } from 'react';
import { putAt } from '@/store/saved/merge';
import { changeSite, undo } from '@/store/site/siteStore';
import type { Workspace } from '@/store/workspace';
import { say } from './toastStore';

/** Says what another window changed that was changed here too, with the way to the other one. */
export function useElsewhere({ elsewhere, sites, snapshots }: Workspace): void {
  useEffect(
    () =>
      elsewhere.subscribe(({ told }) => {
        if (told?.what === 'clashes')
          say(`Another window changed ${told.clashes.length === 1 ? 'the same value' : 'the same values'}. Yours is kept.`, {
            label: 'Use the other one',
            run() {
              changeSite(sites, 'use what the other window has', (site) =>
                told.clashes.reduce((s, { path, theirs }) => putAt(s, path, theirs), site),
              );
              say('What the other window had stands here now.', { label: 'Undo', run: () => undo(sites) });
            },
          });
        if (told?.what === 'apart')
          void snapshots
            .take(told.mine, 'apart')
            .then(() =>
              say(
                'Another window changed too much for both to be kept together. What it has stands; what you had here is a backup under Settings, Your data.',
              ),
            );
      }),
    [elsewhere, sites, snapshots],
  );
}
