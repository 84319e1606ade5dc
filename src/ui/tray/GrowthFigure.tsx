'use client';
import { useMemo } from 'react';
import { Line } from '../parts/LateChart';
import { heightAt } from '@/core/things/crop/heightAt';
import { growthOf, lastDayOf } from '@/core/site/growth/growthOf';
import type { BenchTray } from '@/core/answer/stand/benchStand';
import { showLength } from '@/core/units/length';
import { heightOptions, heightUnit } from '../parts/heightAxes';
import { LineKey } from '../parts/LineKey';
import { briefDayWords, dayWords } from '../season/dayWords';
import { useSettings, useToday } from '../shell/WorkspaceContext';
import { useColours } from '../theme/useColours';
import { basisWords, stageWords } from '../verdict/words';

/** Of plants that stay: days before and after today that are drawn. */
const WINDOW = 90;

/** How tall a batch has been and will be: by its table, and as corrected by what was measured. */
export function GrowthFigure({ tray: { batch, crop } }: { tray: BenchTray }) {
  const { theme, lengthUnit } = useSettings();
  const colours = useColours(theme);
  const today = useToday();
  const unit = heightUnit(lengthUnit);
  const course = useMemo(() => {
    const start = growthOf(batch, crop, today);
    if (!start) return null;
    const last = lastDayOf(batch, crop);
    const from = last === null ? Math.max(start.emergence, today - WINDOW) : start.emergence;
    const until = last ?? today + WINDOW;
    return Array.from({ length: Math.max(2, until - from + 1) }, (_, i) => ({ day: from + i, growth: growthOf(batch, crop, from + i)! }));
  }, [batch, crop, today]);
  const data = useMemo(() => {
    if (!course) return null;
    const measured = new Map(
      batch.log.flatMap((l) => (l.what === 'height' && l.height !== null ? [[l.day, l.height / unit] as const] : [])),
    );
    const plain = { pointRadius: 0, borderWidth: 2, tension: 0 };
    return {
      labels: course.map((c) => briefDayWords(c.day)),
      datasets: [
        {
          ...plain,
          label: 'measured',
          data: course.map((c) => measured.get(c.day) ?? null),
          borderColor: colours.copper,
          backgroundColor: colours.copper,
          pointRadius: 5,
          showLine: false,
        },
        {
          ...plain,
          label: 'today',
          data: course.map((c) => (c.day === today ? c.growth.height / unit : null)),
          borderColor: colours.ink,
          backgroundColor: colours.ink,
          pointRadius: 4,
          showLine: false,
        },
        { ...plain, label: 'expected', data: course.map((c) => c.growth.height / unit), borderColor: colours.ink },
        {
          ...plain,
          label: 'table',
          data: course.map((c) => heightAt(crop, c.growth.age) / unit),
          borderColor: colours.slate,
          borderDash: [4, 3],
        },
      ],
    };
  }, [course, batch, crop, colours, unit, today]);
  const options = useMemo(() => heightOptions(colours, lengthUnit), [colours, lengthUnit]);
  const stages = useMemo(
    () =>
      (course ?? []).reduce<{ words: string; from: number }[]>((all, c) => {
        const words = stageWords(c.growth.stage);
        return all.at(-1)?.words === words ? all : [...all, { words, from: c.day }];
      }, []),
    [course],
  );
  return (
    <section aria-labelledby="growth" className="space-y-2">
      <h2 id="growth" className="text-lg font-semibold">
        Growth
      </h2>
      {data && course ? (
        <>
          <figure>
            <div className="h-52">
              <Line data={data} options={options} role="img" aria-label={`Height of ${crop.name} by day`} />
            </div>
            <figcaption className="flex flex-wrap gap-x-4 text-sm text-soft">
              <LineKey colour={colours.ink} word="expected" />
              <LineKey colour={colours.slate} dash="4 3" word={`its table (${basisWords(crop.trust.heights)})`} />
              <span className="inline-flex items-center gap-1.5">
                <span className="size-2.5 rounded-full bg-copper" aria-hidden /> measured
              </span>
              <span className="inline-flex items-center gap-1.5">
                <span className="size-2 rounded-full bg-ink" aria-hidden /> today,{' '}
                {showLength(course.find((c) => c.day === today)?.growth.height ?? 0, lengthUnit)}
              </span>
            </figcaption>
          </figure>
          <p className="text-soft">
            {stages.map((s, i) => (
              <span key={s.from}>
                {i > 0 && ' → '}
                <strong className="font-semibold text-ink">{s.words}</strong> {i > 0 ? `from ${dayWords(s.from)}` : ''}
              </span>
            ))}
          </p>
        </>
      ) : (
        <p className="text-soft">Without a date it stays as tall as it is. Say when it was sown, and it grows by its table from there.</p>
      )}
    </section>
  );
}
