'use client';
import { CloudSun, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { correctionOf, LUX_PER_UMOL_OUTDOORS, unusable } from '@/core/answer/daylight/correctionOf';
import type { BeforeWindow } from '@/core/answer/daylight/sillAsBuilt';
import { addSillReading, dropSillReading } from '@/core/site/stand/changeWindows';
import { MOST_SILL_READINGS, passedBy, SKIES_SEEN, type SillReading, type Window } from '@/core/site/window/Window';
import { simulatedSky } from '@/core/sky/outdoors/simulatedSky';
import { readingOfPpfd } from '@/core/units/light';
import { UNIT_OPTIONS } from '../readings/words';
import { readNumber } from '@/core/units/readNumber';
import { fail, ok } from '@/core/units/result';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { decimalSign } from '../parts/decimalSign';
import { Segments } from '../parts/Segments';
import { TypedField } from '../parts/TypedField';
import { say } from '../shell/toastStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { correctionWords, COUNTS_A_LITTLE, UNUSABLE_WORDS } from './daylightWords';
import { LOCALE } from '../parts/locale';

const MOST_SHOWN = 1e7;
/** The weather of the simulated sensor. */
const SENSOR_SEED = 1;
const when = new Intl.DateTimeFormat(LOCALE, { dateStyle: 'medium', timeStyle: 'short' });

/** Readings at a window: a pair, outdoors and at the plant, under a grey sky puts the computed light right. */
export function SillReadings({ window, at, plant }: { window: Window; at: BeforeWindow; plant: string }) {
  const { sites } = useWorkspace();
  const { place, climate } = useSite((s) => s.site);
  const [sky, setSky] = useState<SillReading['sky']>('overcast');
  const [unit, setUnit] = useState<SillReading['unit']>('lx');
  const [inside, setInside] = useState<number | null>(null);
  const [outside, setOutside] = useState<number | null>(null);
  const field = (label: string, value: number | null, set: (v: number | null) => void) => (
    <TypedField<number | null>
      label={label}
      shown={value === null ? '' : String(value)}
      read={(t) => {
        if (!t.trim()) return ok(null);
        const n = readNumber(t, decimalSign());
        return n === null ? fail({ code: 'number/not-a-number', at: '' }) : ok(n);
      }}
      refuse={(v) => (v !== null && (v < 0 || v > MOST_SHOWN) ? `Enter a number between 0 and ${MOST_SHOWN}.` : null)}
      onChange={set}
      hint="A number, as the meter shows it."
      inputClassName="w-28"
    />
  );
  const isFull = window.readings.length >= MOST_SILL_READINGS;
  return (
    <div className="space-y-4">
      <p>
        Hold the meter flat where the leaves of {plant} are, then, within a few minutes, flat under the open sky. Under a closed grey sky
        the ratio of the two depends on the window alone; under a blue or changing sky it does not. Readings at two or three depths tell
        dirty panes from things outside that are taller than drawn.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <Segments
          label="Sky"
          value={sky}
          options={SKIES_SEEN.map((s) => ({ value: s, label: s === 'overcast' ? 'closed grey' : s }))}
          onChange={(v) => setSky(v)}
        />
        <Segments label="Unit" value={unit} options={UNIT_OPTIONS} onChange={(v) => setUnit(v)} />
      </div>
      <div className="flex flex-wrap items-end gap-3">
        {field('at the leaves', inside, setInside)}
        {field('outdoors', outside, setOutside)}
        {place && (
          <Button
            kind="quiet"
            onClick={() => {
              const [now] = simulatedSky(place, climate, SENSOR_SEED).readings(Date.now(), Date.now(), 1);
              setOutside(Math.round(readingOfPpfd(now!.ppfd, unit, LUX_PER_UMOL_OUTDOORS)));
              setSky(now!.sunny ? 'clear' : 'overcast');
            }}
          >
            <CloudSun size={17} aria-hidden /> Ask the simulated sensor
          </Button>
        )}
        <Button
          kind="main"
          disabled={inside === null || isFull}
          onClick={() => {
            const reading: SillReading = {
              id: newId(),
              taken_ms: Date.now(),
              sky,
              ...at,
              inside: inside ?? 0,
              outside,
              unit,
              passed: passedBy(window),
              horizonSince: false,
            };
            if (changeSite(sites, 'add the reading', addSillReading(window.id, reading))) {
              setInside(null);
              setOutside(null);
              const why = unusable(window, reading, place);
              say(why ? UNUSABLE_WORDS[why] : 'The reading counts from now on.', { label: 'Undo', run: () => undo(sites) });
            }
          }}
        >
          Add the reading
        </Button>
        {isFull && <p className="text-copper">{MOST_SILL_READINGS} readings are the most at one window. Delete old ones first.</p>}
      </div>
      <p data-testid="correction" className="font-semibold">
        {correctionWords(correctionOf(window, place))}
      </p>
      {window.readings.length > 0 && (
        <ul className="divide-y divide-line">
          {[...window.readings].reverse().map((r) => {
            const why = unusable(window, r, place);
            return (
              <li key={r.id} className="flex items-start gap-3 py-1.5">
                <span className="min-w-0 flex-1">
                  {when.format(r.taken_ms)}: {r.inside} at the leaves{r.outside === null ? '' : `, ${r.outside} outdoors`}{' '}
                  {r.unit === 'umol' ? 'µmol/m²/s' : r.unit}, {r.sky === 'overcast' ? 'closed grey' : r.sky}
                  {(why ?? r.outside === null) && (
                    <span className="block text-sm text-soft">{why ? UNUSABLE_WORDS[why] : COUNTS_A_LITTLE}</span>
                  )}
                </span>
                <button
                  type="button"
                  className="grid size-9 place-items-center rounded-md hover:bg-sunk max-md:size-11"
                  aria-label={`Delete the reading of ${when.format(r.taken_ms)}`}
                  onClick={() => changeSite(sites, 'delete the reading', dropSillReading(window.id, r.id))}
                >
                  <Trash2 size={16} aria-hidden />
                </button>
              </li>
            );
          })}
        </ul>
      )}
      <p className="text-sm text-soft">
        Older readings count for less, half as much after 180 days, and half as much once what stands outside is drawn anew: leaves come and
        go. A curtain hung later is taken into account.
      </p>
    </div>
  );
}
