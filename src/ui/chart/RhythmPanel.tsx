'use client';
import { Plus, X } from 'lucide-react';
import { RHYTHMS, type VisitRhythm } from '@/core/site/hang/VisitRhythm';
import { changeSite } from '@/store/site/siteStore';
import { ClockField } from '../hours/ClockField';
import { Button } from '../parts/Button';
import { DayField } from '../parts/DayField';
import { Segments } from '../parts/Segments';
import { SelectField } from '../parts/SelectField';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';

const RHYTHM_WORDS = { daily: 'daily', 'twice-weekly': 'twice a week', weekly: 'weekly' } as const;
const WEEKDAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];

/** When somebody comes by, and when nobody does. */
export function RhythmPanel() {
  const { sites } = useWorkspace();
  const visits = useSite((s) => s.site.visits);
  const today = useToday();
  const change = (by: Partial<VisitRhythm>) =>
    changeSite(sites, 'change the visits', (site) => ({ ...site, visits: { ...site.visits, ...by } }));
  return (
    <section aria-label="Visits" className="space-y-3">
      <h2 className="text-lg font-semibold">When do you visit the plants?</h2>
      <Segments
        label="How often"
        value={visits.rhythm}
        options={RHYTHMS.map((r) => ({ value: r, label: RHYTHM_WORDS[r] }))}
        onChange={(rhythm) => change({ rhythm })}
      />
      <div className="flex flex-wrap gap-3">
        {visits.rhythm !== 'daily' && (
          <SelectField
            label={visits.rhythm === 'weekly' ? 'visit day' : `first day; the second is ${WEEKDAYS[(visits.weekday + 3) % 7]}`}
            value={String(visits.weekday)}
            options={WEEKDAYS.map((label, i) => ({ value: String(i), label }))}
            onChange={(v) => change({ weekday: Number(v) })}
          />
        )}
        <ClockField label="Visit time (for the calendar)" value={visits.time_min} onChange={(time_min) => change({ time_min })} />
      </div>
      {visits.away.map((a, i) => (
        <div key={i} className="flex flex-wrap items-end gap-2">
          <DayField
            label="away from"
            value={a.from}
            onChange={(from) =>
              from !== null && change({ away: visits.away.map((x, k) => (k === i ? { from, to: Math.max(from, x.to) } : x)) })
            }
          />
          <DayField
            label="to"
            value={a.to}
            min={a.from}
            onChange={(to) => to !== null && change({ away: visits.away.map((x, k) => (k === i ? { ...x, to } : x)) })}
          />
          <Button
            kind="quiet"
            aria-label="Delete this trip"
            title="Delete this trip"
            onClick={() => change({ away: visits.away.filter((_, k) => k !== i) })}
          >
            <X size={17} aria-hidden />
          </Button>
        </div>
      ))}
      <Button onClick={() => change({ away: [...visits.away, { from: today + 7, to: today + 13 }].slice(-50) })}>
        <Plus size={17} aria-hidden /> A trip
      </Button>
    </section>
  );
}
