'use client';
import { ChevronRight, Plus } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { addTrial } from '@/core/site/stand/changeTrials';
import { newId } from '@/store/names/newId';
import { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { UndoButtons } from '../parts/UndoButtons';
import { dayWords } from '../season/dayWords';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { newTrial } from './newTrial';
import { FACTOR_WORDS } from './trialWords';

/** All comparisons of trays. */
export function TrialsView() {
  const { sites } = useWorkspace();
  const trials = useSite((s) => s.site.trials);
  const today = useToday();
  const router = useRouter();
  const begin = () => {
    const id = newId();
    changeSite(sites, 'begin a trial', addTrial(newTrial(id, today, Math.floor(Math.random() * 4294967295))));
    router.push(`/season/trials/${encodeURIComponent(id)}`);
  };
  return (
    <div className="mx-auto w-full max-w-4xl space-y-5 px-4 py-5 md:px-6">
      <header className="flex flex-wrap items-center gap-3">
        <h1 className="min-w-0 flex-1 text-2xl font-semibold">Trials</h1>
        <UndoButtons />
        <Button kind="main" onClick={begin}>
          <Plus size={17} aria-hidden /> New trial
        </Button>
        <p className="basis-full text-soft">
          Compare trays side by side. The question is fixed first; the plan checks whether the trays can answer it, and says what the result
          shows and what not.
        </p>
      </header>
      {trials.length === 0 && <p>No trial yet. Two trays side by side are a beginning; four on each side can show something.</p>}
      <ul className="divide-y divide-line border-y border-line empty:hidden">
        {[...trials].reverse().map((t) => (
          <li key={t.id}>
            <Link href={`/season/trials/${encodeURIComponent(t.id)}`} className="flex min-h-12 items-center gap-3 py-2 hover:bg-sunk">
              <span className="min-w-0 flex-1">
                <b>{t.name}</b>
                <span className="block text-sm text-soft">
                  {FACTOR_WORDS[t.factor]}: {t.arms.map((a) => a.name || a.id).join(' against ')} · {t.trays.length} trays
                </span>
              </span>
              <span className="text-sm text-soft">
                {t.ended !== null
                  ? `ended ${dayWords(t.ended)}`
                  : today < t.starts
                    ? `starts ${dayWords(t.starts)}`
                    : `day ${today - t.starts}`}
              </span>
              <ChevronRight size={18} aria-hidden />
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}
