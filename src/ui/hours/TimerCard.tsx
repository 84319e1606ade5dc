'use client';
import { daylightOf } from '@/core/site/stand/Site';
import { AlarmClock, SunDim } from 'lucide-react';
import { memo, useDeferredValue, useMemo, useState } from 'react';
import type { TierLight } from '@/core/answer/bench/BenchQuestion';
import { DAYS_PER_MONTH } from '@/core/judge/cost/pricesOf';
import { photoperiodOf } from '@/core/judge/dli/LightDay';
import { setTimes } from '@/core/site/stand/change';
import { powerOf, servedBy, type StandTimer } from '@/core/plan/timer/servedBy';
import { resultsOn, solveTimer, type TimerRules } from '@/core/plan/timer/solveTimer';
import { isCurtained } from '@/core/answer/daylight/windowOf';
import { MINUTES_PER_DAY, showHours } from '@/core/units/clock';
import { litBetween, offAt } from '@/core/units/LitTimes';
import { showMoney } from '@/core/units/money';
import { turnDimmers } from '@/core/site/ownLamps/turnDimmers';
import { changeSite, undo } from '@/store/site/siteStore';
import { trayName, trayNameIn } from '../bench/benchWords';
import { Button } from '../parts/Button';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { say } from '../shell/toastStore';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { dliSpanWords } from '../drawing/lightWords';
import { Link } from '../parts/Link';
import { STANDING_COLOURS } from '../verdict/resultColours';
import { stageWords } from '../verdict/words';
import { ClockField } from './ClockField';
import { DaylightFields } from './DaylightFields';
import { DliFigure } from './DliFigure';
import { HoursStrip } from './HoursStrip';
import { PauseFields } from './PauseFields';
import { useDimmedTimer } from './useDimmedTimer';
import { cureWords, inRangeWords, timerLimitWords, saysWords, timerName, timesWords, turnTiersWords } from './timerWords';
import { Term } from '../terms/Term';

interface TimerCardProps {
  timer: StandTimer;
  /** It is the only one of its stand. */
  alone: boolean;
  standId: string;
  lights: Readonly<Record<string, TierLight>>;
}

const CalmFigure = memo(DliFigure);

const inRange = (results: readonly { readonly says: string }[]): number => results.filter((f) => f.says === 'suits').length;

/** One timer: its day, how each tray on it fares, and the times that would serve all of them best. */
export function TimerCard({ timer, alone, standId, lights }: TimerCardProps) {
  const { sites } = useWorkspace();
  const { timerStep_min, clock } = useSettings();
  const site = useSite((s) => s.site);
  const { quiet, cheap, bands, price_per_kWh, currency } = site;
  const { on_min, lit_min, pause } = timer;
  const off_min = offAt(timer);
  const daylight = daylightOf(timer.tiers[0]!.tier);
  const day_min = Math.round(photoperiodOf({ on_min, lit_min, pause, daylight }) * 60);
  const [looked, setLooked] = useState<string | null>(null);
  const change = (on: number, lit: number) =>
    changeSite(sites, 'change the hours', setTimes(timer.id, (on + MINUTES_PER_DAY) % MINUTES_PER_DAY, lit));
  const served = useMemo(() => servedBy(timer, lights), [timer, lights]);
  const rules = useMemo<TimerRules>(
    () => ({ step_min: timerStep_min, quiet, cheap, bands, price_per_kWh, power: powerOf(timer) }),
    [timerStep_min, quiet, cheap, bands, price_per_kWh, timer],
  );
  const now = useMemo(() => resultsOn(served, rules, timer), [served, rules, timer]);
  // While a hand moves the hours, what they come to follows at once, the best ones and the chart when there is time.
  const asked = useMemo(() => ({ timer, served, rules }), [timer, served, rules]);
  const before = useDeferredValue(asked);
  const calm = before.served.map((s) => s.trayId).join() === served.map((s) => s.trayId).join() ? before : asked;
  const best = useMemo(() => solveTimer(calm.served, calm.rules, calm.timer), [calm]);
  const dimmed = useDimmedTimer(calm.timer, lights, calm.rules);
  const trays = timer.tiers.flatMap((t) => t.trays.map((tray) => ({ ...tray, number: t.number })));
  const trayOf = (id: string) => trays.find((y) => y.tray.id === id)!;
  const nameOf = (id: string) => trayNameIn(timer, id);
  const same = best.on_min === on_min && best.lit_min === lit_min;
  // Limits come before doses: hours that keep them may leave trays short that are in range now.
  const fewer = inRange(best.results) < inRange(now.results);
  // The one that fares worst, until another is looked at.
  const worst = now.results.find((f) => f.says !== 'suits')?.trayId;
  const chosen = served.find((s) => s.trayId === (looked ?? worst)) ?? served[0];
  const name = timerName(timer, alone);
  const stand = site.stands.find((s) => s.id === standId);
  const curtained = stand !== undefined && isCurtained(site, stand);
  const cures = best.results.flatMap((f) => {
    const words = cureWords(f, served.length > 1, curtained);
    return words ? [{ id: f.trayId, words }] : [];
  });
  return (
    <section aria-label={name} className="space-y-3 border-t border-line py-5" data-testid="timer">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-xl font-semibold">{name}</h2>
        <p className="text-soft">
          {showHours(lit_min)} a day, dark for {showHours(MINUTES_PER_DAY - day_min)};{' '}
          {showMoney(now.costPerDay * DAYS_PER_MONTH, currency)} a month
        </p>
      </div>
      <div className="grid grid-cols-1 gap-x-8 gap-y-4 lg:grid-cols-2">
        <div className="space-y-2">
          <HoursStrip times={timer} onChange={change} step_min={timerStep_min} quiet={quiet} cheap={cheap} daylight={daylight} of={name} />
          <div className="flex flex-wrap gap-4">
            <ClockField label="on" value={on_min} onChange={(on) => change(on, litBetween(on, off_min, pause, lit_min))} />
            <ClockField label="off" value={off_min} onChange={(off) => change(on_min, litBetween(on_min, off, pause, lit_min))} />
            {now.inQuiet_min > 0 && <p className="self-end pb-1.5 text-copper">{showHours(now.inQuiet_min)} of it in the quiet hours</p>}
          </div>
          <PauseFields timer={timer} />
          <DaylightFields timer={timer} standId={standId} />
          {chosen && (
            <CalmFigure
              weakest={chosen.light.weakest}
              mean={chosen.light.mean}
              strongest={chosen.light.strongest}
              times={calm.timer}
              daylight={daylight}
              low={chosen.stage.dliMin}
              high={chosen.stage.dliMax}
            />
          )}
        </div>
        <div className="space-y-3">
          {served.length === 0 ? (
            <p className="text-soft">No tray stands under its lamps yet.</p>
          ) : (
            <table className="w-full text-left text-[0.9375rem]">
              <caption className="sr-only">Trays on this timer, now and with the best times</caption>
              <thead className="text-sm text-soft">
                <tr>
                  <th className="pr-2 font-normal">tray</th>
                  <th className="pr-2 font-normal">
                    <Term id="dli">mol/m²/day</Term>
                  </th>
                  <th className="pr-2 font-normal">needs</th>
                  <th className="pr-2 font-normal">now</th>
                </tr>
              </thead>
              <tbody>
                {now.results.map((f) => {
                  const y = trayOf(f.trayId);
                  return (
                    <tr key={f.trayId} className="border-t border-line">
                      <td className="py-1 pr-2">
                        <button
                          type="button"
                          className="min-h-9 text-left font-semibold underline-offset-4 hover:underline aria-pressed:underline max-md:min-h-11"
                          aria-pressed={f.trayId === chosen?.trayId}
                          onClick={() => setLooked(f.trayId)}
                        >
                          {trayName(y)}
                        </button>
                        <span className="block text-sm text-soft">
                          {alone ? '' : `tier ${y.number}, `}
                          {stageWords(y.stage)}
                        </span>
                      </td>
                      <td className="py-1 pr-2 tabular-nums">{dliSpanWords(f, y.stage.dliMin, y.stage.dliMax)}</td>
                      <td className="py-1 pr-2 text-soft">
                        {y.stage.dliMin}–{y.stage.dliMax} in {y.stage.hoursMin}–{y.stage.hoursMax} h
                      </td>
                      <td className={`py-1 ${STANDING_COLOURS[f.says]}`}>{saysWords(f.says)}</td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          )}
          {served.length > 0 && (
            <div className="space-y-2 rounded-md bg-sunk p-3" data-testid="best-times">
              <p>
                {fewer ? 'To keep within every limit' : `Best for ${served.length === 1 ? 'it' : 'all of them'}`}:{' '}
                <strong className="font-semibold">{timesWords(best, clock)}</strong>
                {best.lit_min > 0 && `, ${showHours(best.lit_min)}`}
                {same ? ', as it is set' : `, ${showMoney(best.costPerDay * DAYS_PER_MONTH, currency)} a month`}.
                {fewer && ' Fewer trays are in range then than now.'}
              </p>
              {best.limits.map((l) => (
                <p key={l.why} className="text-soft" data-testid="timer-limit">
                  {timerLimitWords(l, nameOf)}
                </p>
              ))}
              {cures.length > 0 && (
                <ul className="list-disc pl-5">
                  {cures.map(({ id, words }) => (
                    <li key={id}>
                      {nameOf(id)}: still {saysWords(best.results.find((f) => f.trayId === id)!.says)}. {words}
                    </li>
                  ))}
                </ul>
              )}
              {!same && (
                <Button
                  kind={fewer ? 'plain' : 'main'}
                  className="min-h-11"
                  onClick={() => {
                    change(best.on_min, best.lit_min);
                    say(`${name}: ${timesWords(best, clock)}.`, { label: 'Undo', run: () => undo(sites) });
                  }}
                >
                  <AlarmClock size={17} aria-hidden /> {best.lit_min > 0 ? `Set ${timesWords(best, clock)}` : 'Leave the lamps off'}
                </Button>
              )}
              {dimmed && (
                <div className="space-y-2 border-t border-line pt-2" data-testid="dimmed-times">
                  <p>
                    With dimmers: {turnTiersWords(dimmed.tiers, alone)}, {timesWords(dimmed.answer, clock)} (
                    {showHours(dimmed.answer.lit_min)}), {showMoney(dimmed.answer.costPerDay * DAYS_PER_MONTH, currency)} a month.{' '}
                    {inRangeWords(dimmed.answer.results)}
                  </p>
                  <Button
                    kind={same ? 'main' : 'plain'}
                    className="min-h-11"
                    onClick={() => {
                      const { on_min: on, lit_min: lit } = dimmed.answer;
                      const settings = new Map(dimmed.tiers.map((d) => [d.tier.tier.id, d.dimming.to]));
                      const words = turnTiersWords(dimmed.tiers, alone);
                      changeSite(sites, 'dim the lamps and set the hours', (s) => turnDimmers(settings)(setTimes(timer.id, on, lit)(s)));
                      say(`${name}: ${words}, ${timesWords(dimmed.answer, clock)}.`, { label: 'Undo', run: () => undo(sites) });
                      focusHeadingIfLost();
                    }}
                  >
                    <SunDim size={17} aria-hidden /> Set dimmers and hours
                  </Button>
                </div>
              )}
              {cures.length > 0 && (
                <p>
                  Moving a lamp or a tray a little often does more than changing the hours.{' '}
                  <Link
                    className="inline-flex min-h-9 items-center font-semibold text-verdigris max-md:min-h-11"
                    href={`/stands/${encodeURIComponent(standId)}/bench`}
                  >
                    See what else would help
                  </Link>
                </p>
              )}
            </div>
          )}
        </div>
      </div>
    </section>
  );
}
