'use client';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import type { SeasonLook } from '@/core/plan/season/seasonLook';
import { mondayOf } from '@/core/plan/season/seasonLook';
import { sowOnStand } from '@/core/plan/season/toStands';
import { tables } from '@/core/things/tables/libraryTables';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { say } from '../shell/toastStore';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { nameOf, tierName, traysWords } from './seasonWords';

export function SownButton({ course, look }: { course: BatchCourse; look: SeasonLook | null }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const today = useToday();
  const { batch } = course;
  const tiers = site.stands.filter((s) => !s.laidOut).flatMap((s) => s.tiers);
  const week = look?.weeks.findIndex((w) => w.from === mondayOf(Math.max(today, batch.sown))) ?? -1;
  const best = batch.tierId ?? look?.placing.tierOf[batch.id]?.find((t, i) => i >= week && t !== null && t !== 'off') ?? tiers[0]?.id;
  if (!best) return null;
  return (
    <Button
      kind="main"
      onClick={() => {
        const asked = sowOnStand(site, course, best, today, newId, tables);
        const order = [best, ...tiers.map((t) => t.id).filter((id) => id !== best)];
        // Where the best tier is full, the next one with room.
        const done = order.map((id) => ({ id, ...sowOnStand(site, course, id, today, newId, tables) })).find((d) => d.site !== site) ?? {
          id: best,
          ...asked,
        };
        if (done.site === site) return say('There is no free place on any tier. Make room on the bench first; the plan stays as it is.');
        if (!changeSite(sites, `sow ${nameOf(site, batch)}`, () => done.site)) return;
        say(`Sown today, on ${tierName(site, done.id)}.${done.stuck > 0 ? ` ${traysWords(done.stuck)} found no place there.` : ''}`, {
          label: 'Undo',
          run: () => undo(sites),
        });
      }}
    >
      Sown today
    </Button>
  );
}
