'use client';
import clsx from 'clsx';
import { Plug, PlugZap, Power } from 'lucide-react';
import { useEffect, useState } from 'react';
import type { PlugState } from '@/core/plan/plug/PlugDriver';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { timersOf } from '@/core/plan/timer/servedBy';
import { showClock } from '@/core/units/clock';
import { isoOf } from '@/core/units/day';
import { plugIn, type LivePlug } from '@/store/plug/livePlug';
import type { PlugOrderFile } from '@/store/plug/PlugFiles';
import { watchPlug } from '@/store/plug/watchPlug';
import { CheckField } from '../parts/CheckField';
import { timerName, timesWords } from '../hours/timerWords';
import { Button } from '../parts/Button';
import { Segments } from '../parts/Segments';
import { SelectField } from '../parts/SelectField';
import { takenNow } from '../readings/takenNow';
import { dayWords } from '../season/dayWords';
import { useChart, useSettings, useToday } from '../shell/WorkspaceContext';

const SPEEDS = ['1', '60', '3600'] as const;
const SPEED_WORDS = { '1': 'real time', '60': 'a minute a second', '3600': 'an hour a second' } as const;

/** A timer plug to practise with: it takes the schedule of a timer as a real one would, runs fast, and loses its clock. */
export function PlugPanel({ stand }: { stand: BenchStand }) {
  const { clock } = useSettings();
  const { chart } = useChart();
  const today = useToday();
  const timers = timersOf(stand);
  const [timerId, setTimerId] = useState(timers[0]!.id);
  const [plug, setPlug] = useState<LivePlug | null>(null);
  const [state, setState] = useState<PlugState | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const timer = timers.find((t) => t.id === timerId) ?? timers[0]!;

  useEffect(() => {
    if (!plug) return;
    return watchPlug(plug, setState, (reason) => {
      setFailed(reason);
      setPlug(null);
      setState(null);
    });
  }, [plug]);

  const { pause } = timer;
  const later = (chart?.standId === stand.stand.id ? chart.visits : []).flatMap((v) =>
    v.hours.filter((h) => h.timerId === timer.id).map((h) => ({ from: v.day, on_min: h.on_min, lit_min: h.lit_min, pause })),
  );
  const tell = (order: PlugOrderFile) =>
    plug?.tell(order).then(setState, (e: unknown) => setFailed(e instanceof Error ? e.message : String(e)));
  const program = () =>
    tell({
      schedule: [{ from: today, on_min: timer.on_min, lit_min: timer.lit_min, pause }, ...later.filter((l) => l.from > today)]
        .slice(0, 400)
        .map((e) => ({ ...e, from: isoOf(e.from) })),
    });
  const minuteNow = () => {
    const now = new Date(takenNow('').now_ms);
    return now.getHours() * 60 + now.getMinutes();
  };
  async function start() {
    setFailed(null);
    try {
      const live = await plugIn(today, minuteNow());
      setPlug(live);
    } catch (e) {
      setFailed(e instanceof Error ? e.message : String(e));
    }
  }

  return (
    <section aria-labelledby="plug" className="space-y-3">
      <h2 id="plug" className="text-lg font-semibold">
        A timer plug to practise with
      </h2>
      {!plug || !state ? (
        <>
          <p className="text-soft">It is not a real one: it takes hours as a plug would, and shows what a power failure does to them.</p>
          <Button onClick={() => void start()}>
            <Plug size={17} aria-hidden /> Plug it in
          </Button>
        </>
      ) : (
        <>
          <div className="night flex items-center gap-4 rounded-md bg-night p-3 text-night-ink" data-testid="plug">
            <span
              className={clsx(
                'grid size-12 place-items-center rounded-full border-2',
                state.on ? 'border-ember text-ember' : 'border-night-line text-night-soft',
              )}
              aria-hidden
            >
              {state.on ? <PlugZap /> : <Plug />}
            </span>
            <div>
              <p className="text-2xl leading-7 font-semibold tabular-nums" data-testid="plug-clock">
                {state.powered || state.remembers ? showClock(state.minute, clock) : '--:--'}
              </p>
              <p className="text-sm text-night-soft" data-testid="plug-state">
                {dayWords(state.day)} · {!state.powered ? 'no power' : state.on ? 'lamps on' : 'lamps off'}
                {state.entry ? ` · ${timesWords(state.entry, clock)}` : ' · no hours yet'}
              </p>
            </div>
          </div>
          {state.clockLost && (
            <div role="alert" className="flex flex-wrap items-center gap-2 rounded-md bg-copper-wash px-3 py-2 text-copper">
              <span className="min-w-0 flex-1">
                It lost its clock and counts from midnight: its hours are shifted until somebody sets it.
              </span>
              <Button onClick={() => void tell({ clock: { day: isoOf(today), minute: minuteNow() } })}>Set its clock</Button>
            </div>
          )}
          <div className="flex flex-wrap items-end gap-2">
            {timers.length > 1 && (
              <SelectField
                label="hours of"
                value={timer.id}
                options={timers.map((t) => ({ value: t.id, label: timerName(t, false) }))}
                onChange={setTimerId}
              />
            )}
            <Button kind="main" onClick={() => void program()}>
              Give it {later.length > 0 ? 'the whole schedule' : 'these hours'}
            </Button>
          </div>
          {state.schedule.length > 0 && (
            <ul className="text-sm" aria-label="Its schedule">
              {state.schedule.map((e) => (
                <li key={e.from} className={clsx(e.from === state.entry?.from && 'font-semibold')}>
                  from {dayWords(e.from)}: {timesWords(e, clock)}
                </li>
              ))}
            </ul>
          )}
          <Segments
            label="Simulation speed"
            value={String(state.speed) as (typeof SPEEDS)[number]}
            options={SPEEDS.map((s) => ({ value: s, label: SPEED_WORDS[s] }))}
            onChange={(s) => void tell({ speed: Number(s) })}
          />
          <div className="flex flex-wrap gap-2">
            <Button onClick={() => void tell({ powered: !state.powered })}>
              <Power size={17} aria-hidden /> {state.powered ? 'Simulate a power cut' : 'Give it power again'}
            </Button>
            <CheckField
              label="its clock remembers"
              checked={state.remembers}
              onChange={(checked) => {
                setState({ ...state, remembers: checked });
                void tell({ remembers: checked });
              }}
            />
          </div>
        </>
      )}
      {failed && (
        <p role="alert" className="text-copper">
          {failed}. Plug it in again.
        </p>
      )}
    </section>
  );
}
