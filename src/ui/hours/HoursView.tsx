'use client';
import clsx from 'clsx';
import Link from 'next/link';
import { useEffect, useMemo, useState } from 'react';
import type { BenchAnswer } from '@/core/bench/BenchQuestion';
import type { BenchStand } from '@/core/stand/benchStand';
import { timersOf } from '@/core/timer/servedBy';
import { showClock } from '@/core/units/clock';
import { useStand } from '../bench/useBench';
import { SelectField } from '../parts/SelectField';
import { UndoButtons } from '../parts/UndoButtons';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { TimerCard } from './TimerCard';

/** All timers of a stand: when the lamps burn, what that gives each tray, and when they had better burn. */
export function HoursView() {
  const stand = useStand();
  if (!stand)
    return (
      <section className="m-auto max-w-md space-y-4 p-6 text-center">
        <h1 className="text-2xl font-semibold">No timer yet.</h1>
        <p>Timers belong to a stand with its lamps. Put one on the bench, or begin with the quick check.</p>
        <Link href="/bench" className="font-semibold underline underline-offset-4">
          To the bench
        </Link>
      </section>
    );
  return <OfStand key={stand.stand.id} stand={stand} />;
}

function OfStand({ stand }: { stand: BenchStand }) {
  const { benchLooks, lightOfStand } = useWorkspace();
  const { stands, quiet, cheap } = useSite((s) => s.site);
  const [light, setLight] = useState<BenchAnswer | 'failed' | null>(null);
  useEffect(() => {
    let gone = false;
    // The last light stays while the next is worked out: hours change it little.
    lightOfStand(stand).then(
      (answer) => !gone && setLight(answer),
      () => !gone && setLight('failed'),
    );
    return () => {
      gone = true;
    };
  }, [lightOfStand, stand]);
  const timers = useMemo(() => timersOf(stand), [stand]);
  return (
    <div className="mx-auto w-full max-w-6xl px-4 py-5 md:px-6">
      <header className="flex flex-wrap items-end gap-x-3 gap-y-2 pb-4">
        <h1 className="flex-1 text-2xl font-semibold">Hours</h1>
        <SelectField
          label="stand"
          value={stand.stand.id}
          options={stands.map((s) => ({ value: s.id, label: s.name }))}
          onChange={(id) => benchLooks.setState({ standId: id, tierId: null, chosen: [] })}
        />
        <span className="max-md:hidden">
          <UndoButtons />
        </span>
      </header>
      <ul className="flex flex-wrap items-center gap-x-4 pb-4 text-[15px] text-soft">
        <Key swatch="h-3 rounded-sm bg-[#e08a52]">lamps on</Key>
        {quiet && (
          <Key swatch="h-3 bg-slate/25">
            quiet, {showClock(quiet.from_min)} to {showClock(quiet.to_min)}
          </Key>
        )}
        {cheap && (
          <Key swatch="h-1.5 bg-verdigris">
            cheap, {showClock(cheap.from_min)} to {showClock(cheap.to_min)}
          </Key>
        )}
        <li>
          <Link href="/settings" className="inline-flex min-h-9 items-center font-semibold underline underline-offset-4 max-md:min-h-11">
            {quiet || cheap ? 'Change these' : 'Quiet or cheap hours, steps of the timers'}
          </Link>
        </li>
      </ul>
      {light === null && <p role="status">Working out the light…</p>}
      {light === 'failed' && (
        <p role="alert" className="text-copper">
          The light could not be computed. Reload the page to try again.
        </p>
      )}
      {light !== null &&
        light !== 'failed' &&
        timers.map((timer) => <TimerCard key={timer.id} timer={timer} alone={timers.length === 1} lights={light.tiers} />)}
      <p className="border-t border-line pt-4 text-sm text-soft">
        Timers and power strips carry no more than their rating, for hours on end no more than four fifths of it. Mains and water do not go
        together: what hangs over trays belongs on a circuit with a residual-current device. Local code and a licensed electrician come
        first.
      </p>
    </div>
  );
}

/** What a colour of the strips stands for. */
function Key({ swatch, children }: { swatch: string; children: React.ReactNode }) {
  return (
    <li className="inline-flex min-h-9 items-center gap-1.5 whitespace-nowrap">
      <span className={clsx('w-5', swatch)} aria-hidden /> {children}
    </li>
  );
}
