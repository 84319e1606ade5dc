import type { MonthSays } from '@/core/answer/daylight/suits';

const STROKES: Readonly<Record<MonthSays, string>> = {
  dark: 'stroke-ink/70',
  dim: 'stroke-slate/60',
  suits: 'stroke-verdigris',
  strong: 'stroke-copper/60',
  scorch: 'stroke-copper',
};

const R = 20;

/** A year as a ring of twelve months, January at the top, with the number of months in range inside. The list beside it says the same in words. */
export function MonthRing({ months, inBand }: { months: readonly MonthSays[]; inBand: number }) {
  const at = (turn: number) => [26 + R * Math.sin(turn * 2 * Math.PI), 26 - R * Math.cos(turn * 2 * Math.PI)].map((v) => v.toFixed(2));
  return (
    <svg viewBox="0 0 52 52" className="size-13 shrink-0" aria-hidden>
      {months.map((m, i) => {
        // A little air between months; in-range ones are thicker, so that colour is not all.
        const [x0, y0] = at((i + 0.06) / 12);
        const [x1, y1] = at((i + 0.94) / 12);
        return (
          <path
            key={i}
            d={`M ${x0} ${y0} A ${R} ${R} 0 0 1 ${x1} ${y1}`}
            fill="none"
            strokeWidth={m === 'suits' ? 9 : 4.5}
            className={STROKES[m]}
          />
        );
      })}
      <text x="26" y="31" textAnchor="middle" fontSize="14" fontWeight="600" className="fill-ink tabular-nums">
        {inBand}
      </text>
    </svg>
  );
}
