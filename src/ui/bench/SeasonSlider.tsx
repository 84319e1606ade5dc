'use client';
import { Pause, Play, Undo2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { jobsOf } from '../chart/jobWords';
import { Button } from '../parts/Button';
import { awayWords, dayWords } from '../season/dayWords';
import { useChart, useSettings, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { useBenchLook } from './useBench';

/** How long a day lasts while the season runs by itself, ms: long enough to see what changes. */
const DAY_MS = 350;

/** Runs the bench through the days to come: plants grow, lamps rise and hours step as the hang chart has it. */
export function SeasonSlider({ stand }: { stand: BenchStand }) {
  const { benchLooks, benchLights } = useWorkspace();
  const { day } = useBenchLook();
  const told = useSettings();
  const today = useToday();
  const { chart, working } = useChart();
  const [running, setRunning] = useState(false);
  const own = chart?.standId === stand.stand.id ? chart : null;
  const until = own?.until ?? today + 1;
  const now = Math.min(until, Math.max(today, day ?? today));
  const show = (next: number) => benchLooks.setState({ day: next <= today ? null : next, chosen: [] });
  const at = useRef(now);
  useEffect(() => {
    at.current = now;
  }, [now]);
  useEffect(() => {
    if (!running) return;
    const tick = setInterval(() => {
      const light = benchLights.getState();
      // The next day comes when the light of this one has.
      if (light.status === 'ready' && light.stale) return;
      if (at.current >= until) return setRunning(false);
      benchLooks.setState({ day: at.current + 1, chosen: [] });
    }, DAY_MS);
    return () => clearInterval(tick);
  }, [running, until, benchLooks, benchLights]);
  // Leaving the bench leaves the later day too.
  useEffect(() => () => benchLooks.setState({ day: null }), [benchLooks]);
  const dated = stand.tiers.some((t) => t.trays.some((y) => y.batch.sown !== null));

  const visit = own?.visits.findLast((v) => v.day <= now);
  const jobs = visit ? jobsOf(visit, stand, told) : [];
  return (
    <section aria-label="Season" className="border-b border-line bg-sheet px-3 py-1.5 md:px-5 print:hidden">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <Button
          kind="quiet"
          size="icon"
          aria-label={running ? 'Stop the season' : 'Show growth over time'}
          title={running ? 'Stop the season' : 'Show growth over time'}
          disabled={!own}
          onClick={() => {
            if (!running && now >= until) show(today);
            setRunning(!running);
          }}
        >
          {running ? <Pause size={18} aria-hidden /> : <Play size={18} aria-hidden />}
        </Button>
        <div className="relative min-w-40 flex-1">
          <input
            type="range"
            aria-label="Day of the season"
            aria-valuetext={`${dayWords(now)}, ${awayWords(now, today)}`}
            className="block h-9 w-full cursor-pointer accent-verdigris max-md:h-11"
            min={today}
            max={until}
            value={now}
            disabled={!own}
            onChange={(e) => {
              setRunning(false);
              show(Number(e.target.value));
            }}
          />
          <svg
            className="pointer-events-none absolute inset-x-2 bottom-0 h-1.5 w-[calc(100%-1rem)] text-copper"
            aria-hidden
            preserveAspectRatio="none"
            viewBox="0 0 1000 6"
          >
            {own?.visits.map((v) => (
              <rect
                key={v.day}
                x={((v.day - today) / Math.max(1, until - today)) * 1000 - 1.5}
                y="0"
                width="3"
                height="6"
                fill="currentColor"
              />
            ))}
          </svg>
        </div>
        <output className="w-44 font-semibold max-md:w-auto" data-testid="season-day">
          {dayWords(now)} <span className="font-normal text-soft">{awayWords(now, today)}</span>
        </output>
        {day !== null && (
          <Button onClick={() => (setRunning(false), show(today))}>
            <Undo2 size={17} aria-hidden /> Today
          </Button>
        )}
      </div>
      <p className="mt-1 min-h-5 text-sm text-soft" data-testid="season-jobs">
        {working !== null && !own
          ? 'Calculating the schedule…'
          : day === null
            ? dated
              ? 'Move the slider to another day. Plant heights, lamp heights and hours change as planned.'
              : 'No tray here has a date yet, so nothing grows: choose a tray and say when it was sown.'
            : visit && jobs.length > 0
              ? `By the visit of ${dayWords(visit.day)}: ${jobs.map((j) => `${j.tier === null ? '' : `tier ${j.tier}, `}${j.words}`).join('; ')}.`
              : 'Nothing has been changed up to this day.'}
      </p>
    </section>
  );
}
