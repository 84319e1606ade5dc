'use client';
import { DAYS_PER_MONTH } from '@/core/judge/cost/pricesOf';
import { useMemo, useState } from 'react';
import { billOf, rebased, totalOf, type BillLine } from '@/core/plan/buying/bill';
import { drawnLately } from '@/core/plan/buying/drawnLately';
import { tables } from '@/core/things/tables/libraryTables';
import { showMoney } from '@/core/units/money';
import { Link } from '../parts/Link';
import { MaybeNumberField } from '../parts/MaybeNumberField';
import { NumberField } from '../parts/NumberField';
import { useSite, useToday } from '../shell/WorkspaceContext';
import { BillByBatch } from './BillByBatch';

const kWh = (v: number) => (v < 10 ? v.toFixed(2) : v.toFixed(1));
/** A meter that shows so much more or less than the plan is worth a word. */
const NOTABLE = 0.15;

/** What all lamps and what is plugged in beside them costs, as everything is set today. */
export function BillView() {
  const site = useSite((s) => s.site);
  const lines = useMemo(() => billOf(site, tables), [site]);
  const [days, setDays] = useState(180);
  const money = (v: number) => showMoney(v, site.currency);
  const all = totalOf(lines);
  const stands = site.stands.flatMap((s) => {
    const own = lines.filter((l) => l.standId === s.id);
    return own.length > 0 ? [{ stand: s, own, sum: totalOf(own) }] : [];
  });
  return (
    <div className="mx-auto w-full max-w-5xl space-y-6 px-4 py-5 md:px-6">
      <header>
        <h1 className="text-2xl font-semibold" aria-live="polite">
          {lines.length === 0 ? 'The bill' : `${money(all.cost * DAYS_PER_MONTH)} a month, as everything is set`}
        </h1>
        <p className="text-soft">
          {money(site.price_per_kWh)} per kWh{site.cheap ? `, ${money(site.cheap.price_per_kWh)} in the cheap hours` : ''}
          {site.bands.length > 0
            ? `, ${site.bands.length} other ${site.bands.length === 1 ? 'price' : 'prices'} at some hours or days`
            : ''}
          , from{' '}
          <Link className="underline underline-offset-4" href="/settings">
            Settings
          </Link>
          . Power is what each lamp draws as it is set, measured where you entered it; mats count as if they never switched off.
        </p>
      </header>
      {lines.length === 0 && <p>No lamp hangs yet. Check a lamp over a tray, or draw a stand: then its cost stands here.</p>}
      {lines.length > 0 && (
        <>
          <NumberField label="Days a year that they run" value={days} min={1} max={365} whole inputClassName="w-20" onChange={setDays} />
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="The bill, line by line">
            <table className="w-full min-w-160 text-left">
              <thead className="border-b border-line text-sm text-soft">
                <tr>
                  {['What', 'Power, W', 'Hours a day', 'kWh a day', 'A day', 'A month', `${days} days`, 'Tray and day'].map((h, i) => (
                    <th key={h} scope="col" className={`py-2 pr-4 font-normal ${i > 0 ? 'text-right' : ''}`}>
                      {h}
                    </th>
                  ))}
                </tr>
              </thead>
              {stands.map(({ stand, own, sum }) => (
                <tbody key={stand.id} className="border-b border-line" data-testid="bill-stand">
                  <tr>
                    <th scope="rowgroup" className="py-1 pr-4 font-semibold">
                      {stand.name}
                    </th>
                    <Figures line={{ ...sum, hours: null, trays: 0 }} days={days} money={money} strong />
                  </tr>
                  {own.map((l, i) => (
                    <tr key={i}>
                      <td className="py-1 pr-4 pl-4">
                        {l.count > 1 ? `${l.count} × ` : ''}
                        {l.name}
                        {l.tierId !== null && stand.tiers.length > 1 && (
                          <span className="text-soft">, tier {stand.tiers.findIndex((t) => t.id === l.tierId) + 1}</span>
                        )}
                      </td>
                      <Figures line={l} days={days} money={money} />
                    </tr>
                  ))}
                </tbody>
              ))}
              <tfoot>
                <tr>
                  <th scope="row" className="py-3 pr-4 text-lg font-semibold">
                    All
                  </th>
                  <Figures line={{ ...all, hours: null, trays: 0 }} days={days} money={money} strong />
                </tr>
              </tfoot>
            </table>
          </div>
          <BillByBatch days={days} />
          <AgainstMeter />
        </>
      )}
      <Label money={money} price={site.price_per_kWh} />
    </div>
  );
}

interface FiguresProps {
  line: Pick<BillLine, 'power' | 'kWh' | 'cost' | 'trays'> & { readonly hours: number | null };
  days: number;
  strong?: boolean;
  money(v: number): string;
}

function Figures({ line: l, days, money, strong = false }: FiguresProps) {
  const cell = `py-1 pr-4 text-right whitespace-nowrap ${strong ? 'font-semibold' : ''}`;
  return (
    <>
      <td className={cell}>{Math.round(l.power)}</td>
      <td className={cell}>{l.hours === null ? '' : l.hours.toFixed(1)}</td>
      <td className={cell}>{kWh(l.kWh)}</td>
      <td className={cell}>{money(l.cost)}</td>
      <td className={cell}>{money(l.cost * DAYS_PER_MONTH)}</td>
      <td className={cell}>{money(l.cost * days)}</td>
      <td className={cell}>{l.trays > 0 ? money(l.cost / l.trays) : ''}</td>
    </>
  );
}

/** What the meter in the cellar or at the plug showed in the last days, against the plan of each. */
function AgainstMeter() {
  const site = useSite((s) => s.site);
  const today = useToday();
  const [measured, setMeasured] = useState<number | null>(null);
  const [over, setOver] = useState(7);
  const perDay = useMemo(() => drawnLately(site, over, today, tables), [site, over, today]);
  const ratio = measured !== null && perDay > 0 ? measured / over / perDay : null;
  return (
    <section aria-labelledby="meter" className="space-y-2">
      <h2 id="meter" className="text-xl font-semibold">
        Against your meter
      </h2>
      <div className="flex flex-wrap items-end gap-4">
        <MaybeNumberField label="It counted" value={measured} min={0} max={1e5} unit="kWh" inputClassName="w-24" onChange={setMeasured} />
        <NumberField label="in the last" value={over} min={1} max={400} unit="days" whole inputClassName="w-16" onChange={setOver} />
      </div>
      {ratio !== null && (
        <p aria-live="polite">
          {kWh(measured! / over)} kWh a day measured, {kWh(perDay)} by the plan.{' '}
          {Math.abs(ratio - 1) <= NOTABLE
            ? 'They agree.'
            : ratio > 1
              ? 'More than planned: something else is on the same meter, a lamp draws more than its label says, or it burns longer than the timer should let it.'
              : 'Less than planned: a lamp or a mat was off for a time, or draws less than its label says.'}
        </p>
      )}
    </section>
  );
}

/** A yearly cost from a label, at one's own hours and price. */
function Label({ money, price }: { money(v: number): string; price: number }) {
  const [stated, setStated] = useState<number | null>(null);
  const [at, setAt] = useState({ hours: 3, price: 0.11 });
  const [hours, setHours] = useState(16);
  const cost = stated === null ? null : rebased(stated, at, { hours, price });
  return (
    <section aria-labelledby="label" className="space-y-2">
      <h2 id="label" className="text-xl font-semibold">
        What a label’s cost would be for you
      </h2>
      <div className="flex flex-wrap items-end gap-4">
        <MaybeNumberField
          label="Cost of a year, on the label"
          value={stated}
          min={0}
          max={1e6}
          inputClassName="w-24"
          onChange={setStated}
        />
        <NumberField
          label="at hours a day"
          value={at.hours}
          min={0.1}
          max={24}
          inputClassName="w-16"
          onChange={(h) => setAt({ ...at, hours: h })}
        />
        <NumberField
          label="and a price per kWh"
          value={at.price}
          min={0.001}
          max={1000}
          inputClassName="w-20"
          onChange={(p) => setAt({ ...at, price: p })}
        />
        <NumberField label="Yours: hours a day" value={hours} min={0} max={24} inputClassName="w-16" onChange={setHours} />
      </div>
      {cost !== null && (
        <p aria-live="polite">
          <b>{money(cost)}</b> a year at {hours} h a day and {money(price)} per kWh.
        </p>
      )}
    </section>
  );
}
