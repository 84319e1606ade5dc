import type { BenchAnswer } from '../../core/answer/bench/BenchQuestion';
import { benchStandOf, type BenchStand } from '../../core/answer/stand/benchStand';
import { grownInOf, leavingOf, withGrownIn } from '../../core/plan/trial/grownIn';
import { closingIn, givenUntil, withHad, type Closing } from '../../core/plan/trial/hadLight';
import { trialPlacesOf } from '../../core/plan/trial/trialPlaces';
import type { Change } from '../../core/site/stand/change';
import type { Site } from '../../core/site/stand/Site';
import type { Trial } from '../../core/site/trial/Trial';
import { tables } from '../../core/things/tables/libraryTables';
import type { Day } from '../../core/units/day';
import { adoptSite, type SiteStore } from '../site/siteStore';

/**
 * Writes down the light that a batch was grown in, once the last of its trays is taken away, and what a tray of a trial has been given, once
 * it is taken away or the trial ends: what they show of the crop would go with the trays, or with the lamps over them, otherwise. It is
 * worked out beside the page, and is no step of undo: undone, the trays stand there again and tell it themselves. What is not worked out by
 * the time that the page goes is not known.
 *
 * @returns stops following
 */
export function followLeaving(sites: SiteStore, lightOfStand: (stand: BenchStand) => Promise<BenchAnswer>, today: () => Day): () => void {
  let before = sites.getState().site;
  let stopped = false;

  /** Stands of a site that carry some trays, with their light. */
  const litOf = (site: Site, isMeant: (tray: { readonly id: string; readonly batchId: string }) => boolean) =>
    Promise.all(
      site.stands
        .filter((s) => s.tiers.some((t) => t.trays.some(isMeant)))
        .map((s) => benchStandOf(site, s, tables))
        .map(async (stand) => ({ stand, answer: await lightOfStand(stand) })),
    );

  function write(change: Change): void {
    const { site: now } = sites.getState();
    if (!stopped && change(now) !== now) adoptSite(sites, change(now), change);
  }

  async function rememberBatch(site: Site, batchId: string): Promise<void> {
    const grownIn = grownInOf(batchId, await litOf(site, (y) => y.batchId === batchId));
    if (grownIn) write(withGrownIn(batchId, grownIn));
  }

  async function rememberTrial(site: Site, trial: Trial, closing: Closing, day: Day): Promise<void> {
    // Those that stay may have stood where one of these stands now.
    const ids = new Set(trial.trays.map((row) => row.trayId));
    const places = trialPlacesOf(await litOf(site, (y) => ids.has(y.id)));
    write(withHad(closing, givenUntil(trial, closing.codes, places, day)));
  }

  const end = sites.subscribe(({ site }) => {
    const was = before;
    before = site;
    // Without a thread to work it out, nobody knows it.
    for (const id of leavingOf(was, site)) void rememberBatch(was, id).catch(() => undefined);
    for (const closing of closingIn(was, site)) {
      const trial = site.trials.find((t) => t.id === closing.trialId)!;
      void rememberTrial(was, trial, closing, today()).catch(() => undefined);
    }
  });
  return () => {
    stopped = true;
    end();
  };
}
