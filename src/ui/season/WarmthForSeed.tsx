import type { BatchCourse } from '@/core/plan/season/batchCourse';
import { matsShort } from '@/core/plan/season/matsShort';
import { useSite, useToday } from '../shell/WorkspaceContext';
import { briefDayWords } from './dayWords';
import { traysWords } from './seasonWords';

/** That seed wants more warmth from below than there are mats. */
export function WarmthForSeed({ courses }: { courses: readonly BatchCourse[] }) {
  const stands = useSite((s) => s.site.stands);
  const short = matsShort(courses, stands, useToday());
  if (!short) return null;
  const { week, trays, mats } = short;
  return (
    <section aria-labelledby="mats">
      <h3 id="mats" className="text-lg font-semibold">
        Warmth for seed
      </h3>
      <p>
        In the week of {briefDayWords(week)}, {traysWords(trays)} {trays === 1 ? 'wants' : 'want'} a heat mat;{' '}
        {mats === 0 ? 'none is' : mats === 1 ? 'one is' : `${mats} are`} plugged in. Sow them one after the other, or find a warm place:
        seed needs no light until it comes up, but for a few crops.
      </p>
    </section>
  );
}
