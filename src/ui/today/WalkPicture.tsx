'use client';
import type { Job } from '@/core/plan/today/Job';
import type { Site } from '@/core/site/stand/Site';
import { useSize } from '../drawing/useSize';
import { NIGHT } from '../theme/night';

const HEIGHT = 190;
const GROUND = HEIGHT - 34;
const MOST = { tiers: 7, stands: 6 } as const;

/** The stands side by side with the stops of the walk on them, in the order of the jobs. */
export function WalkPicture({ site, jobs, doneKeys }: { site: Site; jobs: readonly Job[]; doneKeys: ReadonlySet<string> }) {
  const { ref, width } = useSize<HTMLDivElement>();
  const stands = site.stands.filter((s) => !s.autoArranged).slice(0, MOST.stands);
  if (stands.length === 0) return null;
  const room = width / stands.length;
  const places = new Map<string, { x: number; y: number; w: number }>();
  stands.forEach((s, i) => {
    const w = Math.min(150, room - 26);
    const x = room * i + (room - w) / 2;
    const tiers = Math.min(s.tiers.length, MOST.tiers);
    const h = Math.min(28, (GROUND - 26) / tiers);
    s.tiers.slice(0, MOST.tiers).forEach((t, k) => places.set(t.id, { x, y: GROUND - (tiers - k) * h + h - 3, w }));
    places.set(s.id, { x, y: GROUND + 4, w });
  });
  // Several stops on one tier stand side by side.
  const onTier = new Map<string, number>();
  const stops = jobs.flatMap((j, i) => {
    const at = places.get(j.tierId ?? '') ?? places.get(j.standId ?? '');
    if (!at) return [];
    const key = j.tierId ?? j.standId ?? '';
    const n = onTier.get(key) ?? 0;
    onTier.set(key, n + 1);
    const total = jobs.filter((o) => (o.tierId ?? o.standId) === (j.tierId ?? j.standId)).length;
    return [{ n: i + 1, key: j.key, x: at.x + (at.w * (n + 0.5)) / total, y: at.y - 9 }];
  });
  const route = stops.map((s, i) => {
    if (i === 0) return `M${s.x} ${s.y}`;
    const before = stops[i - 1]!;
    return `Q${(before.x + s.x) / 2} ${Math.min(before.y, s.y) - 16} ${s.x} ${s.y}`;
  });
  return (
    <div ref={ref} className="night bg-night">
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`The walk: ${jobs.length} stops along ${stands.map((s) => s.name).join(', ')}`}
        className="block"
      >
        {stands.map((s, i) => {
          const top = places.get(s.tiers[0]?.id ?? '')!;
          const { x, w } = places.get(s.id)!;
          return (
            <g key={s.id}>
              {s.tiers.length > 1 && (
                <path
                  d={`M${x} ${top.y - 20}V${GROUND + 2}M${x + w} ${top.y - 20}V${GROUND + 2}`}
                  className="stroke-[#7d8c87]"
                  strokeWidth={2.5}
                />
              )}
              {s.tiers.slice(0, MOST.tiers).map((t) => {
                const at = places.get(t.id)!;
                return (
                  <g key={t.id}>
                    <line x1={at.x} x2={at.x + at.w} y1={at.y} y2={at.y} className="stroke-[#7d8c87]" strokeWidth={2} />
                    {t.trays.length > 0 && <path d={`M${at.x + 7} ${at.y - 12}h${at.w - 14}l-5 11H${at.x + 12}Z`} fill="#1d685f" />}
                    {t.fittings.length > 0 && (
                      <line x1={at.x + 10} x2={at.x + at.w - 10} y1={at.y - 15} y2={at.y - 15} stroke={NIGHT.glow} strokeWidth={2.5} />
                    )}
                  </g>
                );
              })}
              <text x={room * i + room / 2} y={HEIGHT - 8} textAnchor="middle" className="fill-night-soft font-narrow text-[12px]">
                {s.name.length > room / 6.4 ? `${s.name.slice(0, Math.floor(room / 6.4))}…` : s.name}
              </text>
            </g>
          );
        })}
        <path d={route.join('')} fill="none" stroke={NIGHT.lit} strokeWidth={1.6} strokeDasharray="4 4" />
        {stops.map((s) => {
          const isDone = doneKeys.has(s.key);
          return (
            <g key={s.key}>
              <circle cx={s.x} cy={s.y} r={10} fill={isDone ? NIGHT.line : NIGHT.lit} />
              <text
                x={s.x}
                y={s.y + 4.5}
                textAnchor="middle"
                className={isDone ? 'fill-night-soft text-[12px] font-semibold' : 'fill-night text-[12px] font-semibold'}
              >
                {s.n}
              </text>
            </g>
          );
        })}
      </svg>
    </div>
  );
}
