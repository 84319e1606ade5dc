'use client';
import { useMemo } from 'react';
import { MOL_SECONDS } from '@/core/judge/dli/dli';
import type { BenchTier, BenchTray } from '@/core/answer/stand/benchStand';
import { sumsOf } from '@/core/plan/buying/batchSums';
import { daylightDli } from '@/core/judge/dli/LightDay';
import { tables } from '@/core/things/tables/libraryTables';
import { showMoney } from '@/core/units/money';
import { useSite, useToday } from '../shell/WorkspaceContext';

/** What a batch has had until today, and what a gram of it took. */
export function SoFar({ tier, tray, mean }: { tier: BenchTier; tray: BenchTray; mean: number | null }) {
  const site = useSite((s) => s.site);
  const today = useToday();
  const sums = useMemo(() => {
    const dli = mean === null ? null : mean * tier.hours * MOL_SECONDS + daylightDli(tray.day);
    // All trays of a batch count as lit like this one.
    return sumsOf(site, tray.batch, today, tables, () => dli);
  }, [site, tray, today, mean, tier]);
  if (!sums || sums.days <= 0) return null;
  const { grams, mol, kWh, cost } = sums;
  const money = (v: number) => showMoney(v, site.currency);
  const figures: readonly (readonly [string, string])[] = [
    ['Under light', `${sums.days} ${sums.days === 1 ? 'day' : 'days'}`],
    ['Light received', mol === null ? '' : `${Math.round(mol / sums.area_m2)} mol/m²`],
    ['Power of its lamps', `${kWh.toFixed(kWh < 10 ? 1 : 0)} kWh, ${money(cost)}`],
    ...(grams === null
      ? []
      : ([
          ['Harvested, fresh', `${Math.round(grams)} g`],
          ['Grams a kWh', kWh > 0 ? (grams / kWh).toFixed(1) : ''],
          ['Grams a mol of light', mol ? (grams / mol).toFixed(2) : ''],
          ['Power for 100 g', grams > 0 ? money((100 * cost) / grams) : ''],
        ] as const)),
  ];
  return (
    <section aria-labelledby="so-far" className="space-y-2">
      <h2 id="so-far" className="text-lg font-semibold">
        So far
      </h2>
      <dl className="grid grid-cols-2 gap-x-6 gap-y-2 border-y border-line py-3 sm:grid-cols-3" data-testid="so-far">
        {figures
          .filter(([, value]) => value !== '')
          .map(([name, value]) => (
            <div key={name}>
              <dt className="text-sm text-soft">{name}</dt>
              <dd className="font-semibold tabular-nums">{value}</dd>
            </div>
          ))}
      </dl>
      <p className="text-sm text-soft">
        {sums.trays > 1 ? `${sums.trays} trays together. ` : ''}With lamps and timer as they are set now, since the day it came up.
      </p>
    </section>
  );
}
