'use client';
import { useCallback, useMemo } from 'react';
import type { BenchTray } from '@/core/answer/stand/benchStand';
import { sumsOf } from '@/core/plan/buying/batchSums';
import { changesOnTheWay } from '@/core/plan/past/changesOnTheWay';
import type { Site } from '@/core/site/stand/Site';
import { tables } from '@/core/things/tables/libraryTables';
import { showMoney } from '@/core/units/money';
import { handfulOf, showGrams } from '@/core/units/weight';
import { OnTheWay } from '../past/OnTheWay';
import { useLitSite } from '../past/useLitSite';
import { dliNumber } from '../drawing/lightWords';
import { useWorkedOut } from '../parts/useWorkedOut';
import { useSettings, useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';

/** What a batch has had until today, day by day, and what a gram of it took. */
export function SoFar({ tray: { batch } }: { tray: BenchTray }) {
  const site = useSite((s) => s.site);
  const lit = useLitSite();
  const today = useToday();
  const { lengthUnit } = useSettings();
  const { givenToBatch } = useWorkspace();
  const sums = useMemo(() => sumsOf(site, batch, today, tables), [site, batch, today]);
  const ask = useCallback((of: Site) => givenToBatch(of, batch.id), [givenToBatch, batch.id]);
  const told = useWorkedOut(sums && sums.days > 0 ? lit : null, ask, REST_ms);
  const given = told?.answer ?? null;
  const changes = useMemo(
    () => (sums ? changesOnTheWay(site, today - sums.days, today, (y) => y.batchId === batch.id, tables) : []),
    [site, sums, today, batch.id],
  );
  if (!sums || sums.days <= 0) return null;
  const { grams, kWh, cost, days } = sums;
  const handful = handfulOf(lengthUnit);
  const money = (v: number) => showMoney(v, site.currency);
  const figures: readonly (readonly [string, string])[] = [
    ['Under light', `${days} ${days === 1 ? 'day' : 'days'}`],
    ['Light received', given ? `${Math.round(given.dli * given.days)} mol/m², ${dliNumber(given.dli)} a day` : told ? '' : 'adding up…'],
    ['Power of its lamps', `${kWh.toFixed(kWh < 10 ? 1 : 0)} kWh, ${money(cost)}`],
    ...(grams === null
      ? []
      : ([
          ['Harvested, fresh', showGrams(grams, lengthUnit)],
          ['Fresh weight a kWh', kWh > 0 ? showGrams(grams / kWh, lengthUnit) : ''],
          ['Fresh weight a mol of light', given?.mol ? showGrams(grams / given.mol, lengthUnit) : ''],
          [`Power for ${showGrams(handful, lengthUnit)}`, grams > 0 ? money((handful * cost) / grams) : ''],
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
        {sums.trays > 1 ? `${sums.trays} trays together. ` : ''}Since it came up, by lamps and hours as they were set on each day.
      </p>
      {changes.length > 0 && (
        <details>
          <summary className="min-h-9 cursor-pointer font-semibold max-md:min-h-11">
            Changed on the way: {changes.length === 1 ? 'once' : `${changes.length} times`}
          </summary>
          <OnTheWay changes={changes} isOver={false} />
        </details>
      )}
    </section>
  );
}

/** While a hand moves something, nothing is added up. */
const REST_ms = 300;
