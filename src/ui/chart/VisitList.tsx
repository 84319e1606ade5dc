'use client';
import { Check, Eye } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { doVisit } from '@/core/plan/hang/doVisits';
import type { HangChart, HangVisit } from '@/core/plan/hang/HangChart';
import type { VisitJobs } from '@/core/site/hang/KeptChart';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import type { Day } from '@/core/units/day';
import { showLength } from '@/core/units/length';
import { changeSite, undo } from '@/store/site/siteStore';
import { trayName } from '../bench/benchWords';
import { Button } from '../parts/Button';
import { awayWords, dayWords } from '../season/dayWords';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { say } from '../shell/toastStore';
import { useSettings, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { dliNumber } from '../drawing/lightWords';
import { STANDING_COLOURS } from '../verdict/resultColours';
import { clockChangeWords, jobsOf, sayWords, trayOf } from './jobWords';
import { Term } from '../terms/Term';

interface VisitListProps extends Pick<HangChart, 'clockChanges'> {
  stand: BenchStand;
  /** Those of a chart, or those that are found while it is worked out: these can be read, and nothing can be done with them yet. */
  visits: readonly (HangVisit | VisitJobs)[];
  /** Others may follow from what has changed since: nothing is to be done by these any more. */
  working: boolean;
}

/** The visits on which something is to be done, the next one first. */
export function VisitList({ stand, visits, clockChanges, working }: VisitListProps) {
  // What has been done is gone at once, and there again when it is undone at once; the chart without it follows.
  const [done, setDone] = useState<(Pick<VisitListProps, 'stand' | 'visits'> & { day: Day }) | null>(null);
  const left = done?.visits === visits && done.stand !== stand ? visits.filter((v) => v.day !== done.day) : visits;
  return (
    <>
      <ol className="space-y-0" aria-label="Visits">
        {left.map((v, i) => (
          <Visit
            key={v.day}
            stand={stand}
            visit={v}
            first={i === 0}
            working={working}
            onDone={() => {
              setDone({ stand, visits, day: v.day });
              focusHeadingIfLost();
            }}
          />
        ))}
      </ol>
      {clockChanges.map((c) => (
        <p key={c.day} className="border-t border-line py-2.5" data-testid="clock-change">
          <strong className="font-semibold">{dayWords(c.day)}:</strong> {clockChangeWords(c)}
        </p>
      ))}
    </>
  );
}

interface VisitProps extends Pick<VisitListProps, 'stand' | 'working'> {
  visit: HangVisit | VisitJobs;
  first: boolean;
  onDone: () => void;
}

function Visit({ stand, visit, first, working, onDone }: VisitProps) {
  const { sites, benchLooks } = useWorkspace();
  const told = useSettings();
  const today = useToday();
  const router = useRouter();
  const jobs = jobsOf(visit, stand, told);
  const isSettled = 'after' in visit;
  return (
    <li
      className="grid grid-cols-[6.5rem_1fr_auto] gap-x-4 border-t border-line py-2.5 max-md:grid-cols-[1fr_auto]"
      data-testid={isSettled ? 'visit' : 'visit-so-far'}
    >
      <div className="max-md:flex max-md:items-baseline max-md:gap-3">
        <p className="text-lg leading-7 font-semibold">{dayWords(visit.day)}</p>
        <p className="text-sm text-soft">{awayWords(visit.day, today)}</p>
      </div>
      <Button
        kind="quiet"
        className="col-start-3 row-start-1 max-md:col-start-2"
        aria-label={`See ${dayWords(visit.day)} on the bench`}
        title="See that day on the bench"
        disabled={!isSettled}
        onClick={() => {
          benchLooks.setState({ standId: stand.stand.id, season: true, day: visit.day > today ? visit.day : null, chosen: [] });
          router.push('/bench');
        }}
      >
        <Eye size={18} aria-hidden />
      </Button>
      <div className="col-start-2 row-start-1 min-w-0 space-y-1.5 max-md:col-span-2 max-md:col-start-1 max-md:row-start-2">
        <ul className="space-y-0.5">
          {jobs.map((j) => (
            <li key={j.key} className="flex gap-2">
              <span className="w-12 shrink-0 font-narrow text-soft">{j.tier === null ? 'timer' : `tier ${j.tier}`}</span>
              <span>{j.words}</span>
            </li>
          ))}
        </ul>
        {first && (
          <Button
            kind={visit.day <= today ? 'main' : 'plain'}
            disabled={!isSettled || working}
            onClick={() => {
              onDone();
              changeSite(sites, 'do the visit', (site) => doVisit(site, visit));
              say(visit.day <= today ? 'Visit saved. The later visits are being worked out again.' : 'Done early.', {
                label: 'Undo',
                run: () => undo(sites),
              });
            }}
          >
            <Check size={17} aria-hidden /> {visit.day <= today ? 'All done' : 'Done already'}
          </Button>
        )}
        {isSettled ? (
          <EachTray stand={stand} visit={visit} />
        ) : (
          <p aria-hidden className="flex min-h-8 items-center text-sm text-soft max-md:min-h-11">
            What each tray gets then
          </p>
        )}
      </div>
    </li>
  );
}

/** The light on each tray after a visit, and on the last day before the next one. */
function EachTray({ stand, visit }: { stand: BenchStand; visit: HangVisit }) {
  const { lengthUnit } = useSettings();
  return (
    <details className="text-sm">
      <summary className="inline-flex min-h-8 cursor-pointer items-center font-semibold text-verdigris max-md:min-h-11">
        What each tray gets then
      </summary>
      <div className="overflow-x-auto">
        <table className="w-full text-left">
          <thead className="text-soft">
            <tr>
              <th className="pr-3 font-normal">tray</th>
              <th className="pr-3 font-normal">lamp to leaves</th>
              <th className="pr-3 font-normal">
                <Term id="dli">mol/m²/day</Term>
              </th>
              <th className="pr-3 font-normal">and on {dayWords(visit.last)}</th>
            </tr>
          </thead>
          <tbody>
            {visit.after.map((d, i) => {
              const y = trayOf(stand, d.trayId);
              const later = visit.before[i]!;
              if (!y) return null;
              return (
                <tr key={d.trayId} className="border-t border-line tabular-nums">
                  <td className="py-0.5 pr-3">{trayName(y.tray)}</td>
                  <td className="pr-3 whitespace-nowrap">
                    {d.phase === 'growing'
                      ? `${showLength(d.distance, lengthUnit)} → ${showLength(later.distance, lengthUnit)}`
                      : d.phase === 'before'
                        ? 'before emergence'
                        : 'gone'}
                  </td>
                  <td className="pr-3 whitespace-nowrap">
                    {dliNumber(d.weakest)}–{dliNumber(d.strongest)}, <span className={STANDING_COLOURS[d.says]}>{sayWords(d.says)}</span>
                  </td>
                  <td className="pr-3 whitespace-nowrap">
                    {dliNumber(later.weakest)}–{dliNumber(later.strongest)},{' '}
                    <span className={STANDING_COLOURS[later.says]}>{sayWords(later.says)}</span>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </details>
  );
}
