'use client';
import { AlarmClock, Pencil, Ruler } from 'lucide-react';
import clsx from 'clsx';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { correctionOf } from '@/core/answer/daylight/correctionOf';
import { hoursByMonth, timerSettingsOf, type TopUp } from '@/core/plan/daylight/topUp';
import { timersOf } from '@/core/plan/timer/servedBy';
import { addWindow, changeWindow, standAtWindow } from '@/core/site/stand/changeWindows';
import { setDaylight } from '@/core/site/stand/changeOutlets';
import { MOST_WINDOWS, USUAL_WINDOW, type Window } from '@/core/site/window/Window';
import { directionOf, noonFacing } from '@/core/sky/place/facing';
import { sunPosition } from '@/core/sky/sun/sunPosition';
import { minutesAhead } from '@/core/units/clockChanges';
import { showClock } from '@/core/units/clock';
import { dayFrom, yearOfDay } from '@/core/units/day';
import { showLength } from '@/core/units/length';
import { newId } from '@/store/names/newId';
import { beginGesture, changeSite, endGesture } from '@/store/site/siteStore';
import { useStand } from '../bench/useBench';
import { trayName } from '../bench/benchWords';
import { nameAtWindow } from './placeWords';
import { HoursHead } from '../hours/HoursHead';
import { NoStand } from '../hours/NoStand';
import { timesWords } from '../hours/timerWords';
import { useLightOfStand } from '../hours/useLightOfStand';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { Segments } from '../parts/Segments';
import { DoneSheet } from '../parts/Sheet';
import { dayWords } from '../season/dayWords';
import { useSettings, useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { stageWords } from '../verdict/words';
import { YearAnswer } from './YearAnswer';
import { MONTHS } from './daylightWords';
import { MonthTable, roundHalf } from './MonthTable';
import { PanePicture } from './PanePicture';
import { ClimateFields, PlaceFields } from './PlaceFields';
import { PlacesFor } from './PlacesFor';
import { planDepth, SillPlan } from './SillPlan';
import { SillReadings } from './SillReadings';
import { SuitsList } from './SuitsList';
import { SCREEN_PARTS, useDaylightYear, useTraysAtWindow, type TrayAtWindow } from './useDaylight';
import { AtWindowFields, WindowFields } from './WindowFields';
import { YearCarpet } from './YearCarpet';
import { Term } from '../terms/Term';
import { NIGHT } from '../theme/night';

/** What the window of a stand gives its plants, by hour and month. */
export function DaylightView() {
  const stand = useStand();
  const place = useSite((s) => s.site.place);
  if (!stand)
    return <NoStand title="No window yet.">A window belongs to a stand. Put one on the bench, or begin with the quick check.</NoStand>;
  if (!place)
    return (
      <Page>
        <section className="max-w-xl space-y-4">
          <p>The sun’s way depends on where you are. With that, Copper Noon computes what a window gives your plants, month by month.</p>
          <PlaceFields />
        </section>
      </Page>
    );
  if (!stand.stand.window) return <ChooseWindow stand={stand} />;
  return <AtItsWindow key={stand.stand.id} stand={stand} />;
}

function Page({ children }: { children: React.ReactNode }) {
  return (
    <div className="min-h-0 flex-1 lg:overflow-y-auto">
      <div className="mx-auto w-full max-w-6xl px-4 py-5 md:px-6">
        <HoursHead title="Daylight" />
        {children}
      </div>
    </div>
  );
}

function ChooseWindow({ stand }: { stand: BenchStand }) {
  const { sites } = useWorkspace();
  const windows = useSite((s) => s.site.windows);
  const { lengthUnit } = useSettings();
  const facing = noonFacing(useSite((s) => s.site.place?.latitude ?? null));
  const at = { side: 'back' as const, gap: stand.stand.kind === 'sill' ? 0.03 : 0.3, along: 0, above: 0 };
  const put = (windowId: string) => changeSite(sites, 'put it at the window', standAtWindow(stand.stand.id, { windowId, ...at }));
  return (
    <Page>
      <section className="max-w-xl space-y-4">
        <p>{stand.stand.name} stands at no window yet.</p>
        <ul className="flex flex-wrap gap-2">
          {windows.map((w) => (
            <li key={w.id}>
              <Button onClick={() => put(w.id)}>
                {w.name}, looks {directionOf(w.facing)}
              </Button>
            </li>
          ))}
          <li>
            <Button
              kind="main"
              disabled={windows.length >= MOST_WINDOWS}
              onClick={() => {
                const id = newId();
                const window: Window = { ...USUAL_WINDOW, id, name: `Window ${windows.length + 1}`, facing };
                changeSite(sites, 'add a window', (site) =>
                  standAtWindow(stand.stand.id, { windowId: id, ...at })(addWindow(window)(site)),
                );
              }}
            >
              A new window
            </Button>
          </li>
        </ul>
        <p className="text-soft">
          It begins as a usual window that looks {directionOf(facing)}, {showLength(USUAL_WINDOW.width, lengthUnit)} square; change it
          afterwards.
        </p>
      </section>
    </Page>
  );
}

function AtItsWindow({ stand }: { stand: BenchStand }) {
  const { window, trays } = useTraysAtWindow(stand);
  const [trayId, setTrayId] = useState<string | null>(null);
  const chosen = Math.max(0, trays.findIndex((t) => t.tray.id === trayId)); // prettier-ignore
  if (!window) return null;
  if (trays.length === 0)
    return (
      <Page>
        <p className="max-w-xl">
          No tray or pot stands here yet.{' '}
          <Link href={`/stands/${encodeURIComponent(stand.stand.id)}/bench`} className="font-semibold underline underline-offset-4">
            Put one on the bench
          </Link>
          , and its year of daylight appears here.
        </p>
      </Page>
    );
  return <OfTrays stand={stand} window={window} trays={trays} chosen={chosen} onTray={(i) => setTrayId(trays[i]!.tray.id)} />;
}

interface OfTraysProps {
  stand: BenchStand;
  window: Window;
  trays: readonly TrayAtWindow[];
  chosen: number;
  onTray(index: number): void;
}

const RANGE = 'w-full accent-lit max-md:min-h-11';

function OfTrays({ stand, window, trays, chosen, onTray }: OfTraysProps) {
  const { sites } = useWorkspace();
  const { clock } = useSettings();
  const site = useSite((s) => s.site);
  const today = useToday();
  const [month, setMonth] = useState(() => new Date(today * 86_400_000).getUTCMonth());
  const [minute, setMinute] = useState(12 * 60);
  const [sky, setSky] = useState<'mean' | 'clear'>('clear');
  const [sheet, setSheet] = useState<'window' | 'reading' | null>(null);
  const heading = useRef<HTMLHeadingElement>(null);
  // Whoever chose the window pressed a button that is gone now.
  useEffect(() => {
    if (document.activeElement === document.body) heading.current?.focus();
  }, []);
  const light = useLightOfStand(stand);
  const { answer, isWorking, failed } = useDaylightYear(stand, trays, chosen, light === 'failed' ? null : light);
  const tray = trays[chosen]!;
  const at = tray.asked.at;
  const place = site.place!;
  const year = yearOfDay(today);
  const day = dayFrom(year, month + 1, 21);
  const ahead = useMemo(() => minutesAhead(site.timeZone), [site.timeZone]);
  const sunAt = useMemo(
    () => (on: number, min: number) => sunPosition(on * 86_400_000 + (min - ahead(on)) * 60_000, place.latitude, place.longitude),
    [ahead, place],
  );
  const paths = useMemo(
    () =>
      (
        [
          ['longest', dayFrom(year, 6, 21)],
          ['shortest', dayFrom(year, 12, 21)],
          ['chosen', day],
        ] as const
      ).map(([name, on]) => ({
        name,
        faint: name !== 'chosen',
        points: Array.from({ length: 145 }, (_, i) => ({ minute: i * 10, sun: sunAt(on, i * 10) })),
      })),
    [year, day, sunAt],
  );
  const now = sunAt(day, minute);
  const atPlace = answer?.year.places[chosen] ?? null;
  const timer = timersOf(stand).find((t) => t.tiers.some((x) => x.tier.id === tray.tier.tier.id));
  const isLit = tray.tier.lamps.length > 0;
  const topUps = isLit ? (answer?.topUps ?? []) : [];
  const settings = timerSettingsOf(topUps);
  const at96 =
    answer && atPlace
      ? (day - answer.year.from) * SCREEN_PARTS + Math.min(SCREEN_PARTS - 1, Math.floor(minute / (1440 / SCREEN_PARTS)))
      : 0;
  const strength = atPlace ? Math.round((sky === 'clear' ? atPlace.clearCourse : atPlace.course)[at96]!) : null;
  const stated = tray.tier.tier.daylight;

  return (
    <div className="flex min-h-0 flex-1 flex-col lg:flex-row" data-testid="daylight" aria-busy={isWorking}>
      <div className="night min-w-0 bg-night px-4 py-4 text-night-ink md:px-8 lg:flex-1 lg:overflow-y-auto print:bg-transparent print:text-ink">
        <h1 ref={heading} tabIndex={-1} className="sr-only">
          Daylight
        </h1>
        <div className="mx-auto max-w-3xl space-y-3">
          <p className="text-night-soft">
            {window.name}, looks {directionOf(window.facing)}: the view from {nameAtWindow(tray, trays)}, and the sill from above
          </p>
          <div className="grid grid-cols-1 items-start gap-x-6 gap-y-3 sm:grid-cols-[1fr_11rem]">
            <PanePicture
              window={window}
              at={at}
              beside={tray.asked.beside}
              paths={paths}
              now={now}
              time={showClock(minute, clock)}
              below={planDepth(trays)}
              onHorizon={(horizon) =>
                changeSite(
                  sites,
                  'draw what stands outside',
                  changeWindow(window.id, () => ({ horizon })),
                )
              }
              onGesture={(on) => (on ? beginGesture(sites, 'draw what stands outside') : endGesture(sites))}
            >
              <SillPlan window={window} trays={trays} chosen={chosen} sun={now} onChoose={onTray} />
            </PanePicture>
            <div aria-live="polite" data-testid="moment" className="space-y-1">
              <p className="text-lg font-semibold tabular-nums">
                21 {MONTHS[month]}, {showClock(minute, clock)}
              </p>
              <p className="text-night-soft">
                {now.elevation > 0
                  ? `sun ${Math.round((now.elevation * 180) / Math.PI)}° up in the ${directionOf(now.azimuth)}`
                  : 'the sun is down'}
              </p>
              {strength !== null && (
                <p>
                  <span className={clsx('block text-4xl font-semibold tabular-nums', strength > tray.stage.ppfdMax && 'text-ember')}>
                    {strength}
                  </span>
                  <span className="text-night-soft">
                    µmol/m²/s at its leaves, {sky === 'clear' ? 'on a clear day' : 'mean of the month’s days'}
                  </span>
                </p>
              )}
            </div>
          </div>
          <div className="grid grid-cols-1 gap-x-6 gap-y-2 sm:grid-cols-2">
            <label className="block text-sm text-night-soft">
              hour, {showClock(minute, clock)}
              <input
                type="range"
                className={RANGE}
                min={0}
                max={1430}
                step={10}
                value={minute}
                aria-label="Hour"
                aria-valuetext={showClock(minute, clock)}
                onChange={(e) => setMinute(Number(e.target.value))}
              />
            </label>
            <label className="block text-sm text-night-soft">
              month, {MONTHS[month]}
              <input
                type="range"
                className={RANGE}
                min={0}
                max={11}
                step={1}
                value={month}
                aria-label="Month"
                aria-valuetext={MONTHS[month]!}
                onChange={(e) => setMonth(Number(e.target.value))}
              />
            </label>
          </div>
          <div className="flex flex-wrap items-center justify-between gap-2 pt-2">
            <h2 className="font-semibold">The year at {nameAtWindow(tray, trays)}: a column a day, hours down</h2>
            <Segments
              night
              label="Sky"
              value={sky}
              options={[
                { value: 'clear', label: 'clear days' },
                { value: 'mean', label: 'mean of the month' },
              ]}
              onChange={(v) => setSky(v)}
            />
          </div>
          {answer && atPlace ? (
            <YearCarpet year={answer.year} place={atPlace} stage={tray.stage} topUps={topUps} sky={sky} day={day} minute={minute} />
          ) : (
            <p role="status" className="h-44">
              {failed ? 'The year could not be computed. Reload the page to try again.' : 'Working out the year…'}
            </p>
          )}
          <p className="flex flex-wrap gap-x-4 gap-y-1 text-sm text-night-soft">
            <Swatch colour="#3a4758">dim</Swatch>
            <Swatch colour="#24766c">useful</Swatch>
            <Swatch colour="#d07b48">too strong for its leaves</Swatch>
            {topUps.length > 0 && <Swatch outline>lamp on</Swatch>}
          </p>
        </div>
      </div>
      <div className="w-full shrink-0 space-y-6 bg-sheet px-5 py-5 lg:w-[400px] lg:overflow-y-auto lg:border-l lg:border-line">
        <div className="flex flex-wrap gap-2 print:hidden">
          <DoneSheet
            title={window.name}
            description="What its light depends on. Every change counts at once."
            open={sheet === 'window'}
            onOpenChange={(open) => setSheet(open ? 'window' : null)}
            trigger={
              <Button>
                <Pencil size={17} aria-hidden /> Change the window
              </Button>
            }
          >
            <div className="space-y-8">
              <WindowFields window={window} />
              <AtWindowFields stand={stand.stand} at={stand.stand.window!} />
              <section className="space-y-3">
                <h3 className="font-semibold">The place</h3>
                <PlaceFields />
                <ClimateFields />
              </section>
            </div>
          </DoneSheet>
          <DoneSheet
            title={`Readings at ${window.name}`}
            description="A pair of readings puts the computed light right."
            open={sheet === 'reading'}
            onOpenChange={(open) => setSheet(open ? 'reading' : null)}
            trigger={
              <Button kind="main">
                <Ruler size={17} aria-hidden /> Add a reading
              </Button>
            }
          >
            <SillReadings window={window} at={at} plant={nameAtWindow(tray, trays)} />
          </DoneSheet>
        </div>
        {trays.length > 1 && (
          <Segments
            label="Plant"
            value={tray.tray.id}
            options={trays.map((t) => ({ value: t.tray.id, label: nameAtWindow(t, trays) }))}
            onChange={(id) => onTray(trays.findIndex((t) => t.tray.id === id))}
          />
        )}
        <p className="text-sm text-soft">
          {nameAtWindow(tray, trays)}, {stageWords(tray.stage)}: needs {tray.stage.dliMin}–{tray.stage.dliMax}{' '}
          <Term id="dli">mol/m²/day</Term> ({tray.stage.basis === 'consensus' ? 'growers’ consensus' : tray.stage.basis})
        </p>
        {stated && (
          <p className="rounded-md bg-copper-wash px-3 py-2">
            {stated.dli} mol/m²/day were stated by hand for this tier; they count in verdicts and hours instead of what is computed here.{' '}
            <Button className="mt-1" onClick={() => changeSite(sites, 'use the window’s light', setDaylight(tray.tier.timer.id, null))}>
              Use computed daylight
            </Button>
          </p>
        )}
        {atPlace && (
          <>
            <YearAnswer months={atPlace.months} tray={tray} topUps={topUps} lit={isLit} curtained={window.curtain < 1} />
            <MonthTable
              months={atPlace.months}
              stage={tray.stage}
              lampHours={isLit && topUps.length > 0 ? hoursByMonth(topUps) : null}
              month={month}
              onMonth={setMonth}
            />
            <p className="text-sm text-soft">
              Bars run from a grey to a clear day, the mark is the month’s mean; sun in hours of direct rays on a clear day. The window’s
              own share is good to about ±{Math.round(correctionOf(window, place).uncertainty * 100)} %.
              {(topUps[0]?.results.length ?? 0) > 1 && ` Lamp hours suit all ${topUps[0]!.results.length} trays on its timer together.`}
            </p>
          </>
        )}
        {timer && settings.length > 0 && (
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
                      <span className="text-soft">{photoperiodWords(topUps, s.day, tray.tray.id)}</span>
                    </span>
                  </li>
                ))}
              </ul>
            )}
            <Link
              href={`/stands/${encodeURIComponent(stand.stand.id)}/hours`}
              className="inline-flex min-h-9 items-center gap-2 font-semibold underline underline-offset-4 max-md:min-h-11"
            >
              <AlarmClock size={17} aria-hidden /> Hours of today
            </Link>
          </section>
        )}
        {atPlace && <PlacesFor plant={trayName(tray)} cropId={tray.crop.id} stage={tray.stage} />}
        {atPlace && <SuitsList months={atPlace.months} />}
      </div>
    </div>
  );
}

/** How long it is light from then on, by lamp and sun together: what plants that count hours go by. */
function photoperiodWords(topUps: readonly TopUp[], day: number, trayId: string): string {
  const fare = topUps.find((t) => t.from === day)?.results.find((f) => f.trayId === trayId);
  return fare ? `, light for ${roundHalf(fare.photoperiod)} h` : '';
}

function Swatch({ colour, outline, children }: { colour?: string; outline?: boolean; children: React.ReactNode }) {
  return (
    <span className="inline-flex items-center gap-1.5">
      <span aria-hidden className="h-3 w-4" style={outline ? { border: `1px solid ${NIGHT.sun}` } : { background: colour }} /> {children}
    </span>
  );
}
