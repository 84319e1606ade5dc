'use client';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { readEpw } from '@/core/sky/outdoors/readEpw';
import { inYear, lastFrostOf } from '@/core/plan/season/lastFrost';
import { frostsSwapped, unlikelyFrost, type Unlikely } from '@/core/plan/season/soundSeason';
import { changeSeason, setSeason } from '@/core/site/stand/changeSeason';
import type { FrostRow, LastFrost, SeasonPlan, YearDay } from '@/core/site/season/SeasonPlan';
import { isoOf, type Day } from '@/core/units/day';
import { ok } from '@/core/units/result';
import { changeSite, undo } from '@/store/site/siteStore';
import { epwWords } from '../daylight/epwWords';
import { shortMonth } from '../daylight/daylightWords';
import { Button } from '../parts/Button';
import { DayField } from '../parts/DayField';
import { FileButton } from '../parts/FileButton';
import { Group } from '../parts/Group';
import { NumberField } from '../parts/NumberField';
import { Segments } from '../parts/Segments';
import { DoneSheet } from '../parts/Sheet';
import { TemperatureField } from '../parts/TemperatureField';
import { TypedField } from '../parts/TypedField';
import { say } from '../shell/toastStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { dayWords } from './dayWords';

const yearDayOf = (day: Day): YearDay => {
  const [, month, d] = isoOf(day).split('-').map(Number);
  return { month: month!, day: d! };
};

const UNLIKELY: Readonly<Record<Unlikely['code'], string>> = {
  'frost-after-midsummer': 'That day is after midsummer at your place. The last frost is the one of spring.',
  'frosts-swapped': 'The first frost of autumn must come after the last one of spring.',
  'chance-rises': 'A later day must have a smaller chance of frost after it.',
  'too-few-rows': 'Two rows at least, such as 50 % and 10 %.',
};

interface WeatherSheetProps {
  season: SeasonPlan;
  open: boolean;
  onOpenChange(open: boolean): void;
  trigger: React.ReactNode;
}

/** What is known of the weather outside: frost by a day or by its chance, nights by month; and what the season is called. */
export function WeatherSheet({ season, open, onOpenChange, trigger }: WeatherSheetProps) {
  const { sites } = useWorkspace();
  const place = useSite((s) => s.site.place);
  const [problem, setProblem] = useState<string | null>(null);
  const set = (what: string, change: Partial<SeasonPlan>) =>
    changeSite(
      sites,
      what,
      changeSeason(() => change),
    );
  const latitude = place?.latitude ?? null;
  const { lastFrost, firstFrost, nights, year } = season;

  function setFrost(next: LastFrost) {
    const wrong = unlikelyFrost(next, latitude);
    // A table is wrong until it is whole; only what can't be at all is refused.
    if (wrong?.code === 'frost-after-midsummer') return setProblem(UNLIKELY[wrong.code]);
    setProblem(null);
    set('set the last frost', { lastFrost: next });
  }
  const known = lastFrostOf(lastFrost, year);
  const unsound = unlikelyFrost(lastFrost, latitude);
  return (
    <DoneSheet
      title="Frost and nights"
      description="All dates of plants that go outdoors are counted from here."
      open={open}
      onOpenChange={onOpenChange}
      trigger={trigger}
    >
      <div className="space-y-6">
        <div className="flex flex-wrap gap-4">
          <TypedField
            label="Name of the season"
            shown={season.name}
            read={(text) => ok(text.trim())}
            refuse={(v) => (v === '' ? 'A name, such as Spring 2027.' : v.length > 120 ? 'At most 120 letters.' : null)}
            onChange={(name) => set('name the season', { name })}
            hint="A name, such as Spring 2027."
            inputClassName="w-60"
          />
          <NumberField
            label="Year of planting out"
            value={year}
            min={1990}
            max={2100}
            whole
            inputClassName="w-20"
            onChange={(y) => set('set the year', { year: y })}
          />
          <NumberField
            label="Hardening off takes"
            value={season.hardeningDays}
            min={0}
            max={60}
            whole
            unit="days"
            inputClassName="w-16"
            onChange={(hardeningDays) => set('set the days of hardening', { hardeningDays })}
          />
        </div>
        <Group title="Last frost of spring">
          <Segments
            label="Last frost"
            value={lastFrost.kind}
            options={[
              { value: 'unknown', label: 'Not known' },
              { value: 'day', label: 'One day' },
              { value: 'table', label: 'Days by chance' },
            ]}
            onChange={(kind) => {
              const at = known ?? inYear({ month: latitude !== null && latitude < 0 ? 10 : 5, day: 1 }, year);
              if (kind === 'unknown') setFrost({ kind });
              else if (kind === 'day') setFrost({ kind, ...yearDayOf(at) });
              else
                setFrost({
                  kind,
                  riskPercent: 20,
                  rows: [
                    { ...yearDayOf(at - 14), laterPercent: 90 },
                    { ...yearDayOf(at), laterPercent: 50 },
                    { ...yearDayOf(at + 14), laterPercent: 10 },
                  ],
                });
            }}
          />
          {lastFrost.kind === 'day' && (
            <DayField
              className="w-fit"
              label="Last frost"
              value={inYear(lastFrost, year)}
              onChange={(day) => day !== null && setFrost({ kind: 'day', ...yearDayOf(day) })}
            />
          )}
          {lastFrost.kind === 'table' && <FrostTable frost={lastFrost} year={year} onChange={setFrost} />}
          {lastFrost.kind === 'table' && (
            <p className={known === null || unsound ? 'text-copper' : ''} aria-live="polite">
              {unsound
                ? UNLIKELY[unsound.code]
                : known === null
                  ? 'Your table does not reach that chance. Add a row beyond it; nothing is guessed.'
                  : `So the season counts with ${dayWords(known)} as its last frost.`}
            </p>
          )}
          {problem && (
            <p role="alert" className="text-copper">
              {problem} It was not changed.
            </p>
          )}
        </Group>
        <Group title="First frost of autumn">
          <p className="text-soft">It kills tender crops. Those that would go out too late are named under “Not as planned”.</p>
          <DayField
            className="w-fit"
            label="First frost"
            value={firstFrost ? inYear(firstFrost, latitude !== null && latitude < 0 ? year + 1 : year) : null}
            clearable
            onChange={(day) => {
              const next = day === null ? null : yearDayOf(day);
              if (frostsSwapped({ lastFrost, firstFrost: next }, latitude)) return setProblem(UNLIKELY['frosts-swapped']);
              setProblem(null);
              set('set the first frost', { firstFrost: next });
            }}
          />
        </Group>
        <Group title="Nights outdoors">
          <p className="text-soft">
            Mean of the nights’ lowest temperatures, by month. Tender crops wait until two weeks in a row are warm enough.
          </p>
          {nights ? (
            <div className="grid grid-cols-3 gap-2 sm:grid-cols-6">
              {nights.map((t, m) => (
                <TemperatureField
                  key={m}
                  label={shortMonth(m)}
                  value={t}
                  min={-60}
                  max={40}
                  inputClassName="w-20"
                  onChange={(c) => set('set the nights', { nights: nights.map((n, i) => (i === m ? c : n)) })}
                />
              ))}
            </div>
          ) : null}
          <div className="flex flex-wrap gap-2">
            {!nights && (
              <Button
                onClick={() => {
                  // A temperate year to begin typing in, turned by half a year in the south.
                  const north = [-1, -1, 1, 4, 8, 11, 13, 13, 10, 6, 3, 0];
                  set('set the nights', { nights: latitude !== null && latitude < 0 ? [...north.slice(6), ...north.slice(0, 6)] : north });
                }}
              >
                <Plus size={17} aria-hidden /> Type the months
              </Button>
            )}
            {nights && (
              <Button onClick={() => set('delete the nights', { nights: null })}>
                <Trash2 size={17} aria-hidden /> Delete the nights
              </Button>
            )}
            <FileButton
              accept=".epw"
              maxBytes={4_000_000}
              onText={(name, text) => {
                const read = readEpw(text);
                if (!read.ok) return setProblem(read.problems.slice(0, 3).map(epwWords).join(' '));
                if (!read.value.nights) return setProblem(`${name} states no temperatures.`);
                setProblem(null);
                set('nights of a weather file', { nights: read.value.nights });
                say('Nights are taken from the weather file.', { label: 'Undo', run: () => undo(sites) });
              }}
              onRefused={(_, p) => setProblem(epwWords(p))}
            >
              Weather file (EPW)
            </FileButton>
          </div>
        </Group>
        <Button
          onClick={() => {
            changeSite(sites, 'delete the season', setSeason(null));
            onOpenChange(false);
            say('The plan is deleted. Trays and batches on the stands stay.', { label: 'Undo', run: () => undo(sites) });
          }}
        >
          <Trash2 size={17} aria-hidden /> Delete the whole plan
        </Button>
      </div>
    </DoneSheet>
  );
}

function FrostTable({ frost, year, onChange }: { frost: LastFrost & { kind: 'table' }; year: number; onChange(next: LastFrost): void }) {
  const rows = (change: (rows: readonly FrostRow[]) => readonly FrostRow[]) => onChange({ ...frost, rows: change(frost.rows) });
  return (
    <div className="space-y-2">
      <ol className="space-y-2">
        {frost.rows.map((r, i) => (
          <li key={i} className="flex flex-wrap items-end gap-3">
            <NumberField
              label="Chance of frost after"
              value={r.laterPercent}
              min={0}
              max={100}
              unit="%"
              inputClassName="w-16"
              onChange={(laterPercent) => rows((all) => all.map((x, j) => (j === i ? { ...x, laterPercent } : x)))}
            />
            <DayField
              className="w-fit"
              label="this day"
              value={inYear(r, year)}
              onChange={(day) => day !== null && rows((all) => all.map((x, j) => (j === i ? { ...x, ...yearDayOf(day) } : x)))}
            />
            {frost.rows.length > 2 && (
              <Button
                kind="quiet"
                size="icon"
                aria-label={`Delete row ${i + 1}`}
                onClick={() => rows((all) => all.filter((_, j) => j !== i))}
              >
                <Trash2 size={17} aria-hidden />
              </Button>
            )}
          </li>
        ))}
      </ol>
      <div className="flex flex-wrap items-end gap-3">
        <Button
          onClick={() =>
            rows((all) => [
              ...all,
              { ...yearDayOf(inYear(all.at(-1)!, year) + 7), laterPercent: Math.max(0, all.at(-1)!.laterPercent - 5) },
            ])
          }
        >
          <Plus size={17} aria-hidden /> Add a row
        </Button>
        <NumberField
          label="Risk that you take"
          value={frost.riskPercent}
          min={0}
          max={100}
          unit="%"
          inputClassName="w-16"
          onChange={(riskPercent) => onChange({ ...frost, riskPercent })}
        />
      </div>
    </div>
  );
}
