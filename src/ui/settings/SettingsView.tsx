'use client';
import { Archive, BookOpen, Cable, RefreshCw } from 'lucide-react';
import { useStore } from 'zustand';
import { fail, ok } from '@/core/units/result';
import { isCurrency } from '@/core/units/money';
import { changeSite } from '@/store/site/siteStore';
import { setTariff } from '@/store/site/setUpVerbs';
import { ClimateFields, PlaceFields } from '../daylight/PlaceFields';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { NumberField } from '../parts/NumberField';
import { Segments } from '../parts/Segments';
import { TypedField } from '../parts/TypedField';
import { BeginAgain } from './BeginAgain';
import { Reminder } from './Reminder';
import { PriceBands } from './PriceBands';
import { CheapHours, QuietHours, SpareLamps, StatedFacts, TimeZone } from './Household';
import { newVersion } from '../shell/newVersion';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';

/** Units, money and the look; kept in this browser. */
export function SettingsView() {
  const { settings, sites } = useWorkspace();
  const now = useSettings();
  const currency = useSite((s) => s.site.currency);
  const price = useSite((s) => s.site.price_per_kWh);
  const load = useStore(newVersion, (s) => s.load);
  return (
    <div className="mx-auto w-full max-w-2xl space-y-7 px-5 py-6">
      <h1 className="text-2xl font-semibold">Settings</h1>
      {load && (
        <Line title="A new version" note="Your data stays. What you have typed and not yet entered is lost: finish it first.">
          <Button kind="main" onClick={load}>
            <RefreshCw size={17} aria-hidden /> Load the new version
          </Button>
        </Line>
      )}
      <Line title="Your data" note="Save everything as a file, take it to your phone, restore a backup, and see the storage it takes.">
        <Link
          href="/settings/data"
          className="inline-flex min-h-9 items-center gap-2 rounded-md border border-line bg-sheet px-3 font-semibold hover:bg-sunk max-md:min-h-11"
        >
          <Archive size={17} aria-hidden /> Backups and files
        </Link>
      </Line>
      <Line title="Words and reasons" note="PPFD, DLI, beam angle and all the others explained, some with a picture to try.">
        <Link
          href="/words"
          className="inline-flex min-h-9 items-center gap-2 rounded-md border border-line bg-sheet px-3 font-semibold hover:bg-sunk max-md:min-h-11"
        >
          <BookOpen size={17} aria-hidden /> All words
        </Link>
      </Line>
      <Line
        title="Demo and practice"
        note="The demo and the practice stand have data of their own. “Start from the demo” and “Start empty” replace what is here, after a backup."
      >
        <BeginAgain />
      </Line>
      <Line
        title="Lengths"
        note="Weights and volumes go along: kilograms and litres, or pounds and US gallons. Typed lengths of the other kind are understood everywhere: 12in, 30 cm."
      >
        <Segments
          label="Lengths"
          value={now.lengthUnit}
          options={[
            { value: 'cm', label: 'centimetres' },
            { value: 'in', label: 'inches' },
          ]}
          onChange={(lengthUnit) => settings.setState({ lengthUnit })}
        />
      </Line>
      <Line title="Temperatures">
        <Segments
          label="Temperatures"
          value={now.temperatureUnit}
          options={[
            { value: 'C', label: '°C' },
            { value: 'F', label: '°F' },
          ]}
          onChange={(temperatureUnit) => settings.setState({ temperatureUnit })}
        />
      </Line>
      <Line title="Times" note="Typed times of the other kind are understood everywhere: 18:30, 6:30 pm.">
        <Segments
          label="Times"
          value={now.clock}
          options={[
            { value: '24', label: '24 hours' },
            { value: '12', label: 'am and pm' },
          ]}
          onChange={(clock) => settings.setState({ clock })}
        />
      </Line>
      <Line title="Place and sunshine" note="For windows: where the sun goes, and how often it shines.">
        <div className="space-y-5">
          <PlaceFields />
          <ClimateFields />
        </div>
      </Line>
      <Line title="Power" note="The price begins as a guess from your browser’s language. Put in what your bill says.">
        <div className="flex gap-4">
          <TypedField
            label="currency"
            shown={currency}
            read={(t) => (isCurrency(t.trim().toUpperCase()) ? ok(t.trim().toUpperCase()) : fail({ code: 'currency/unknown', at: '' }))}
            onChange={(c) => changeSite(sites, 'change the currency', setTariff(c, price))}
            hint="Three letters, such as EUR, USD or SEK."
            inputClassName="w-20"
          />
          <NumberField
            label="price per kWh"
            value={price}
            min={0}
            max={100000}
            onChange={(p) => changeSite(sites, 'change the price', setTariff(currency, p))}
          />
        </div>
      </Line>
      <Line title="Quiet hours" note="Advice and timers do not light the lamps then.">
        <QuietHours />
      </Line>
      <Line title="Cheap hours" note="Timers use these hours when possible, to save cost.">
        <CheapHours />
        <PriceBands />
      </Line>
      <Line title="Timers" note="The steps in which they can be set.">
        <Segments
          label="Steps of the timers"
          value={String(now.timerStep_min)}
          options={[
            { value: '15', label: '15 minutes (pin timer)' },
            { value: '30', label: 'of 30' },
            { value: '1', label: 'to the minute' },
          ]}
          onChange={(v) => settings.setState({ timerStep_min: Number(v) as 1 | 15 | 30 })}
        />
      </Line>
      <Line title="Reminder" note="A notification when there is something to do for your plants.">
        <Reminder />
      </Line>
      <Line title="Clocks" note="Which day it is where the plants stand, and the time zone of exported calendars.">
        <TimeZone />
      </Line>
      <Line title="Safety here" note="Cautions on Check, bench and outlets depend on it.">
        <StatedFacts />
      </Line>
      <Line title="Spare lamps" note="Advice may hang these up without anything being bought.">
        <SpareLamps />
      </Line>
      <Line title="Theme">
        <Segments
          label="Theme"
          value={now.theme}
          options={[
            { value: 'auto', label: 'System setting' },
            { value: 'light', label: 'light' },
            { value: 'dark', label: 'dark' },
          ]}
          onChange={(theme) => settings.setState({ theme })}
        />
      </Line>
      <Line title="Simulated devices" note="Meter, timer plug and sky: what they stand for, and how a real one is connected.">
        <Link
          href="/settings/stand-ins"
          className="inline-flex min-h-9 items-center gap-2 rounded-md border border-line bg-sheet px-3 font-semibold hover:bg-sunk max-md:min-h-11"
        >
          <Cable size={17} aria-hidden /> All of them
        </Link>
      </Line>
      <p className="border-t border-line pt-4 text-soft">Everything stays in this browser. No account, and nothing is sent anywhere.</p>
    </div>
  );
}

function Line({ title, note, children }: { title: string; note?: string; children: React.ReactNode }) {
  return (
    <section className="space-y-2">
      <h2 className="text-lg font-semibold">{title}</h2>
      {children}
      {note && <p className="text-soft">{note}</p>}
    </section>
  );
}
