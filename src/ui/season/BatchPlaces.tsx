'use client';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import type { SeasonLook } from '@/core/plan/season/seasonLook';
import { useSite } from '../shell/WorkspaceContext';
import { briefDayWords } from './dayWords';
import { tierName } from './seasonWords';

/** Where the placing puts it, week by week: stretches on the same tier. */
export function PlacesByWeek({ course, look }: { course: BatchCourse; look: SeasonLook | null }) {
  const site = useSite((s) => s.site);
  if (!look) return null;
  const places = look.placing.tierOf[course.batch.id] ?? [];
  const well = look.placing.well[course.batch.id] ?? [];
  const stretches: { from: number; until: number; tier: string; well: boolean }[] = [];
  places.forEach((tier, t) => {
    if (tier === null) return;
    const last = stretches.at(-1);
    if (last && last.tier === tier && last.well === well[t] && last.until === t) last.until = t + 1;
    else stretches.push({ from: t, until: t + 1, tier, well: well[t] ?? true });
  });
  if (stretches.length === 0) return null;
  return (
    <ul className="space-y-0.5 text-sm" aria-label="Where it stands best">
      {stretches.map((s) => (
        <li key={s.from} className={s.well ? '' : 'text-copper'}>
          {briefDayWords(look.weeks[s.from]!.from)}–{briefDayWords(look.weeks[s.until - 1]!.from + 6)}:{' '}
          {s.tier === 'off' ? 'no place with light' : tierName(site, s.tier)}
          {s.well ? '' : s.tier === 'off' ? '' : ', too little light'}
        </li>
      ))}
    </ul>
  );
}
