'use client';
import { Plus, X } from 'lucide-react';
import { MOST_BANDS } from '@/core/site/stand/changePrices';
import type { PricePeriod } from '@/core/units/PricePeriod';
import { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { NumberField } from '../parts/NumberField';
import { SelectField } from '../parts/SelectField';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { SpanFields } from './SpanFields';

const DAYS = [
  { value: 'all', label: 'every day' },
  { value: 'working', label: 'Monday to Friday' },
  { value: 'weekend', label: 'Saturday and Sunday' },
];

/** Prices of power at other hours or on other days: the bill and the cost of hours go by them. */
export function PriceBands() {
  const { sites } = useWorkspace();
  const { bands, currency, price_per_kWh } = useSite((s) => s.site);
  const set = (what: string, next: readonly PricePeriod[]) => changeSite(sites, what, (site) => ({ ...site, bands: next }));
  const change = (i: number, by: Partial<PricePeriod>) =>
    set(
      'change a price of power',
      bands.map((b, k) => (k === i ? { ...b, ...by } : b)),
    );
  return (
    <div className="space-y-3">
      {bands.map((band, i) => (
        <div key={i} className="flex flex-wrap items-end gap-4 border-b border-line pb-3" role="group" aria-label={`Price ${i + 1}`}>
          <SpanFields labels={['from', 'until']} span={band} onChange={(span) => change(i, span)} />
          <SelectField label="on" value={band.days} options={DAYS} onChange={(days) => change(i, { days: days as PricePeriod['days'] })} />
          <NumberField
            label="a kWh costs"
            value={band.price_per_kWh}
            min={0}
            max={1000}
            unit={currency}
            inputClassName="w-20"
            onChange={(price) => change(i, { price_per_kWh: price })}
          />
          <Button
            kind="quiet"
            aria-label={`Remove price ${i + 1}`}
            onClick={() => {
              set(
                'remove a price of power',
                bands.filter((_, k) => k !== i),
              );
              focusHeadingIfLost();
            }}
          >
            <X size={17} aria-hidden />
          </Button>
        </div>
      ))}
      {bands.length < MOST_BANDS && (
        <Button onClick={() => set('add a price of power', [...bands, { from_min: 0, to_min: 0, days: 'weekend', price_per_kWh }])}>
          <Plus size={17} aria-hidden /> Another price, at some hours or days
        </Button>
      )}
      {bands.length > 1 && (
        <p className="text-sm text-soft">Where two hold at the same time, the upper one counts. The same time twice is the whole day.</p>
      )}
    </div>
  );
}
