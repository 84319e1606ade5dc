'use client';
import { Copy, Scissors } from 'lucide-react';
import { useState } from 'react';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import { addPlanned, joinPlanned, splitPlanned } from '@/core/site/stand/changeSeason';
import type { SeasonPlan } from '@/core/site/season/SeasonPlan';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { NumberField } from '../parts/NumberField';
import { say } from '../shell/toastStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { daysWords } from './dayWords';
import { nameOf } from './seasonWords';

export function SplitButton({ course }: { course: BatchCourse }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const { batch } = course;
  if (batch.cells < 2) return null;
  return (
    <Button
      onClick={() => {
        changeSite(sites, `split ${nameOf(site, batch)}`, splitPlanned(batch.id, Math.floor(batch.cells / 2), newId()));
        say('Split in two halves: each has its own dates and places now.', { label: 'Undo', run: () => undo(sites) });
      }}
    >
      <Scissors size={17} aria-hidden /> Split
    </Button>
  );
}

export function JoinButton({ course, season, onClose }: { course: BatchCourse; season: SeasonPlan; onClose(): void }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const other = season.batches.find(
    (b) => b.id !== course.batch.id && b.cropId === course.batch.cropId && b.sown === course.batch.sown && b.batchId === null,
  );
  if (!other) return null;
  return (
    <Button
      onClick={() => {
        changeSite(sites, `join ${nameOf(site, course.batch)}`, joinPlanned(course.batch.id, other.id));
        onClose();
        say('Joined: one batch again.', { label: 'Undo', run: () => undo(sites) });
      }}
    >
      Join with {nameOf(site, other)}
    </Button>
  );
}

/** The same again every so many days. */
export function Succession({ course }: { course: BatchCourse }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const [every, setEvery] = useState(9);
  const [times, setTimes] = useState(4);
  const { batch } = course;
  const name = nameOf(site, batch);
  return (
    <details>
      <summary className="inline-flex min-h-9 items-center gap-2 rounded-md border border-line px-3 font-semibold max-md:min-h-11">
        <Copy size={17} aria-hidden /> Sow again and again
      </summary>
      <div className="flex flex-wrap items-end gap-3 py-2">
        <NumberField label="Every" value={every} min={1} max={120} whole unit="days" inputClassName="w-16" onChange={setEvery} />
        <NumberField label="More times" value={times} min={1} max={40} whole inputClassName="w-16" onChange={setTimes} />
        <Button
          onClick={() => {
            const copies = Array.from({ length: times }, (_, i) => ({
              ...batch,
              id: newId(),
              label: `${name} ${i + 2}`.slice(0, 120),
              sown: batch.sown + every * (i + 1),
              out: batch.out + every * (i + 1),
              batchId: null,
              lost: null,
            }));
            if (!changeSite(sites, `sow ${name} again`, addPlanned(...copies))) return;
            say(`${times} more of ${name}, every ${daysWords(every)}.`, { label: 'Undo', run: () => undo(sites) });
          }}
        >
          Add them
        </Button>
      </div>
    </details>
  );
}
