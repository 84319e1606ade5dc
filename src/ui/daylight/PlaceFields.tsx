'use client';
import { LocateFixed, MapPin } from 'lucide-react';
import { useState } from 'react';
import { CLIMATE_KINDS, readyClimate, usualClimate, type Climate, type ClimateKind } from '@/core/sky/outdoors/climates';
import { showClock } from '@/core/units/clock';
import { minutesAhead } from '@/core/units/clockChanges';
import type { Place } from '@/core/sky/outdoors/outdoorsAt';
import { sunshineOf } from '@/core/sky/outdoors/climates';
import { readWeatherCsv } from '@/core/sky/outdoors/readWeatherCsv';
import { say } from '../shell/toastStore';
import { readEpw } from '@/core/sky/outdoors/readEpw';
import { readCoordinate, radiansOf, showCoordinate, type CoordinateAxis } from '@/core/sky/place/readCoordinate';
import { isOtherZone, sunsNoon } from '@/core/sky/place/sunsNoon';
import { townOf } from '@/core/sky/place/townOf';
import { setClimate, setPlace } from '@/core/site/stand/changeWindows';
import { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { decimalSign } from '../parts/decimalSign';
import { FileButton } from '../parts/FileButton';
import { Link } from '../parts/Link';
import { NumberField } from '../parts/NumberField';
import { SelectField } from '../parts/SelectField';
import { TypedField } from '../parts/TypedField';
import { useSettings, useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { CLIMATE_WORDS, shortMonth } from './daylightWords';
import { epwWords } from './epwWords';

const zoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** Where the household is: typed, by the town of its time zone, or by the device. */
export function PlaceFields() {
  const { sites } = useWorkspace();
  const { clock } = useSettings();
  const place = useSite((s) => s.site.place);
  const siteZone = useSite((s) => s.site.timeZone);
  const timeZone = siteZone ?? zoneHere();
  const ahead = minutesAhead(siteZone)(useToday());
  const [problem, setProblem] = useState<string | null>(null);
  const take = (next: Place, what = 'set the place') =>
    changeSite(sites, what, (site) => {
      const first = site.place === null && site.climate.kind === 'cloudy-coast';
      const placed = setPlace(next)(site);
      return first ? setClimate(readyClimate(usualClimate(next.latitude)))(placed) : placed;
    });
  const town = townOf(timeZone);
  const field = (axis: CoordinateAxis) => (
    <TypedField
      label={axis}
      shown={place ? showCoordinate(place[axis], axis) : ''}
      read={(text) => readCoordinate(text, axis, decimalSign())}
      onChange={(value) => take({ latitude: 0, longitude: 0, ...place, [axis]: value })}
      hint={
        axis === 'latitude'
          ? 'Degrees, such as 54.2 or 54°12′ N; south is S or minus; 90 at most.'
          : 'Degrees, such as 3.1 W or −3.1; 180 at most.'
      }
      inputClassName="w-32"
    />
  );
  return (
    <div className="space-y-3">
      <div className="flex flex-wrap items-end gap-3">
        {field('latitude')}
        {field('longitude')}
      </div>
      <div className="flex flex-wrap gap-2">
        {town && (
          <Button onClick={() => take(town)}>
            <MapPin size={17} aria-hidden /> Use {timeZone.split('/').at(-1)!.replaceAll('_', ' ')}, of the time zone
          </Button>
        )}
        <Button
          onClick={() => {
            setProblem(null);
            if (!('geolocation' in navigator)) return setProblem('This browser does not know its position. Type it instead.');
            navigator.geolocation.getCurrentPosition(
              ({ coords }) => take({ latitude: radiansOf(coords.latitude), longitude: radiansOf(coords.longitude) }),
              () => setProblem('The device did not tell its position. Allow it for this page, or type it.'),
              { maximumAge: 3_600_000, timeout: 15_000 },
            );
          }}
        >
          <LocateFixed size={17} aria-hidden /> Use this device’s position
        </Button>
      </div>
      {problem && (
        <p role="alert" className="text-copper">
          {problem}
        </p>
      )}
      {place && isOtherZone(place.longitude, ahead) && (
        <p className="border-l-2 border-copper pl-3" data-testid="other-zone">
          By these clocks the sun is highest at {showClock(sunsNoon(place.longitude, ahead), clock)} there. Check the longitude (W or E), or
          choose the{' '}
          <Link href="/settings#time-zone" className="font-semibold underline underline-offset-4">
            time zone
          </Link>{' '}
          of the place. Without it daylight and lamps do not meet at the right hours.
        </p>
      )}
      <p className="text-sm text-soft">It stays in this browser and in your files. A town nearby is near enough: 100 km change little.</p>
    </div>
  );
}

/** How sunny the place is: a ready kind, typed by month, or from a weather file. */
export function ClimateFields() {
  const { sites } = useWorkspace();
  const { climate, place } = useSite((s) => s.site);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const set = (next: Climate, what = 'set the climate') => changeSite(sites, what, setClimate(next));
  const options = [
    ...CLIMATE_KINDS.map((k) => ({ value: k as string, label: CLIMATE_WORDS[k] })),
    { value: 'typed', label: 'typed by month' },
    ...(climate.kind === 'file' ? [{ value: 'file', label: climate.name ? `weather file, ${climate.name}` : 'weather file' }] : []),
  ];
  return (
    <div className="space-y-3">
      <SelectField
        label="sunshine"
        value={climate.kind}
        options={options}
        onChange={(kind) =>
          kind === 'typed' || kind === 'file' ? set({ ...climate, kind, name: '' }) : set(readyClimate(kind as ClimateKind))
        }
      />
      {climate.kind === 'typed' && (
        <div className="grid grid-cols-4 gap-2 sm:grid-cols-6">
          {climate.sunshine.map((share, m) => (
            <NumberField
              key={m}
              label={shortMonth(m)}
              unit="%"
              value={Math.round(share * 100)}
              min={0}
              max={100}
              inputClassName="w-14"
              onChange={(v) => set({ ...climate, sunshine: climate.sunshine.map((s, i) => (i === m ? v / 100 : s)) })}
            />
          ))}
        </div>
      )}
      <div className="flex flex-wrap gap-2">
        <FileButton
          accept=".epw"
          maxBytes={4_000_000}
          onText={(_, text) => {
            const read = readEpw(text);
            if (!read.ok) return setProblems(read.problems.map(epwWords));
            setProblems([]);
            changeSite(sites, 'take the weather file', (site) =>
              setClimate(read.value.climate)(site.place ? site : setPlace(read.value.place)(site)),
            );
          }}
          onRefused={(_, problem) => setProblems([epwWords(problem)])}
        >
          Weather file (EPW)
        </FileButton>
        <FileButton
          accept=".csv,text/csv"
          maxBytes={4_000_000}
          onText={(_, text) => {
            if (!place) return setProblems(['Say first where the window is: hours of light mean something at a place only.']);
            const read = readWeatherCsv(text, place);
            if (!read.ok) return setProblems(read.problems.map(epwWords));
            setProblems([]);
            const { sunshine, days } = read.value;
            const known = sunshine.filter((s) => s !== null).length;
            changeSite(sites, 'take the hours of a station', (site) =>
              setClimate({
                kind: 'file',
                name: `station, ${days} days`,
                sunshine: sunshine.map((s, m) => s ?? sunshineOf(site.climate, m, place.latitude)),
              })(site),
            );
            say(
              known === 12
                ? `${days} days are read.`
                : `${days} days are read. ${12 - known} months without enough days keep what they had.`,
            );
          }}
          onRefused={(_, problem) => setProblems([epwWords(problem)])}
        >
          Hours of a station (CSV)
        </FileButton>
      </div>
      {problems.length > 0 && (
        <ul role="alert" className="list-disc pl-5 text-copper">
          {problems.slice(0, 6).map((p) => (
            <li key={p}>{p}</li>
          ))}
        </ul>
      )}
      <p className="text-sm text-soft">
        The share of daytime with sun. The climates to choose from are our reading of climate normals; a single month may differ by 20
        points.
      </p>
    </div>
  );
}
