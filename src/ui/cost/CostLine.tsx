'use client';
import { DAYS_PER_MONTH } from '@/core/judge/cost/pricesOf';
import { drawOf } from '@/core/answer/power/drawOf';
import { runOf } from '@/core/plan/buying/bill';
import type { SetUp } from '@/core/answer/stand/setUp';
import { showMoney } from '@/core/units/money';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { changeSite } from '@/store/site/siteStore';
import { setTariff } from '@/store/site/setUpVerbs';
import { NumberField } from '../parts/NumberField';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';

/** What it costs to run, from the watts drawn, as measured where that is known, and the price of power. */
export function CostLine({ setUp }: { setUp: SetUp }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const { currency } = site;
  const tier = benchStandIn(site, setUp.stand).tiers.find((t) => t.tier.id === setUp.tier.id)!;
  const power = drawOf(tier);
  const run = runOf(site, power, setUp.timer);
  return (
    <section aria-labelledby="cost" className="space-y-1">
      <h2 id="cost" className="text-lg font-semibold">
        Running cost
      </h2>
      <div className="flex flex-wrap items-end justify-between gap-x-4 gap-y-2">
        <p>
          <strong className="text-xl font-semibold" data-testid="cost-day">
            {showMoney(run.cost, currency)}
          </strong>{' '}
          a day,{' '}
          <strong className="text-xl font-semibold" data-testid="cost-month">
            {showMoney(run.cost * DAYS_PER_MONTH, currency)}
          </strong>{' '}
          a month
          <span className="block text-sm text-soft">
            {Math.round(power * 10) / 10} W drawn, {run.kWh.toFixed(2)} kWh a day
          </span>
        </p>
        <NumberField
          label={`price per kWh, ${currency}`}
          value={site.price_per_kWh}
          min={0}
          max={100000}
          inputClassName="w-20"
          onChange={(v) => changeSite(sites, 'change the price', setTariff(currency, v))}
        />
      </div>
    </section>
  );
}
