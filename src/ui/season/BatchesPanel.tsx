'use client';
import { ArrowLeft, Trash2 } from 'lucide-react';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import { dropPlanned, shiftPlanned } from '@/core/site/stand/changeSeason';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { say } from '../shell/toastStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { briefDayWords } from './dayWords';
import { nameOf } from './seasonWords';

/** Several batches at once: moved together, or deleted. */
export function BatchesPanel({ courses, onClose }: { courses: readonly BatchCourse[]; onClose(): void }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const ids = courses.map((c) => c.batch.id);
  const sown = courses.filter((c) => c.batch.batchId !== null).length;
  const shift = (days: number) => changeSite(sites, `move ${ids.length} batches`, shiftPlanned(ids, days));
  return (
    <div className="space-y-4">
      <Button kind="quiet" className="-ml-3" onClick={onClose}>
        <ArrowLeft size={17} aria-hidden /> The whole season
      </Button>
      <h2 className="text-2xl leading-tight font-semibold">{ids.length} batches</h2>
      <ul className="space-y-1">
        {courses.map((c) => (
          <li key={c.batch.id}>
            <b>{nameOf(site, c.batch)}</b>, {c.batch.batchId ? 'sown' : 'sow'} {briefDayWords(c.parts[0]?.from ?? c.batch.sown)}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2" role="group" aria-label="Move together">
        {[-7, -1, 1, 7].map((days) => (
          <Button key={days} disabled={sown === courses.length} onClick={() => shift(days)}>
            {days > 0 ? '+' : '−'}
            {Math.abs(days)} {Math.abs(days) === 1 ? 'day' : 'days'}
          </Button>
        ))}
      </div>
      {sown > 0 && (
        <p className="text-sm text-soft">{sown === 1 ? 'One of them is' : `${sown} of them are`} sown and stay where they are.</p>
      )}
      <p className="text-sm text-soft">
        Shift or Ctrl with a click adds a bar or takes it away. Drag one, and all that are not sown move with it.
      </p>
      <Button
        onClick={() => {
          if (!changeSite(sites, `delete ${ids.length} batches from the plan`, (s) => ids.reduce((now, id) => dropPlanned(id)(now), s)))
            return;
          onClose();
          say(`${ids.length} batches are deleted from the plan. Their trays stay on the stands.`, {
            label: 'Undo',
            run: () => undo(sites),
          });
        }}
      >
        <Trash2 size={17} aria-hidden /> Delete
      </Button>
    </div>
  );
}
