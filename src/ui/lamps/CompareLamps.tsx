'use client';
import { X } from 'lucide-react';
import { useSearchParams } from 'next/navigation';
import { useMemo, useState } from 'react';
import { breaksEvenIn, spentByYear, type CompareAsked, type LampFit } from '@/core/plan/buying/compareLamps';
import { shelfStands } from '@/core/site/stand/shelfStands';
import { cropOf } from '@/core/site/crop/cropOf';
import { setLampPrice } from '@/core/site/stand/changePrices';
import { lampOf } from '@/core/answer/stand/benchStand';
import type { Site } from '@/core/site/stand/Site';
import type { Crop } from '@/core/things/crop/Crop';
import { cropLibrary } from '@/core/things/crop/cropLibrary';
import type { Lamp } from '@/core/things/lamp/Lamp';
import { tables } from '@/core/things/tables/libraryTables';
import { showHours } from '@/core/units/clock';
import { showLength } from '@/core/units/length';
import { weightIn, weightUnit } from '@/core/units/weight';
import { showMoney } from '@/core/units/money';
import { changeSite } from '@/store/site/siteStore';
import { useWorkedOut } from '../parts/useWorkedOut';
import { Button } from '../parts/Button';
import { useLampItems } from '../parts/useLampItems';
import { NumberField } from '../parts/NumberField';
import { SearchList } from '../parts/SearchList';
import { useDraft } from '../parts/useDraft';
import { SelectField } from '../parts/SelectField';
import { Slider } from '../parts/Slider';
import { datedWords } from '../season/dayWords';
import { tierName } from '../season/seasonWords';
import { useSettings, useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { stageWords } from '../verdict/words';
import { CostFigure, LINE_STYLES } from './CostFigure';
import { Term } from '../terms/Term';

const MOST = 5;
/** A slider is waited for this long to be moved on, ms. */
const REST_MS = 150;
/** A price of longer ago than this is marked, days. */
const OLD_PRICE = 365;

/** Lamps made equal in light over one's own tier first, then compared: how many, how they hang, what they cost over the years. */
export function CompareLamps() {
  const { sites, compareLamps } = useWorkspace();
  const { lengthUnit } = useSettings();
  const today = useToday();
  const site = useSite((s) => s.site);
  const tiers = shelfStands(site).flatMap((s) => s.tiers);
  const hung = [...new Set(tiers.flatMap((t) => t.fittings.map((f) => f.lampId)))];
  const [tierId, setTierId] = useDraft('compare: tier', () => tiers[0]?.id ?? '');
  const [cropId, setCropId] = useDraft('compare: crop', () => site.season?.batches[0]?.cropId ?? site.batches[0]?.cropId ?? 'lettuce');
  const crop = cropOf(site, cropId, tables) ?? cropLibrary[0]!;
  const [stageName, setStageName] = useDraft<string>('compare: stage', () => 'seedling');
  const stage = crop.stages.find((s) => s.stage === stageName) ?? crop.stages[0]!;
  const wanted = (useSearchParams().get('lamps') ?? '').split(',').filter((id) => site.lamps.some((l) => l.id === id) || tables.lamp(id));
  const [lampIds, setLampIds] = useDraft<readonly string[]>(`compare: lamps ${wanted.join()}`, () =>
    [...new Set(wanted.length > 0 ? wanted : [...hung.slice(0, 2), 'led-bar-12-white-24', 'led-shop-12-twin-50'].slice(0, 3))].slice(
      0,
      MOST,
    ),
  );
  const [isAdding, setIsAdding] = useState(false);
  const [years, setYears] = useDraft('compare: years', () => 5);
  const [days, setDays] = useDraft('compare: days', () => 120);
  const [dearer, setDearer] = useDraft('compare: dearer', () => 3);
  /** What if power cost this, or the day were no longer than that; null: as it is. */
  const [triedPrice, setTriedPrice] = useState<number | null>(null);
  const [triedHours, setTriedHours] = useState<number | null>(null);
  const price_per_kWh = triedPrice ?? site.price_per_kWh;
  const hoursMost = Math.min(triedHours ?? stage.hoursMax, stage.hoursMax);
  const tier = tiers.find((t) => t.id === tierId) ?? tiers[0];
  const asked = useAsked(site, tier?.id ?? null, lampIds, crop, stage.stage, hoursMost);
  // A slider asks when it rests.
  const told = useWorkedOut(asked, compareLamps, REST_MS);
  const items = useLampItems(site.lamps);
  if (!tier)
    return (
      <section className="mx-auto max-w-xl space-y-3 p-6">
        <h1 className="text-2xl font-semibold">Compare lamps</h1>
        <p>
          Lamps are compared over a tier of yours, as its size and sides decide how much of the light arrives. Draw a stand first, under
          Stands.
        </p>
      </section>
    );
  const fits = told?.answer ?? [];
  const isWorking = told?.of !== asked;
  const priceOf = (id: string) => site.lampPrices.find((p) => p.lampId === id) ?? null;
  const rows = lampIds.map((id) => {
    const lamp = lampOf(site, id, tables);
    const fit = fits.find((f) => f.lampId === id) ?? null;
    const price = priceOf(id);
    const cost = {
      price: price?.price ?? 0,
      life_h: lamp.life_h,
      price_per_kWh,
      dearerPerYear: dearer / 100,
      daysPerYear: days,
      years,
    };
    return { id, lamp, fit, price, spent: fit && fit.count > 0 && price ? spentByYear(fit, cost) : null };
  });
  const money = (amount: number) => showMoney(amount, site.currency);
  return (
    <div className="mx-auto w-full max-w-6xl space-y-6 px-4 py-5 md:px-6">
      <header>
        <h1 className="text-2xl font-semibold">Compare lamps for the same light</h1>
        <p className="text-soft">
          Each kind is hung over your tier as well as it can be, as many as it takes to bring the weakest tray to the target. Only then
          their costs are held against each other.
        </p>
      </header>
      <div className="flex flex-wrap items-end gap-4">
        <SelectField
          label="Over"
          value={tier.id}
          options={tiers.map((t) => ({ value: t.id, label: tierName(site, t.id) }))}
          onChange={setTierId}
        />
        <SelectField
          label="For"
          value={crop.id}
          options={[...site.crops, ...cropLibrary].map((c) => ({ value: c.id, label: c.name }))}
          onChange={setCropId}
        />
        <SelectField
          label="Stage"
          value={stage.stage}
          options={crop.stages.map((s) => ({ value: s.stage, label: stageWords(s) }))}
          onChange={setStageName}
        />
        <p className="pb-2">
          Target {stage.dliTarget} <Term id="dli">mol/m²/day</Term>, at most {stage.hoursMax} h a day
        </p>
      </div>
      <div className="flex flex-wrap items-end gap-4">
        <NumberField label="Days a year" value={days} min={1} max={365} whole inputClassName="w-20" onChange={setDays} />
        <NumberField label="Years" value={years} min={1} max={25} whole inputClassName="w-16" onChange={setYears} />
        <NumberField
          label="Power gets dearer by"
          value={dearer}
          min={-20}
          max={50}
          unit="% a year"
          inputClassName="w-16"
          onChange={setDearer}
        />
      </div>
      <div className="flex flex-wrap items-end gap-x-8 gap-y-2" role="group" aria-label="What if">
        <Slider
          label="Power costs"
          shown={`${money(price_per_kWh)} per kWh`}
          value={price_per_kWh}
          min={0}
          max={Math.max(1e-6, 4 * site.price_per_kWh)}
          step={Math.max(1e-8, site.price_per_kWh / 20)}
          onChange={setTriedPrice}
        />
        <Slider
          label="A day of no more than"
          shown={showHours(hoursMost * 60)}
          value={hoursMost}
          min={Math.min(stage.hoursMin, stage.hoursMax - 1)}
          max={stage.hoursMax}
          step={0.5}
          onChange={setTriedHours}
        />
        {triedPrice !== null || hoursMost < stage.hoursMax ? (
          <Button
            kind="quiet"
            onClick={() => {
              setTriedPrice(null);
              setTriedHours(null);
            }}
          >
            As it is: {money(site.price_per_kWh)}, {showHours(stage.hoursMax * 60)}
          </Button>
        ) : (
          <p className="pb-2 text-sm text-soft">Today’s price from Settings, and the longest day that the crop tolerates.</p>
        )}
      </div>
      {told?.failed && (
        <p role="alert" className="text-copper">
          The light could not be worked out. Load the page again to try once more.
        </p>
      )}
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Lamps compared" aria-busy={isWorking}>
        <table className="w-full min-w-200 text-left">
          <thead className="border-b border-line align-bottom text-sm text-soft">
            <tr>
              {[
                'Lamp',
                'Price of one',
                'Needed',
                'Distance',
                'Hours a day',
                'DLI, mol/m²/day',
                'Uniformity, min/mean',
                'Power and heat, W',
                'Energy a year',
                `In ${years} years`,
                `Weight, ${weightUnit(lengthUnit)}`,
                '',
              ].map((h) => (
                <th key={h} className="py-2 pr-4 font-normal">
                  {h || <span className="sr-only">Remove</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody className="divide-y divide-line">
            {rows.map(({ id, lamp, fit, price, spent }, i) => (
              <tr key={id} data-testid="compared">
                <td className="py-2 pr-4">
                  <span className="flex items-center gap-2">
                    <svg width="26" height="10" aria-hidden className="shrink-0">
                      <line
                        x1="0"
                        x2="26"
                        y1="5"
                        y2="5"
                        stroke={`var(--${LINE_STYLES[i]!.colour === 'soft' ? 'ink-soft' : LINE_STYLES[i]!.colour})`}
                        strokeWidth="2.5"
                        strokeDasharray={LINE_STYLES[i]!.dash.join(' ')}
                      />
                    </svg>
                    <b>{lamp.name}</b>
                  </span>
                </td>
                <td className="py-2 pr-4">
                  <NumberField
                    label={`Price of one ${lamp.name}`}
                    hideLabel
                    value={price?.price ?? null}
                    min={0}
                    max={1e6}
                    inputClassName="w-20"
                    onChange={(p) => changeSite(sites, 'price a lamp', setLampPrice({ lampId: id, price: p, day: today }))}
                  />
                  {price && today - price.day > OLD_PRICE && (
                    <span className="block text-sm text-copper">of {datedWords(price.day)}: check it</span>
                  )}
                </td>
                {fit && fit.count > 0 ? (
                  <>
                    <td className="py-2 pr-4 font-semibold">{fit.count}</td>
                    <td className="py-2 pr-4">{showLength(fit.distance, lengthUnit)}</td>
                    <td className="py-2 pr-4">{fit.hours.toFixed(1)}</td>
                    <td className={fit.reaches ? 'py-2 pr-4' : 'py-2 pr-4 text-copper'}>
                      {fit.dli.toFixed(1)}
                      {!fit.reaches && <span className="block text-sm">falls short of {stage.dliTarget}</span>}
                    </td>
                    <td className="py-2 pr-4">{fit.uniformity.toFixed(2)}</td>
                    <td className="py-2 pr-4">{Math.round(fit.power)}</td>
                    <td className="py-2 pr-4 whitespace-nowrap">
                      {Math.round((fit.power * fit.hours * days) / 1000)} kWh,{' '}
                      {money(((fit.power * fit.hours * days) / 1000) * price_per_kWh)}
                    </td>
                    <td className="py-2 pr-4 font-semibold whitespace-nowrap">
                      {spent ? money(spent.at(-1)!) : <span className="font-normal text-soft">type its price</span>}
                    </td>
                    <td className="py-2 pr-4">{weightIn(fit.weight, lengthUnit).toFixed(1)}</td>
                  </>
                ) : (
                  <td className="py-2 pr-4 text-copper" colSpan={9}>
                    {isWorking
                      ? 'Working out its light …'
                      : 'However it hangs here, some spot gets more than the plants tolerate, or it does not fit.'}
                  </td>
                )}
                <td className="py-2">
                  <Button
                    kind="quiet"
                    size="icon"
                    aria-label={`Remove ${lamp.name}`}
                    onClick={() => setLampIds(lampIds.filter((l) => l !== id))}
                  >
                    <X size={17} aria-hidden />
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {lampIds.length < MOST && !isAdding && <Button onClick={() => setIsAdding(true)}>Add a lamp</Button>}
      {isAdding && (
        <div className="max-w-xl space-y-2">
          <SearchList
            label="Add a lamp"
            placeholder="bar, T8, 24 W, 6500 K…"
            items={items.filter((l) => !lampIds.includes(l.id))}
            chosen={null}
            onChoose={(id) => {
              setLampIds([...lampIds, id]);
              setIsAdding(false);
            }}
            empty="No lamp by that name. In Check, under Lamp, you can describe your own by its box."
          />
          <Button onClick={() => setIsAdding(false)}>Cancel</Button>
        </div>
      )}
      <Money rows={rows} years={years} currency={site.currency} />
      <p className="text-sm text-soft">
        The light is the engine’s, of the lamps as new, over this tier alone. <Term id="uniformity">Uniformity</Term>: the dimmest spot on
        the trays against their mean. Heat into the room equals the power drawn. Prices of replacement are as today. Before you hang more
        lamps: the load of strip and circuit, hooks and shelf. Follow local code; ask a licensed electrician.
      </p>
    </div>
  );
}

/** The question as long as nothing of it changes; null where there is nothing to ask. */
function useAsked(
  site: Site,
  tierId: string | null,
  lampIds: readonly string[],
  crop: Crop,
  stageName: string,
  hoursMax: number,
): CompareAsked | null {
  return useMemo(() => {
    const stage = crop.stages.find((s) => s.stage === stageName);
    return tierId !== null && stage && lampIds.length > 0 ? { site, tierId, lampIds, stage: { ...stage, hoursMax } } : null;
  }, [site, tierId, lampIds, crop, stageName, hoursMax]);
}

interface Row {
  readonly lamp: Lamp;
  readonly fit: LampFit | null;
  readonly spent: readonly number[] | null;
}

/** The costs over the years as lines, and which of them pays back when. */
function Money({ rows, years, currency }: { rows: readonly Row[]; years: number; currency: string }) {
  const priced = rows.filter((r): r is Row & { spent: readonly number[] } => r.spent !== null && r.fit?.reaches === true);
  if (priced.length === 0) return <p className="text-soft">Type what the lamps cost: then you see the money over the years.</p>;
  const cheapest = priced.reduce((a, b) => (b.spent.at(-1)! < a.spent.at(-1)! ? b : a));
  const cheapToBuy = priced.reduce((a, b) => (b.spent[0]! < a.spent[0]! ? b : a));
  const year = breaksEvenIn(cheapest.spent, cheapToBuy.spent);
  return (
    <section aria-labelledby="money" className="space-y-2">
      <h2 id="money" className="text-xl font-semibold" aria-live="polite">
        {priced.length === 1
          ? `${cheapest.lamp.name}: ${showMoney(cheapest.spent.at(-1)!, currency)} in ${years} years`
          : `Over ${years} years ${cheapest.lamp.name} costs least: ${showMoney(cheapest.spent.at(-1)!, currency)}`}
      </h2>
      {cheapest !== cheapToBuy && year !== null && (
        <p>
          It is dearer to buy than {cheapToBuy.lamp.name}, and has paid that back by the end of year {year}.
        </p>
      )}
      <CostFigure
        lines={rows.map((r) => ({ name: r.lamp.name, spent: r.fit?.reaches ? (r.spent ?? []) : [] }))}
        label={priced
          .map(
            (r) =>
              `${r.lamp.name}: ${showMoney(r.spent[0]!, currency)} to buy, ${showMoney(r.spent.at(-1)!, currency)} after ${years} years`,
          )
          .join('. ')}
        currency={currency}
      />
    </section>
  );
}
