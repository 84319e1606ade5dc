'use client';
import { leanOf } from '@/core/answer/daylight/leanOf';
import { monthSays } from '@/core/answer/daylight/suits';
import type { MonthAtPlace } from '@/core/answer/daylight/yearOf';
import type { TopUp } from '@/core/plan/daylight/topUp';
import { showClock } from '@/core/units/clock';
import { trayName } from '../bench/benchWords';
import { dliBeside } from '../drawing/lightWords';
import { besideWords } from '../parts/besideWords';
import { shadeWords } from './shadeWords';
import { monthRuns, MONTHS, turnEvery } from './daylightWords';
import { joined } from '../parts/joined';
import { roundHalf } from './MonthTable';
import type { TrayAtWindow } from './useDaylight';
import { useSettings } from '../shell/WorkspaceContext';

interface AnswerProps {
  months: readonly MonthAtPlace[];
  tray: TrayAtWindow;
  topUps: readonly TopUp[];
  lit: boolean;
  curtained: boolean;
}

/** The year in a sentence, what the strongest sun does, and how one-sided the light is. */
export function YearAnswer({ months, tray, topUps, lit, curtained }: AnswerProps) {
  const { clock } = useSettings();
  const { stage } = tray;
  const says = months.map((m) => monthSays(m, stage));
  const right = monthRuns(says.map((s) => s === 'suits'));
  const darkest = months.reduce((worst, m, i) => (m.mean < months[worst]!.mean ? i : worst), 0);
  const short = says.some((s) => s === 'dim' || s === 'dark');
  const lamp = lit && topUps.length > 0 ? (topUps[2 * darkest]!.lit_min + topUps[2 * darkest + 1]!.lit_min) / 120 : null;
  const darkTopUp = topUps[2 * darkest];
  const fare = darkTopUp?.results.find((f) => f.trayId === tray.tray.id);
  const scorched = says.flatMap((m, i) => (m === 'scorch' ? [i] : []));
  const peak = scorched.reduce<number | null>(
    (best, i) => (best === null || months[i]!.strongest.ppfd > months[best]!.strongest.ppfd ? i : best),
    null,
  );
  const lean = leanOf(months[darkest]!) ?? 0;
  const fromLamp = lampDose(topUps, darkest, tray.tray.id);
  return (
    <div className="space-y-4" data-testid="daylight-answer">
      <p className="text-2xl leading-tight font-semibold">
        {right.length === 0
          ? 'Daylight alone is right in no month.'
          : right[0] === 'all year'
            ? 'Daylight alone is right all year.'
            : `Right from daylight alone: ${joined(right)}.`}{' '}
        {short && (
          <span className="text-copper">
            {lamp === null
              ? `In ${MONTHS[darkest]!} it gets ${dliBeside(months[darkest]!.mean, stage.dliMin)} of the ${stage.dliMin} mol that it needs; no lamp hangs over it.`
              : lamp === 0
                ? `In ${MONTHS[darkest]!} the lamp can’t help within its limits.`
                : `In ${MONTHS[darkest]!} it needs the lamp for ${roundHalf(lamp)} h.`}
          </span>
        )}
      </p>
      {fare && fare.mean < stage.dliMin && lamp !== null && (
        <p className="text-copper">
          Even then {trayName(tray)} gets {dliBeside(fare.mean, stage.dliMin)} mol/m²/day. The lamp is too weak, too far away, or shared
          with plants that need less.
        </p>
      )}
      {peak !== null && (
        <p className="text-copper">
          On clear days, {joined(monthRuns(says.map((m) => m === 'scorch')))}, the sun may scorch it: up to{' '}
          {besideWords(months[peak]!.strongest.ppfd, stage.ppfdMax)} µmol/m²/s, at {showClock(months[peak]!.strongest.minute, clock)} in{' '}
          {MONTHS[peak]!}; its leaves tolerate {Math.round(stage.ppfdMax)} all day. {shadeWords(curtained)} protects it.
        </p>
      )}
      {lean > 0 && (
        <section className="space-y-1">
          <h2 className="text-lg font-semibold">Lean</h2>
          <p>
            {capital(timesMore(lean))} as much light from the pane as from the room, in {MONTHS[darkest]!}.{' '}
            {turnEvery(lean) ?? 'It grows straight.'}
            {lean >= 2 && ` A white card a hand’s width behind it makes that ${timesMore(leanOf(months[darkest]!, 0, true) ?? 1)}.`}
            {fromLamp > 0 && ` With the lamp’s hours it is ${timesMore(leanOf(months[darkest]!, fromLamp) ?? 1)}.`}
          </p>
        </section>
      )}
    </div>
  );
}

/** What the lamps add to the dose of a tray in a month. */
function lampDose(topUps: readonly TopUp[], month: number, trayId: string): number {
  const half = topUps[2 * month];
  const fare = half?.results.find((f) => f.trayId === trayId);
  return fare && half!.lit_min > 0 ? Math.max(0, fare.mean - fare.daylight) : 0;
}

const timesMore = (lean: number): string => (lean >= 20 ? 'more than 20 times' : `${lean.toFixed(lean < 4 ? 1 : 0)} times`);

const capital = (words: string): string => words[0]!.toUpperCase() + words.slice(1);
