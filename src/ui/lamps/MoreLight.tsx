'use client';
import { useState } from 'react';
import type { MoreAsked } from '@/core/plan/buying/capacity';
import { daysSaved } from '@/core/plan/buying/growthByLight';
import { DAYS_PER_MONTH } from '@/core/judge/cost/pricesOf';
import { lampOf } from '@/core/answer/stand/benchStand';
import type { Crop, Stage } from '@/core/things/crop/Crop';
import { tables } from '@/core/things/tables/libraryTables';
import { showHours } from '@/core/units/clock';
import { showLength } from '@/core/units/length';
import { showMoney } from '@/core/units/money';
import { useWorkedOut } from '../parts/useWorkedOut';
import { NumberField } from '../parts/NumberField';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { dliNumber } from '../drawing/lightWords';
import { Link } from '../parts/Link';
import { costWords, howWords, longerOrMore, noWayWords, NOW_WORDS } from './capacityWords';

interface MoreLightProps {
  asked: MoreAsked;
  crop: Crop;
  stage: Stage;
  /** Flats that stand on the tier. */
  places: number;
}

/** What one mole more on a tier takes, what it brings, and whether the shelf days that it saves are worth it. */
export function MoreLight({ asked, crop, stage, places }: MoreLightProps) {
  const { moreLight } = useWorkspace();
  const { lengthUnit } = useSettings();
  const site = useSite((s) => s.site);
  const [worth, setWorth] = useState<number | null>(null);
  const told = useWorkedOut(asked, moreLight);
  if (told?.of !== asked) return <p role="status">Working out the ways to more light…</p>;
  const more = told.answer;
  if (!more) return <p role="alert">The light could not be worked out. Reload the page to try again.</p>;
  const { now, ways } = more;
  const money = (kWh: number) => showMoney(kWh * site.price_per_kWh, site.currency);
  const lamp = lampOf(site, more.lampId, tables);
  const price = site.lampPrices.find((p) => p.lampId === more.lampId)?.price ?? null;
  const sentence = longerOrMore(more, money, DAYS_PER_MONTH);
  const end = crop.stages[crop.stages.indexOf(stage) + 1]?.fromDay ?? null;
  const days = stage.fromDay !== null && end !== null ? end - stage.fromDay : null;
  const cheapest = ways.length > 0 ? ways.reduce((a, b) => (b.wh_per_day < a.wh_per_day ? b : a)) : null;
  const saved = days !== null && cheapest && now.dli > 0 ? daysSaved(days, now.dli, cheapest.dli, stage.dliTarget) : null;
  return (
    <div className="space-y-3" data-testid="more-light">
      <p>
        {NOW_WORDS[now.reach]}: {dliNumber(now.dli)} mol/m²/day at the place that gets least, {showHours(now.hours * 60)} at{' '}
        {showLength(now.distance, lengthUnit)}, {money((now.wh_per_day * DAYS_PER_MONTH) / 1000)} a month.
      </p>
      <h3 className="font-semibold">1 mol/m²/day more</h3>
      {ways.length === 0 ? (
        <p>
          {noWayWords(more)}{' '}
          <Link className="underline underline-offset-4" href="/lamps/compare">
            Compare other lamps
          </Link>
        </p>
      ) : (
        <ul className="list-disc space-y-1 pl-5">
          {ways.map((w) => (
            <li key={w.how}>
              <b>{howWords(w.how)}</b>
              {w.how === 'lamp' && ` (${lamp.name}${price !== null ? `, ${showMoney(price, site.currency)}` : ''})`}:{' '}
              {showHours(w.hours * 60)} at {showLength(w.distance, lengthUnit)} gives {dliNumber(w.dli)} mol, for{' '}
              {costWords(w, now, money, DAYS_PER_MONTH)}.
            </li>
          ))}
        </ul>
      )}
      {sentence && (
        <>
          <h3 className="font-semibold">More lamps or longer hours?</h3>
          <p>{sentence}</p>
        </>
      )}
      <h3 className="font-semibold">What it brings</h3>
      {now.dli >= stage.dliTarget - 0.05 ? (
        <p>Little: the best DLI for this crop is {stage.dliTarget} mol/m²/day, and it has that.</p>
      ) : (
        <p>
          Below its best DLI of {stage.dliTarget} mol/m²/day a plant grows 0.5–1 % more for each 1 % more light (Marcelis et al. 2006, Acta
          Horticulturae 711).{' '}
          {saved &&
            days !== null &&
            `Of ${days} days as ${stage.label ?? stage.stage.replace('-', ' ')}, about ${saved.low.toFixed(1)}–${saved.high.toFixed(1)} are saved: an estimate, since temperature, water and feed count as well.`}
        </p>
      )}
      {saved && cheapest && days !== null && now.dli < stage.dliTarget - 0.05 && (
        <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
          <NumberField
            label="A tray’s place is worth, a week"
            unit={site.currency}
            value={worth}
            min={0}
            max={10_000}
            inputClassName="w-20"
            onChange={setWorth}
          />
          <p className="pb-1.5" aria-live="polite">
            {worth === null
              ? 'Type a value to hold the saved shelf days against the power.'
              : `${places} ${places === 1 ? 'tray' : 'trays'}: saves ${showMoney((worth / 7) * places * saved.low, site.currency)}–${showMoney((worth / 7) * places * saved.high, site.currency)}, costs ${money(Math.max(0, (cheapest.wh_per_day * (days - saved.low) - now.wh_per_day * days) / 1000))} of power over these days.`}
          </p>
        </div>
      )}
    </div>
  );
}
