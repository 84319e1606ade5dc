'use client';
import { AlarmClock } from 'lucide-react';
import { timerSettingsOf, type TopUp } from '@/core/plan/daylight/topUp';
import type { Day } from '@/core/units/day';
import { timesWords } from '../hours/timerWords';
import { Link } from '../parts/Link';
import { dayWords } from '../season/dayWords';
import { useSettings } from '../shell/WorkspaceContext';
import { roundHalf } from './MonthTable';

interface TimerOverYearProps {
  standId: string;
  /** Of the timer that the tray's lamps hang on; none: nothing is drawn. */
  topUps: readonly TopUp[];
  trayId: string;
}

/** When the timer is set to what, so that lamps make up for what the window does not give. */
export function TimerOverYear({ standId, topUps, trayId }: TimerOverYearProps) {
  const { clock } = useSettings();
  const settings = timerSettingsOf(topUps);
  if (settings.length === 0) return null;
  return (
    <section className="space-y-2">
      <h2 className="text-lg font-semibold">Set the timer over the year</h2>
      {settings.length === 1 ? (
        <p>{settings[0]!.lit_min === 0 ? 'The lamps can stay off all year.' : `${timesWords(settings[0]!, clock)}, all year.`}</p>
      ) : (
        <ul className="space-y-0.5">
          {settings.map((s) => (
            <li key={s.day} className="grid grid-cols-[7rem_1fr]">
              <span className="text-soft">{dayWords(s.day)}</span>
              <span>
                {s.lit_min === 0 ? 'lamps off' : timesWords(s, clock)}
                <span className="text-soft">{photoperiodWords(topUps, s.day, trayId)}</span>
              </span>
            </li>
          ))}
        </ul>
      )}
      <Link
        href={`/stands/${encodeURIComponent(standId)}/hours`}
        className="inline-flex min-h-9 items-center gap-2 font-semibold underline underline-offset-4 max-md:min-h-11"
      >
        <AlarmClock size={17} aria-hidden /> Hours of today
      </Link>
    </section>
  );
}

/** How long it is light from then on, by lamp and sun together: what plants that count hours go by. */
function photoperiodWords(topUps: readonly TopUp[], day: Day, trayId: string): string {
  const fare = topUps.find((t) => t.from === day)?.results.find((f) => f.trayId === trayId);
  return fare ? `, light for ${roundHalf(fare.photoperiod)} h` : '';
}
