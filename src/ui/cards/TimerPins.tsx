import { isLitAt, type LitTimes } from '@/core/units/LitTimes';
import { showClock, showHours } from '@/core/units/clock';
import { timesWords } from '../hours/timerWords';
import { dayWords } from '../season/dayWords';
import { useSettings } from '../shell/WorkspaceContext';

interface TimerPinsProps {
  name: string;
  times: LitTimes;
  /** What it will be set to, and when. */
  later: readonly (LitTimes & { readonly day: number })[];
}

/** Pins of a mechanical timer: four an hour, all round the day. */
const PINS = 96;
const PIN_MIN = 1440 / PINS;

/** Whether a pin is pushed in: the lamp burns for the most part of its quarter of an hour. */
export const pinIn = (pin: number, times: LitTimes): boolean => isLitAt(times, (pin + 0.5) * PIN_MIN);

/** A timer drawn as its dial, midnight at the top: black pins are pushed in. */
export function TimerPins({ name, times, later }: TimerPinsProps) {
  const { clock } = useSettings();
  const { on_min, lit_min } = times;
  const point = (min: number, r: number) => {
    const a = (min / 1440) * 2 * Math.PI - Math.PI / 2;
    return [80 + r * Math.cos(a), 80 + r * Math.sin(a)] as const;
  };
  return (
    <figure className="flex break-inside-avoid items-center gap-6">
      <svg width="170" height="170" viewBox="0 0 160 160" role="img" aria-label={`Dial of ${name}: ${timesWords(times, clock)}`}>
        {Array.from({ length: PINS }, (_, i) => {
          const [x1, y1] = point((i + 0.5) * PIN_MIN, 56);
          const [x2, y2] = point((i + 0.5) * PIN_MIN, 66);
          const pushed = pinIn(i, times);
          return <line key={i} x1={x1} y1={y1} x2={x2} y2={y2} stroke={pushed ? '#000' : '#999'} strokeWidth={pushed ? 3.2 : 0.8} />;
        })}
        {[0, 3, 6, 9, 12, 15, 18, 21].map((h) => {
          const [x, y] = point(h * 60, 74);
          return (
            <text key={h} x={x} y={y} fontSize="9" textAnchor="middle" dominantBaseline="central">
              {clock === '24' ? h : h % 12 || 12}
            </text>
          );
        })}
        {clock === '12' &&
          (['am', 'pm'] as const).map((half) => (
            <text key={half} x={half === 'am' ? 112 : 48} y="50" fontSize="9" textAnchor="middle">
              {half}
            </text>
          ))}
        <text x="80" y="75" fontSize="11" textAnchor="middle" fontWeight="600">
          {showHours(lit_min)}
        </text>
        <text x="80" y="90" fontSize="9" textAnchor="middle">
          {lit_min > 0 && lit_min < 1440 ? `on ${showClock(on_min, clock)}` : timesWords(times, clock)}
        </text>
      </svg>
      <figcaption>
        <p className="text-sm font-semibold">{name}</p>
        <p>Now: {timesWords(times, clock)}. Black pins are pushed in, a quarter of an hour each.</p>
        {later.map((l) => (
          <p key={l.day}>
            From {dayWords(l.day)}: {timesWords(l, clock)}
            {l.lit_min > 0 && ` (${showHours(l.lit_min)})`}
          </p>
        ))}
      </figcaption>
    </figure>
  );
}
