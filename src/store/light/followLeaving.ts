import type { BenchAnswer } from '../../core/answer/bench/BenchQuestion';
import { benchStandOf, type BenchStand } from '../../core/answer/stand/benchStand';
import { grownInOf, leavingOf, withGrownIn } from '../../core/plan/trial/grownIn';
import type { Site } from '../../core/site/stand/Site';
import { tables } from '../../core/things/tables/libraryTables';
import { adoptSite, type SiteStore } from '../site/siteStore';

/**
 * Writes down the light that a batch was grown in, once the last of its trays is taken away: what its harvest shows of the crop would go
 * with the trays otherwise. It is worked out beside the page, and is no step of undo: undone, the trays stand there again and tell it
 * themselves. What is not worked out by the time that the page goes is not known.
 *
 * @returns stops following
 */
export function followLeaving(sites: SiteStore, lightOfStand: (stand: BenchStand) => Promise<BenchAnswer>): () => void {
  let before = sites.getState().site;
  let stopped = false;

  async function remember(site: Site, batchId: string): Promise<void> {
    const stands = site.stands
      .filter((s) => s.tiers.some((t) => t.trays.some((y) => y.batchId === batchId)))
      .map((s) => benchStandOf(site, s, tables));
    const lit = await Promise.all(stands.map(async (stand) => ({ stand, answer: await lightOfStand(stand) })));
    const grownIn = grownInOf(batchId, lit);
    if (!grownIn || stopped) return;
    const write = withGrownIn(batchId, grownIn);
    const { site: now } = sites.getState();
    if (write(now) !== now) adoptSite(sites, write(now), write);
  }

  const end = sites.subscribe(({ site }) => {
    const was = before;
    before = site;
    // Without a thread to work it out, nobody knows it.
    for (const id of leavingOf(was, site)) void remember(was, id).catch(() => undefined);
  });
  return () => {
    stopped = true;
    end();
  };
}
