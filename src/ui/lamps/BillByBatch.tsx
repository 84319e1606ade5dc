'use client';
import { useMemo } from 'react';
import { sumsOf } from '@/core/plan/buying/batchSums';
import { tables } from '@/core/things/tables/libraryTables';
import { showMoney } from '@/core/units/money';
import { handfulOf, showGrams } from '@/core/units/weight';
import { Link } from '../parts/Link';
import { useSettings, useSite, useToday } from '../shell/WorkspaceContext';
import { batchName } from '../today/todayWords';

/** What each batch draws and has drawn: its share of the lamps over it, by area. */
export function BillByBatch({ days }: { days: number }) {
  const site = useSite((s) => s.site);
  const today = useToday();
  const { lengthUnit } = useSettings();
  const handful = handfulOf(lengthUnit);
  const money = (v: number) => showMoney(v, site.currency);
  const rows = useMemo(
    () =>
      site.batches.flatMap((batch) => {
        const sums = sumsOf(site, batch, today, tables);
        const tray = site.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays)).find((y) => y.batchId === batch.id);
        return sums && tray && sums.kWhADay > 0 ? [{ batch, sums, tray }] : [];
      }),
    [site, today],
  );
  if (rows.length === 0) return null;
  return (
    <section aria-labelledby="by-batch" className="space-y-2">
      <h2 id="by-batch" className="text-xl font-semibold">
        By batch
      </h2>
      <p className="text-soft">
        Lamps are shared by the trays under them as their areas are. So far: since each came up, as lamps and hours were set on each day, at
        today’s prices.
      </p>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="The bill by batch">
        <table className="w-full min-w-160 text-left" data-testid="bill-batches">
          <thead className="border-b border-line text-sm text-soft">
            <tr>
              {[
                'Batch',
                'Trays',
                'kWh a day',
                'A day',
                `${days} days`,
                'Days so far',
                'So far',
                `Power for ${showGrams(handful, lengthUnit)}`,
              ].map((h, i) => (
                <th key={h} scope="col" className={`py-2 pr-4 font-normal ${i > 0 ? 'text-right' : ''}`}>
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ batch, sums, tray }) => (
              <tr key={batch.id} className="border-b border-line">
                <th scope="row" className="pr-4 font-normal">
                  <Link
                    href={`/tray/${encodeURIComponent(tray.id)}`}
                    className="inline-flex min-h-11 items-center font-semibold hover:underline"
                  >
                    {batchName(site, batch.id)}
                  </Link>
                </th>
                {[
                  sums.trays,
                  sums.kWhADay.toFixed(2),
                  money(sums.costADay),
                  money(sums.costADay * days),
                  sums.days,
                  money(sums.cost),
                  sums.grams ? money((handful * sums.cost) / sums.grams) : '',
                ].map((v, i) => (
                  <td key={i} className="pr-4 text-right whitespace-nowrap tabular-nums">
                    {v}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
