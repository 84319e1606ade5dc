import type { BenchAnswer } from '../../core/answer/bench/BenchQuestion';
import { benchStandOf, type BenchStand } from '../../core/answer/stand/benchStand';
import { grownInOf, leavingOf, withGrownIn } from '../../core/plan/trial/grownIn';
import { closingIn, toWriteDown, withHad, type Closing } from '../../core/plan/trial/hadLight';
import type { Change } from '../../core/site/stand/change';
import type { GrownIn, Site } from '../../core/site/stand/Site';
import type { TrayHad, Trial } from '../../core/site/trial/Trial';
import { tables } from '../../core/things/tables/libraryTables';
import { adoptSite, type SiteStore } from '../site/siteStore';

/** Whoever works out light, beside the page. */
interface Asked {
  lightOfStand(stand: BenchStand): Promise<BenchAnswer>;
  givenInTrial(site: Site, trial: Trial): Promise<ReadonlyMap<string, TrayHad>>;
  givenToBatch(site: Site, batchId: string): Promise<GrownIn | null>;
}

/**
 * Writes down the light that a batch was grown in, once the last of its trays is taken away, and what a tray of a trial has been given, once
 * it is taken away or the trial ends: what they show of the crop would go with the trays, or with the lamps over them, otherwise. It is
 * worked out beside the page, and is no step of undo: undone, the trays stand there again and tell it themselves. What is not worked out by
 * the time that the page goes is not known.
 *
 * @returns stops following
 */
export function followLeaving(sites: SiteStore, { lightOfStand, givenInTrial, givenToBatch }: Asked): () => void {
  let before = sites.getState().site;
  let stopped = false;

  function write(change: Change): void {
    const { site: now } = sites.getState();
    if (!stopped && change(now) !== now) adoptSite(sites, change(now), change);
  }

  async function rememberBatch(site: Site, batchId: string): Promise<void> {
    const given = await givenToBatch(site, batchId);
    if (given) return write(withGrownIn(batchId, given));
    // Nobody knows since when: as it stood last.
    const stands = site.stands
      .filter((s) => s.tiers.some((t) => t.trays.some((y) => y.batchId === batchId)))
      .map((s) => benchStandOf(site, s, tables));
    const lit = await Promise.all(stands.map(async (stand) => ({ stand, answer: await lightOfStand(stand) })));
    const grownIn = grownInOf(batchId, lit);
    if (grownIn) write(withGrownIn(batchId, grownIn));
  }

  async function rememberTrial(site: Site, trial: Trial, closing: Closing): Promise<void> {
    write(withHad(closing, toWriteDown(await givenInTrial(site, trial), closing)));
  }

  const end = sites.subscribe(({ site }) => {
    const was = before;
    before = site;
    // Without a thread to work it out, nobody knows it.
    for (const id of leavingOf(was, site)) void rememberBatch(was, id).catch(() => undefined);
    for (const closing of closingIn(was, site)) {
      const trial = site.trials.find((t) => t.id === closing.trialId)!;
      void rememberTrial(was, trial, closing).catch(() => undefined);
    }
  });
  return () => {
    stopped = true;
    end();
  };
}
