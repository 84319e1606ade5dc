'use client';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import { mondayOf, type SeasonLook } from '@/core/plan/season/seasonLook';
import { sowWhereThereIsRoom } from '@/core/plan/season/toStands';
import { tables } from '@/core/things/tables/libraryTables';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { say } from '../shell/toastStore';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { nameOf, tierName, traysWords } from './seasonWords';

/** It has been sown: its trays go on the tier where it stands best, or the next with room. */
export function SownButton({ course, look }: { course: BatchCourse; look: SeasonLook | null }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const today = useToday();
  const { batch } = course;
  const week = look?.weeks.findIndex((w) => w.from === mondayOf(Math.max(today, batch.sown))) ?? -1;
  const best = batch.tierId ?? look?.placing.tierOf[batch.id]?.find((t, i) => i >= week && t !== null && t !== 'off') ?? null;
  return (
    <Button
      kind="main"
      onClick={() => {
        const done = sowWhereThereIsRoom(site, course, best, today, newId, tables);
        if (!done) return say('There is no free place on any tier. Make room on the bench first; the plan stays as it is.');
        if (!changeSite(sites, `sow ${nameOf(site, batch)}`, () => done.site)) return;
        const stuck = done.stuck > 0 ? ` ${traysWords(done.stuck)} found no place there.` : '';
        say(`Sown today, on ${tierName(site, done.tierId)}.${stuck}`, { label: 'Undo', run: () => undo(sites) });
      }}
    >
      Sown today
    </Button>
  );
}
