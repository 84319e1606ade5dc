'use client';
import { Sun } from 'lucide-react';
import { useState } from 'react';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import {
  faultsOfRamp,
  pauseOf,
  rampOf,
  USUAL_HARDENING,
  type OutdoorWeather,
  type RampEntry,
  type RampFault,
} from '@/core/plan/season/hardening';
import { changePlanned } from '@/core/site/stand/changeSeason';
import { showTemperature } from '@/core/units/temperature';
import { changeSite, undo } from '@/store/site/siteStore';
import { NumberField } from '../parts/NumberField';
import { Button } from '../parts/Button';
import { DoneSheet } from '../parts/Sheet';
import { SelectField } from '../parts/SelectField';
import { say } from '../shell/toastStore';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { dayWords, daysWords } from './dayWords';
import { nameOf } from './seasonWords';

type Weather = 'fine' | 'frost' | 'wind' | 'heat';

/** Days that stand for what a person says of the weather. */
const WEATHER: Readonly<Record<Weather, OutdoorWeather>> = {
  fine: { least_C: 10, most_C: 20, wind_kmh: 10 },
  frost: { least_C: 0, most_C: 10, wind_kmh: 10 },
  wind: { least_C: 10, most_C: 20, wind_kmh: 50 },
  heat: { least_C: 15, most_C: 34, wind_kmh: 10 },
};
const PLACES = { shade: 'shade', sun: 'sun', in: 'indoors' } as const;
const DAYS = 16;
/** By definition of the mile. */
const KMH_PER_MPH = 1.609344;

const FAULTS: Readonly<Record<RampFault, string>> = {
  gap: 'a fine day without any hours outdoors',
  jump: 'too many hours more than the day before',
  'step-after-pause': 'more hours after a pause than before it',
  'no-step-back': 'after three days indoors it should go on with fewer hours',
  'start-too-long': 'too many hours on the first day',
  drop: 'fewer hours than it could have',
  'sun-too-early': 'sun before the days in shade are over',
  'out-in-frost': 'outdoors although it is too cold',
  'out-in-wind': 'outdoors although it is too windy',
  'out-in-heat': 'outdoors although it is too hot',
  'day-stated-twice': 'stated twice',
  'too-short': 'too few days outdoors in all',
  'no-full-day-at-end': 'no whole day outdoors at the end',
};

/** Hardening off day by day: the fastest way that is safe, paused by the weather; and a way of one's own, checked. */
export function HardeningSheet({ course }: { course: BatchCourse }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const { temperatureUnit, lengthUnit } = useSettings();
  const [open, setOpen] = useState(false);
  const [weather, setWeather] = useState<readonly Weather[]>(() => Array<Weather>(DAYS).fill('fine'));
  const [own, setOwn] = useState<readonly RampEntry[] | null>(null);
  const { batch, hardening } = course;
  const ramp = rampOf(weather.map((w) => WEATHER[w]), USUAL_HARDENING); // prettier-ignore
  const out = ramp.plantOutAfter === null ? null : hardening + ramp.plantOutAfter;
  const faults = own ? faultsOfRamp(own, weather.map((w) => WEATHER[w]), USUAL_HARDENING) : []; // prettier-ignore
  const days = ramp.days;
  return (
    <DoneSheet
      title={`Harden off ${nameOf(site, batch)}`}
      description="Outdoors for longer every day: shade first, then sun. Cold, wind and heat pause it. Growers’ consensus, put into exact rules."
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Button>
          <Sun size={17} aria-hidden /> Hardening off
        </Button>
      }
    >
      <div className="space-y-4">
        <p className="text-lg" aria-live="polite">
          {out === null ? 'In this weather the days shown are not enough.' : `Plant out on ${dayWords(out)}`}
          {out !== null &&
            out !== batch.out &&
            `, ${daysWords(Math.abs(out - batch.out))} ${out > batch.out ? 'later' : 'earlier'} than planned`}
          {out !== null && '.'}
        </p>
        {out !== null && out !== batch.out && (
          <Button
            onClick={() => {
              changeSite(
                sites,
                `planting out of ${nameOf(site, batch)}`,
                changePlanned(batch.id, () => ({ out })),
              );
              say(`Planting out on ${dayWords(out)}.`, { label: 'Undo', run: () => undo(sites) });
            }}
          >
            Use this day
          </Button>
        )}
        <div className="overflow-x-auto">
          <table className="w-full text-left">
            <thead className="text-sm text-soft">
              <tr>
                <th className="py-1 pr-4 font-normal max-md:pr-2">Day</th>
                <th className="py-1 pr-4 font-normal max-md:pr-2">Weather</th>
                <th className="py-1 pr-4 font-normal max-md:pr-2">Hours outdoors</th>
                <th className="py-1 pr-4 font-normal max-md:pr-2">Where</th>
                {own && <th className="py-1 font-normal">Your hours, h</th>}
              </tr>
            </thead>
            <tbody className="divide-y divide-line">
              {days.map((d, i) => (
                <tr key={i}>
                  <td className="py-1.5 pr-4 whitespace-nowrap max-md:pr-2">{dayWords(hardening + i)}</td>
                  <td className="min-w-23 py-1.5 pr-4 max-md:pr-2">
                    <SelectField
                      hideLabel
                      label={`Weather on ${dayWords(hardening + i)}`}
                      value={weather[i]!}
                      options={[
                        { value: 'fine', label: 'Fine' },
                        { value: 'frost', label: 'Cold' },
                        { value: 'wind', label: 'Wind' },
                        { value: 'heat', label: 'Hot' },
                      ]}
                      onChange={(w) => setWeather(weather.map((x, j) => (j === i ? (w as Weather) : x)))}
                    />
                  </td>
                  <td className="py-1.5 pr-4 font-semibold max-md:pr-2">{d.hours > 0 ? `${d.hours} h` : 'stay indoors'}</td>
                  <td className="py-1.5 pr-4 max-md:pr-2">{PLACES[d.place]}</td>
                  {own && (
                    <td className="py-1.5">
                      <NumberField
                        label={`Your hours on ${dayWords(hardening + i)}`}
                        hideLabel
                        min={0}
                        max={24}
                        inputClassName="w-14"
                        value={own.find((e) => e.day === i + 1)?.hours ?? 0}
                        onChange={(hours) => {
                          const place =
                            hours === 0 ? ('in' as const) : i < USUAL_HARDENING.shadeDays ? ('shade' as const) : ('sun' as const);
                          setOwn([...own.filter((x) => x.day !== i + 1), { day: i + 1, hours, place }].sort((a, b) => a.day - b.day));
                        }}
                      />
                    </td>
                  )}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {own ? (
          <div aria-live="polite">
            {faults.length === 0 ? (
              <p className="text-verdigris">Your hours are sound.</p>
            ) : (
              <ul className="list-disc pl-5 text-copper">
                {faults.map((f) => (
                  <li key={`${f.fault} ${f.day}`}>
                    {f.day > 0 ? `${dayWords(hardening + f.day - 1)}: ` : 'In all: '}
                    {FAULTS[f.fault]}
                  </li>
                ))}
              </ul>
            )}
          </div>
        ) : (
          <Button onClick={() => setOwn(days.map((d, i) => ({ day: i + 1, hours: d.hours, place: d.place })))}>
            Check hours of my own
          </Button>
        )}
        <p className="text-sm text-soft">
          Cold is a night below {showTemperature(USUAL_HARDENING.frostBelow_C, temperatureUnit)}, wind above{' '}
          {lengthUnit === 'in' ? `${Math.round(USUAL_HARDENING.windAbove_kmh / KMH_PER_MPH)} mph` : `${USUAL_HARDENING.windAbove_kmh} km/h`}
          , hot above {showTemperature(USUAL_HARDENING.heatAbove_C, temperatureUnit)}. A week before, cut roots that grow from tray to tray,
          and feed weakly. Going to a brighter place indoors: raise the DLI by a quarter every second day, and take covers off for longer
          each day.
        </p>
        <p className="sr-only" role="status">
          {weather.filter((w) => pauseOf(WEATHER[w], USUAL_HARDENING) !== null).length} days paused
        </p>
      </div>
    </DoneSheet>
  );
}
