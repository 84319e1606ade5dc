'use client';
import clsx from 'clsx';
import { Check, ChevronDown } from 'lucide-react';
import { useState } from 'react';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { doJob } from '@/core/plan/today/doJob';
import type { Job } from '@/core/plan/today/Job';
import { coursesOf } from '@/core/plan/season/seasonLook';
import { potOnStand } from '@/core/plan/today/potOnStand';
import { sowWhereThereIsRoom } from '@/core/plan/season/toStands';
import { logIt } from '@/core/site/growth/changeGrowth';
import { markJobs, unmarkJob } from '@/core/site/stand/changeToday';
import type { Site } from '@/core/site/stand/Site';
import type { Day } from '@/core/units/day';
import { tables } from '@/core/things/tables/libraryTables';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { focusHeading } from '../shell/focusHeading';
import { say } from '../shell/toastStore';
import { useSettings, useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { pottedWords } from '../season/pottedWords';
import { jobSaid, whereWords } from './todayWords';

/** The site with a job done, and what is to be told of it beside its own words; null where it can't be done now. */
function siteAfter(site: Site, job: Job, day: Day): { readonly site: Site; readonly told: string } | null {
  const { what } = job;
  const course = 'planId' in what && site.season ? coursesOf(site, site.season, tables).find((c) => c.batch.id === what.planId) : undefined;
  const done = (now: Site, told = '') => ({ site: doJob(job, day, newId)(now), told });
  if (what.kind === 'sow') {
    const sown = course && sowWhereThereIsRoom(site, course, course.batch.tierId, day, newId, tables);
    return sown ? done(sown.site) : null;
  }
  if (what.kind === 'pot-on' && course) {
    const potted = potOnStand(site, course, what.containerId, newId, tables);
    return done(potted.site, potted.site === site ? '' : pottedWords(site, potted, what.containerId));
  }
  return done(site);
}

interface JobListProps {
  jobs: readonly Job[];
  stands: ReadonlyMap<string, BenchStand>;
  doneKeys: ReadonlySet<string>;
}

/** The jobs, one below the other: a thumb-sized tick, the reason one press away. */
export function JobList({ jobs, stands, doneKeys }: JobListProps) {
  const { sites } = useWorkspace();
  const today = useToday();
  const open = jobs.filter((j) => !doneKeys.has(j.key));
  const isLastOfTier = (i: number) => jobs[i]!.tierId !== null && !jobs.slice(i + 1).some((j) => j.tierId === jobs[i]!.tierId);
  return (
    <ol aria-label="Jobs of today">
      {jobs.map((job, i) => {
        const ofTier = open.filter((j) => j.tierId !== null && j.tierId === job.tierId);
        return (
          <JobRow
            key={job.key}
            job={job}
            n={i + 1}
            isDone={doneKeys.has(job.key)}
            stand={job.standId ? stands.get(job.standId) : undefined}
          >
            {isLastOfTier(i) && ofTier.length > 1 && (
              <AllOfTier
                jobs={ofTier}
                onDone={() => {
                  const all = ofTier.reduce(
                    (now, j) => {
                      const after = siteAfter(now.site, j, today);
                      return after ? { site: after.site, told: [...now.told, after.told] } : now;
                    },
                    { site: sites.getState().site, told: [`${ofTier.length} jobs are done.`] },
                  );
                  if (changeSite(sites, 'do all of a tier', () => all.site))
                    say(all.told.filter(Boolean).join(' '), { label: 'Undo', run: () => undo(sites) });
                }}
              />
            )}
          </JobRow>
        );
      })}
    </ol>
  );
}

function AllOfTier({ jobs, onDone }: { jobs: readonly Job[]; onDone(): void }) {
  const site = useSite((s) => s.site);
  return (
    <Button className="mx-4 mb-3" onClick={onDone}>
      <Check size={17} aria-hidden /> {jobs.length === 2 ? 'Both' : `All ${jobs.length}`} of {whereWords(site, jobs[0]!)} done
    </Button>
  );
}

function JobRow({
  job,
  n,
  isDone,
  stand,
  children,
}: {
  job: Job;
  n: number;
  isDone: boolean;
  stand: BenchStand | undefined;
  children: React.ReactNode;
}) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const told = useSettings();
  const today = useToday();
  const [isOpen, setIsOpen] = useState(false);
  const said = jobSaid(site, job, stand, told, today);
  const mark = (state: 'later' | 'not-needed', words: string) => {
    changeSite(sites, words, markJobs({ key: job.key, day: today, state, until: state === 'later' ? today + 1 : null }));
    // The job goes away, and the button with it.
    focusHeading();
    say(`${said.title}: ${words}.`, { label: 'Undo', run: () => undo(sites) });
  };
  function tick() {
    if (isDone) {
      changeSite(sites, 'open a job again', unmarkJob(job.key));
      return say('Open again. What it changed stays; Undo takes that back as well.', { label: 'Undo', run: () => undo(sites) });
    }
    const after = siteAfter(site, job, today);
    if (!after) return say('There is no free place on any tier. Make room on the bench first, then tick it.');
    if (changeSite(sites, said.title.toLowerCase(), () => after.site))
      say([said.done, after.told].filter(Boolean).join(' '), { label: 'Undo', run: () => undo(sites) });
  }
  const seedlings = job.what.kind === 'look-for-seedlings' ? job.what : null;
  return (
    <li className="border-b border-line bg-sheet">
      <div className="flex items-center gap-3 px-4 py-2.5">
        <span
          className={clsx(
            'grid size-8 shrink-0 place-items-center rounded-full font-semibold',
            isDone ? 'bg-sunk text-soft' : 'bg-lit text-night',
          )}
          aria-hidden
        >
          {n}
        </span>
        <button type="button" className="min-h-12 min-w-0 flex-1 text-left" aria-expanded={isOpen} onClick={() => setIsOpen(!isOpen)}>
          <span className={clsx('block text-[1.0625rem] leading-snug font-semibold', isDone && 'text-soft line-through')}>
            {said.title}
          </span>
          <span className="flex items-center gap-1 text-sm text-soft">
            {said.where}
            {job.due < today && !isDone && <span className="text-copper"> · late</span>}
            <ChevronDown size={15} className={clsx(isOpen && 'rotate-180')} aria-label="Why" />
          </span>
        </button>
        {seedlings && !isDone ? (
          <span className="flex flex-col gap-1.5 sm:flex-row">
            <Button
              className="min-h-11! border-verdigris"
              onClick={() => {
                changeSite(sites, 'they are up', (s) =>
                  markJobs({ key: job.key, day: today, state: 'done', until: null })(
                    logIt(seedlings.batchId, { id: newId(), day: today, what: 'emerged', height: null, stage: null })(s),
                  ),
                );
                say('Up: noted. Lamp on, cover and mat off.', { label: 'Undo', run: () => undo(sites) });
              }}
            >
              Up
            </Button>
            <Button className="min-h-11!" onClick={tick}>
              None yet
            </Button>
          </span>
        ) : job.what.kind === 'safety' ? (
          <Link
            href={said.href ?? '/lamps/safety'}
            className="inline-flex min-h-12 items-center rounded-xl border-2 border-copper bg-sheet px-3 font-semibold text-copper"
          >
            Check
          </Link>
        ) : (
          <button
            type="button"
            role="checkbox"
            aria-checked={isDone}
            aria-label={`Done: ${said.title}`}
            className={clsx(
              'grid size-12 shrink-0 place-items-center rounded-xl border-2',
              isDone ? 'border-verdigris bg-verdigris text-sheet' : 'border-soft bg-sheet',
            )}
            onClick={tick}
          >
            {isDone && <Check size={26} strokeWidth={3} aria-hidden />}
          </button>
        )}
      </div>
      {isOpen && (
        <div className="space-y-2 px-4 pb-3 pl-15">
          <p>{said.why}</p>
          <div className="flex flex-wrap gap-2">
            {!isDone && <Button onClick={() => mark('later', 'put off until tomorrow')}>Later</Button>}
            {!isDone && <Button onClick={() => mark('not-needed', 'not needed')}>Not needed</Button>}
            {said.href && job.what.kind !== 'safety' && (
              <Link
                className="inline-flex min-h-9 items-center rounded-md border border-line px-3 font-semibold hover:bg-sunk max-md:min-h-11"
                href={said.href}
              >
                See where this comes from
              </Link>
            )}
          </div>
        </div>
      )}
      {children}
    </li>
  );
}
