'use client';
import { Trash2 } from 'lucide-react';
import { STATED, type Stated } from '@/core/site/stand/Stated';
import { tables } from '@/core/things/tables/libraryTables';
import type { Site } from '@/core/site/stand/Site';
import { showClock } from '@/core/units/clock';
import { changeSite } from '@/store/site/siteStore';
import { CheckField } from '../parts/CheckField';
import { ChoiceSheet } from '../bench/ChoiceSheet';
import { Button } from '../parts/Button';
import { useLampItems } from '../parts/useLampItems';
import { NumberField } from '../parts/NumberField';
import { SelectField } from '../parts/SelectField';
import { Stepper } from '../parts/Stepper';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { SpanFields } from './SpanFields';

const EVENING = { from_min: 22 * 60, to_min: 6 * 60 };

/** When nobody wants light in the room: advice and timers keep to it. */
export function QuietHours() {
  const { sites } = useWorkspace();
  const { clock } = useSettings();
  const quiet = useSite((s) => s.site.quiet);
  const set = (next: Site['quiet']) => changeSite(sites, 'change the quiet hours', (site) => ({ ...site, quiet: next }));
  if (!quiet)
    return (
      <Button onClick={() => set(EVENING)}>
        Keep {showClock(EVENING.from_min, clock)} to {showClock(EVENING.to_min, clock)} dark
      </Button>
    );
  return (
    <div className="flex flex-wrap items-end gap-4">
      <SpanFields labels={['dark from', 'until']} span={quiet} onChange={set} />
      <Button onClick={() => set(null)}>Remove quiet hours</Button>
    </div>
  );
}

/** When power costs less: timers lie there where nobody minds. */
export function CheapHours() {
  const { sites } = useWorkspace();
  const cheap = useSite((s) => s.site.cheap);
  const price = useSite((s) => s.site.price_per_kWh);
  const currency = useSite((s) => s.site.currency);
  const set = (next: Site['cheap']) => changeSite(sites, 'change the cheap hours', (site) => ({ ...site, cheap: next }));
  if (!cheap)
    return (
      <Button onClick={() => set({ from_min: 30, to_min: 5 * 60 + 30, price_per_kWh: Math.round(50 * price) / 100 })}>
        Power is cheaper at night
      </Button>
    );
  return (
    <div className="flex flex-wrap items-end gap-4">
      <SpanFields labels={['cheap from', 'until']} span={cheap} onChange={(span) => set({ ...cheap, ...span })} />
      <NumberField
        label="then a kWh costs"
        value={cheap.price_per_kWh}
        min={0}
        max={1000}
        unit={currency}
        inputClassName="w-20"
        onChange={(price_per_kWh) => set({ ...cheap, price_per_kWh })}
      />
      <Button onClick={() => set(null)}>One price all day</Button>
    </div>
  );
}

/** Lamps that hang nowhere: what advice may use without anything being bought. */
export function SpareLamps() {
  const { sites } = useWorkspace();
  const spares = useSite((s) => s.site.spares);
  const own = useSite((s) => s.site.lamps);
  const items = useLampItems(own);
  const set = (change: (now: Site['spares']) => Site['spares']) =>
    changeSite(sites, 'change the spare lamps', (site) => ({ ...site, spares: change(site.spares) }));
  return (
    <div className="space-y-2">
      <ul className="space-y-2">
        {spares.map(({ lampId, count }) => {
          const name = own.find((l) => l.id === lampId)?.name ?? tables.lamp(lampId)?.name ?? lampId;
          return (
            <li key={lampId} className="flex flex-wrap items-end gap-3">
              <Stepper
                label={name}
                value={count}
                min={1}
                max={20}
                onChange={(n) => set((now) => now.map((s) => (s.lampId === lampId ? { ...s, count: n } : s)))}
              />
              <Button
                kind="quiet"
                size="icon"
                aria-label={`No ${name} any more`}
                onClick={() => set((now) => now.filter((s) => s.lampId !== lampId))}
              >
                <Trash2 size={17} aria-hidden />
              </Button>
            </li>
          );
        })}
      </ul>
      <ChoiceSheet
        label="Add a spare lamp"
        shown="Add a lamp"
        title="Which spare lamp do you have?"
        description="Advice may hang it up without anything being bought."
        placeholder="bar, T8, 24 W…"
        items={items.filter((i) => !spares.some((s) => s.lampId === i.id))}
        chosen={null}
        onChoose={(lampId) => set((now) => [...now, { lampId, count: 1 }])}
      />
    </div>
  );
}

/** All time zones that the browser knows. */
const ZONES = Intl.supportedValuesOf('timeZone');

/** Where the clocks of the household are: for the day that it is, and for calendars. */
export function TimeZone() {
  const { sites } = useWorkspace();
  const timeZone = useSite((s) => s.site.timeZone);
  const own = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return (
    <SelectField
      id="time-zone"
      label="time zone"
      value={timeZone ?? ''}
      options={[
        { value: '', label: `as this machine (${own.replace(/_/g, ' ')})` },
        ...ZONES.map((z) => ({ value: z, label: z.replace(/_/g, ' ') })),
      ]}
      onChange={(z) => changeSite(sites, 'choose the time zone', (site) => ({ ...site, timeZone: z || null }))}
    />
  );
}

const STATED_WORDS: Readonly<Record<Stated, string>> = {
  outletProtected: 'The outlets have ground-fault (residual-current) protection',
  extensionLead: 'An extension lead is in use',
  stripsInSeries: 'One power strip is plugged into another',
  misting: 'Plants are misted or sprayed under the lamps',
  storesChemicals: 'Fertiliser or plant protection is kept nearby',
  children: 'Children can reach the plants',
  pets: 'Pets can reach the plants',
  lightSpill: 'The light reaches a bedroom or a neighbour at night',
};

/** What is so in the household and no drawing shows: cautions depend on it. */
export function StatedFacts() {
  const { sites } = useWorkspace();
  const stated = useSite((s) => s.site.stated);
  const set = (name: Stated, yes: boolean) =>
    changeSite(sites, 'change the household', (site) => ({
      ...site,
      stated: STATED.filter((s) => (s === name ? yes : site.stated.includes(s))),
    }));
  return (
    <fieldset>
      <legend className="sr-only">What is so here</legend>
      {STATED.map((name) => (
        <CheckField key={name} label={STATED_WORDS[name]} checked={stated.includes(name)} onChange={(checked) => set(name, checked)} />
      ))}
    </fieldset>
  );
}
