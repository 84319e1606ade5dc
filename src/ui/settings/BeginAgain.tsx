'use client';
import { winterAhead } from '@/core/units/clockChanges';
import { Eye, FilePlus2, GraduationCap, Sprout } from 'lucide-react';
import type { Site } from '@/core/site/stand/Site';
import { newId } from '@/store/names/newId';
import { emptySite } from '@/store/site/newSite';
import { addSetUp, PLAIN_RECIPE } from '@/store/site/setUpVerbs';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { goToDemo, goHome } from '../practice/goHouse';
import { say } from '../shell/toastStore';
import { useToday, useWorkspace } from '../shell/WorkspaceContext';

/** The demo beside one's own data, or in its place; an empty beginning. Whatever is replaced is backed up first, and can be undone. */
export function BeginAgain() {
  const { house, sites, snapshots } = useWorkspace();
  const today = useToday();
  async function replace(what: string, next: () => Site | Promise<Site>, said: string) {
    const before = sites.getState().site;
    try {
      await snapshots.take(before, 'before');
    } catch {
      return say('This browser did not keep a backup, so nothing was changed. Save everything as a file first.');
    }
    const site = await next();
    const keep: Site = { ...site, currency: before.currency, price_per_kWh: before.price_per_kWh, timeZone: before.timeZone };
    if (changeSite(sites, what, () => keep, keep.stands[0]?.id)) say(said, { label: 'Undo', run: () => undo(sites) });
  }
  if (house.kind === 'practice')
    return (
      <Button className="min-h-11" onClick={() => goHome('/settings')}>
        Back to my data
      </Button>
    );
  const link = 'inline-flex min-h-11 items-center gap-2 rounded-md border border-line bg-sheet px-3 font-semibold hover:bg-sunk';
  return (
    <div className="flex flex-wrap gap-2">
      {house.kind === 'own' ? (
        <Button className="min-h-11" onClick={goToDemo}>
          <Eye size={17} aria-hidden /> Look at the demo
        </Button>
      ) : (
        <Button className="min-h-11" onClick={() => goHome('/settings')}>
          Back to my data
        </Button>
      )}
      <Button
        className="min-h-11"
        onClick={() =>
          void replace(
            'start from the demo',
            async () => (await import('@/store/site/demoSite')).demoSite(navigator.language, today, winterAhead(today)),
            'The demo stands here now. Your data before is in a backup.',
          )
        }
      >
        <Sprout size={17} aria-hidden /> {house.kind === 'demo' ? 'The demo as it was' : 'Start from the demo'}
      </Button>
      {house.kind === 'own' && (
        <Button
          className="min-h-11"
          onClick={() =>
            void replace(
              'start empty',
              () => addSetUp(PLAIN_RECIPE, newId())(emptySite(navigator.language)),
              'You start empty. Your data before is in a backup.',
            )
          }
        >
          <FilePlus2 size={17} aria-hidden /> Start empty
        </Button>
      )}
      <Link href="/clinic/practice" className={link}>
        <GraduationCap size={17} aria-hidden /> Practice
      </Link>
    </div>
  );
}
