'use client';
import { growthOf } from '@/core/site/growth/growthOf';
import { cropOf } from '@/core/site/crop/cropOf';
import { tables } from '@/core/things/tables/libraryTables';
import type { Day } from '@/core/units/day';
import { briefDayWords } from '../season/dayWords';
import { useSize } from '../drawing/useSize';
import { useSite, useToday } from '../shell/WorkspaceContext';
import { nameOf } from '../season/seasonWords';
import { batchName } from './todayWords';

/** Days that are looked ahead. */
const AHEAD = 21;
const ROW = 44;
const LABEL = 96;

interface Watched {
  readonly id: string;
  readonly name: string;
  readonly from: Day;
  readonly to: Day;
  readonly lampBy: Day;
}

/** Seed that may come up in the next weeks: how likely by day, and the day by which the lamp must be on. */
export function EmergenceWatch() {
  const site = useSite((s) => s.site);
  const today = useToday();
  const { ref, width } = useSize<HTMLDivElement>();
  const standing = new Set([
    ...site.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays.map((y) => y.batchId))),
    ...(site.season?.batches ?? []).map((p) => p.batchId),
  ]);
  const watched: Watched[] = [
    ...site.batches.flatMap((b): Watched[] => {
      if (!standing.has(b.id)) return []; // harvested or taken away; only its entries stay
      const crop = cropOf(site, b.cropId, tables);
      const growth = crop && b.sown !== null ? growthOf(b, crop, today) : null;
      if (!crop?.germination || !growth?.expected || growth.expected.from > today + AHEAD) return [];
      const first = b.sown! + crop.germination.days.first;
      return [
        { id: b.id, name: batchName(site, b.id), ...growth.expected, lampBy: crop.germination.light === 'needs' ? b.sown! : first - 1 },
      ];
    }),
    ...(site.season?.batches ?? []).flatMap((p): Watched[] => {
      const crop = cropOf(site, p.cropId, tables);
      if (p.batchId !== null || p.lost !== null || !crop?.germination || p.sown < today) return [];
      const { first, last } = crop.germination.days;
      if (p.sown + first > today + AHEAD) return [];
      return [
        {
          id: p.id,
          name: nameOf(site, p),
          from: p.sown + first,
          to: p.sown + last,
          lampBy: crop.germination.light === 'needs' ? p.sown : p.sown + first - 1,
        },
      ];
    }),
  ].sort((a, b) => a.from - b.from);
  if (watched.length === 0) return null;
  const from = today - 2;
  const until = today + AHEAD;
  const x = (day: Day) => LABEL + ((day - from) / (until - from)) * Math.max(0, width - LABEL - 6);
  const trips = site.visits.away.filter((a) => a.to >= from && a.from <= until);
  const height = watched.length * ROW + 22;
  return (
    <section aria-labelledby="emergence" className="space-y-1">
      <h2 id="emergence" className="text-lg font-semibold">
        Emergence watch
      </h2>
      <div ref={ref}>
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={watched
            .map((w) => `${w.name}: may come up ${briefDayWords(w.from)} to ${briefDayWords(w.to)}, lamp on by ${briefDayWords(w.lampBy)}`)
            .join('. ')}
        >
          {trips.map((a) => (
            <g key={a.from}>
              <rect
                x={x(Math.max(from, a.from))}
                width={Math.max(2, x(Math.min(until, a.to + 1)) - x(Math.max(from, a.from)))}
                y={14}
                height={height - 14}
                className="fill-slate-wash"
              />
              <text x={x(Math.max(from, a.from)) + 3} y={11} className="fill-slate font-narrow text-[11px]">
                away
              </text>
            </g>
          ))}
          <line x1={x(today)} x2={x(today)} y1={14} y2={height} className="stroke-ink" strokeWidth={1.5} />
          <text x={x(today) - 2} y={11} textAnchor="middle" className="fill-ink font-narrow text-[11px]">
            today
          </text>
          {watched.map((w, i) => {
            const base = 14 + (i + 1) * ROW - 8;
            return (
              <g key={w.id}>
                <text x={0} y={base - 4} className="fill-ink text-[13px] font-semibold">
                  {w.name.length > 14 ? `${w.name.slice(0, 13)}…` : w.name}
                </text>
                <path
                  d={hill(x(Math.max(from, w.from)), x(Math.min(until, w.to + 1)), base)}
                  className="fill-verdigris-wash stroke-verdigris"
                  strokeWidth={1}
                />
                <line x1={LABEL} x2={width - 4} y1={base} y2={base} className="stroke-line" />
                {w.lampBy >= from && w.lampBy <= until && (
                  <>
                    <line x1={x(w.lampBy)} x2={x(w.lampBy)} y1={base - 28} y2={base} className="stroke-copper" strokeWidth={2} />
                    {/* Away from the hill, where there is room. */}
                    <text
                      x={x(w.lampBy) + (x(w.lampBy) - LABEL > 84 ? -5 : 4)}
                      y={base - 21}
                      textAnchor={x(w.lampBy) - LABEL > 84 ? 'end' : 'start'}
                      className="fill-copper stroke-plaster font-narrow text-[11px]"
                      strokeWidth={4}
                      paintOrder="stroke"
                    >
                      lamp on by then
                    </text>
                  </>
                )}
              </g>
            );
          })}
        </svg>
      </div>
    </section>
  );
}

/** A hill between two places: most come up in the middle of the days that the table gives. */
function hill(x0: number, x1: number, base: number): string {
  const top = base - 30;
  const quarter = (x1 - x0) / 4;
  return `M${x0} ${base}C${x0 + quarter} ${base} ${x0 + quarter} ${top} ${(x0 + x1) / 2} ${top}S${x1 - quarter} ${base} ${x1} ${base}Z`;
}
