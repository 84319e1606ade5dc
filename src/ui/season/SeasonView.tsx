'use client';
import { CloudSun, Plus } from 'lucide-react';
import { useRouter, useSearchParams } from 'next/navigation';
import { useState } from 'react';
import type { BatchPhase } from '@/core/plan/season/batchCourse';
import type { SeasonPlan } from '@/core/site/season/SeasonPlan';
import { Button } from '../parts/Button';
import { textScale } from '../parts/textScale';
import { UndoButtons } from '../parts/UndoButtons';
import { useSize } from '../drawing/useSize';
import { focusHeading } from '../shell/focusHeading';
import { useSite, useToday } from '../shell/WorkspaceContext';
import { AddBatch } from './AddBatch';
import { BatchBars, PHASE_FILL, rowsOf } from './BatchBars';
import { BatchesPanel } from './BatchesPanel';
import { BatchPanel } from './BatchPanel';
import { RoomBars, RoomScale } from './RoomBars';
import { SeasonEmpty } from './SeasonEmpty';
import { SeasonOut } from './SeasonOut';
import { SeasonPanel } from './SeasonPanel';
import { SeasonPrint } from './SeasonPrint';
import { nameOf, PHASE_WORDS } from './seasonWords';
import { timeAxis } from './timeAxis';
import { useCourses, useImproved, useSeasonLook } from './useSeason';
import { WeatherSheet } from './WeatherSheet';
import type { TermId } from '../terms/glossary';
import { Term } from '../terms/Term';
import { NIGHT } from '../theme/night';

/** The season: batches as bars through stages and containers, and under them the room that has light. */
export function SeasonView() {
  const season = useSite((s) => s.site.season);
  return season ? <Planned season={season} /> : <SeasonEmpty />;
}

/** Days shown before the first and after the last thing. */
const MARGIN = { before: 4, after: 18 } as const;

function Planned({ season }: { season: SeasonPlan }) {
  const site = useSite((s) => s.site);
  const today = useToday();
  const router = useRouter();
  const chosenIds = useSearchParams().getAll('batch');
  const courses = useCourses(season);
  const { answer: quick, isWorking, failed } = useSeasonLook();
  const solver = useImproved();
  const answer = solver.improved ?? quick;
  const { ref, width } = useSize<HTMLDivElement>();
  const [open, setOpen] = useState<'add' | 'weather' | null>(null);
  const isNarrow = width < 560;
  const scale = width > 0 ? textScale() : 1;
  const labels = (isNarrow ? 96 : 148) * scale;
  const ends = courses.flatMap((c) => c.parts.at(-1)?.until ?? []);
  const starts = courses.flatMap((c) => c.parts[0]?.from ?? []);
  const axis = timeAxis(
    Math.min(today - 7, ...starts) - MARGIN.before,
    Math.max(today + 28, ...ends) + MARGIN.after,
    Math.max(0, width - labels),
  );
  const choose = (ids: readonly string[]) =>
    router.replace(ids.length === 0 ? '/season' : `/season?${new URLSearchParams(ids.map((id) => ['batch', id])).toString()}`, {
      scroll: false,
    });
  const chooseOne = (id: string, more = false) =>
    choose(!more ? [id] : chosenIds.includes(id) ? chosenIds.filter((c) => c !== id) : [...chosenIds, id]);
  const close = () => {
    choose([]);
    focusHeading();
  };
  const chosen = courses.filter((c) => chosenIds.includes(c.batch.id));
  const { rows } = rowsOf(courses, scale);
  const weeks = answer?.look.weeks ?? [];

  return (
    <div className="flex flex-1 flex-col">
      <header className="flex flex-wrap items-center gap-x-3 gap-y-2 border-b border-line bg-sheet px-4 py-2 md:px-6 print:hidden">
        <h1 className="min-w-40 flex-1 text-xl font-semibold max-sm:w-full max-sm:flex-none">{season.name}</h1>
        <UndoButtons />
        <WeatherSheet
          season={season}
          open={open === 'weather'}
          onOpenChange={(o) => setOpen(o ? 'weather' : null)}
          trigger={
            <Button aria-label="Frost and nights">
              <CloudSun size={17} aria-hidden /> <span className="max-sm:hidden">Frost and nights</span>
            </Button>
          }
        />
        <SeasonOut season={season} courses={courses} />
        <AddBatch
          season={season}
          open={open === 'add'}
          onOpenChange={(o) => setOpen(o ? 'add' : null)}
          onAdded={(id) => choose([id])}
          trigger={
            <Button kind="main">
              <Plus size={17} aria-hidden /> Add a batch
            </Button>
          }
        />
      </header>
      <div className="grid flex-1 grid-cols-1 lg:grid-cols-[minmax(0,1fr)_350px] print:hidden">
        {/* Stays in view beside what is said of it, which is longer. */}
        <div className="flex min-w-0 flex-col lg:sticky lg:top-0 lg:max-h-dvh lg:self-start lg:overflow-y-auto">
          <div
            ref={ref}
            data-picture="season"
            className="min-w-0 overflow-x-auto"
            tabIndex={axis.width + labels > width ? 0 : -1}
            aria-label="Season, by day"
            role="region"
          >
            <div className="flex w-max">
              <div className="sticky left-0 z-10 bg-plaster" style={{ width: labels, paddingTop: rows[0]?.y ?? 0 }}>
                {courses.map((c, i) => (
                  <p
                    key={c.batch.id}
                    className="flex items-center justify-end pr-3 pl-2 text-right text-sm leading-tight font-semibold"
                    style={{ height: rows[i]!.height }}
                  >
                    <span className="line-clamp-2">{nameOf(site, c.batch)}</span>
                  </p>
                ))}
              </div>
              {width > 0 && <BatchBars courses={courses} axis={axis} today={today} scale={scale} chosen={chosenIds} onChoose={chooseOne} />}
            </div>
            {courses.length > 0 && (
              <div className="night flex w-max bg-night">
                <div className="sticky left-0 z-10 bg-night" style={{ width: labels }}>
                  <RoomScale weeks={weeks} />
                </div>
                {width > 0 && <RoomBars weeks={weeks} axis={axis} today={today} isWorking={isWorking} />}
              </div>
            )}
          </div>
          <Key />
        </div>
        <aside
          className="border-line bg-sheet px-5 py-4 max-lg:border-t lg:border-l"
          aria-busy={isWorking}
          aria-label={chosen.length > 0 ? chosen.map((c) => nameOf(site, c.batch)).join(', ') : 'The season'}
        >
          {chosen.length > 1 ? (
            <BatchesPanel courses={chosen} onClose={close} />
          ) : chosen[0] ? (
            <BatchPanel key={chosen[0].batch.id} course={chosen[0]} season={season} look={answer?.look ?? null} onClose={close} />
          ) : (
            <SeasonPanel
              season={season}
              courses={courses}
              answer={answer}
              solver={solver}
              isWorking={isWorking}
              failed={failed}
              onChoose={chooseOne}
              onAdd={() => setOpen('add')}
            />
          )}
        </aside>
      </div>
      <SeasonPrint season={season} courses={courses} />
    </div>
  );
}

/** What a phase is called in the field, where that wants to be told. */
const PHASE_TERMS: Readonly<Partial<Record<BatchPhase, TermId>>> = { sown: 'emergence', potted: 'potting-on', hardening: 'hardening-off' };

function Key() {
  return (
    <ul className="flex flex-wrap gap-x-5 gap-y-1 px-4 py-3 font-narrow text-sm text-soft" aria-label="Key">
      {(['sown', 'raised', 'potted', 'hardening'] as const).map((phase) => (
        <li key={phase} className="flex items-center gap-1.5">
          <svg width="16" height="12" aria-hidden>
            <rect width="16" height="12" rx="2" fill={PHASE_FILL[phase]} />
          </svg>
          {PHASE_TERMS[phase] ? <Term id={PHASE_TERMS[phase]}>{PHASE_WORDS[phase]}</Term> : PHASE_WORDS[phase]}
        </li>
      ))}
      <li className="flex items-center gap-1.5">
        <svg width="32" height="12" aria-hidden>
          <circle cx="7" cy="6" r="4.5" className="fill-ink" />
          <circle cx="23" cy="6" r="4.5" className="fill-sheet stroke-ink" strokeWidth="1.5" />
        </svg>
        Sown, to be sown
      </li>
      <li>Height of a bar: trays it stands in</li>
      <li className="flex items-center gap-1.5">
        <svg width="16" height="12" aria-hidden>
          <rect width="16" height="12" rx="2" fill={NIGHT.lit} />
        </svg>
        Trays without enough light
      </li>
      <li>Pale line: trays that the tiers have light for</li>
    </ul>
  );
}
