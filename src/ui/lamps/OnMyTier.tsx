'use client';
import { useState } from 'react';
import { oneOf, type Claims } from '@/core/judge/claims/Claim';
import { giftOf, shareLit } from '@/core/judge/claims/giftOf';
import { MOL_SECONDS } from '@/core/judge/dli/dli';
import { shelfStands } from '@/core/site/stand/shelfStands';
import { cropOf } from '@/core/site/crop/cropOf';
import { cropLibrary } from '@/core/things/crop/cropLibrary';
import { tables } from '@/core/things/tables/libraryTables';
import { showMoney } from '@/core/units/money';
import { SelectField } from '../parts/SelectField';
import { tierName } from '../season/seasonWords';
import { useSite } from '../shell/WorkspaceContext';
import { stageWords } from '../verdict/words';

const BASIS = {
  ppf: 'by the PPF stated',
  efficacy: 'by the efficacy stated and the power drawn',
  lumens: 'by its lumens, as white light',
  power: 'by the power drawn and what lamps of this kind usually give',
};

/** What the lamp of a box could honestly give over a tier of one's own, at the very most. */
export function OnMyTier({ claims }: { claims: Claims }) {
  const site = useSite((s) => s.site);
  const tiers = shelfStands(site).flatMap((s) => s.tiers);
  const [tierId, setTierId] = useState('');
  const [cropId, setCropId] = useState(site.season?.batches[0]?.cropId ?? 'lettuce');
  const tier = tiers.find((t) => t.id === tierId) ?? tiers[0];
  const crop = cropOf(site, cropId, tables) ?? cropLibrary[0]!;
  const stage = crop.stages.find((s) => s.stage === 'seedling') ?? crop.stages[0]!;
  const gift = giftOf(claims);
  const watts = oneOf(claims, 'drawnWatts');
  if (!tier || !gift) return null;
  const area = tier.width * tier.depth;
  const [from, to] = [gift.from / area, gift.to / area];
  const needed = stage.dliTarget / (stage.hoursMax * MOL_SECONDS);
  const share = shareLit(gift, area, needed);
  const hours = Math.min(stage.hoursMax, stage.dliTarget / (to * MOL_SECONDS));
  return (
    <section aria-labelledby="on-my-tier" className="space-y-2">
      <h2 id="on-my-tier" className="text-lg font-semibold">
        {share < 1
          ? `On your tier it can light about ${share < 0.05 ? 'nothing' : `${Math.round(share * 20) * 5} %`} at best`
          : 'It could be enough for your tier, if nearly all its light lands there'}
      </h2>
      <div className="flex flex-wrap gap-3">
        <SelectField
          label="Tier"
          value={tier.id}
          options={tiers.map((t) => ({ value: t.id, label: tierName(site, t.id) }))}
          onChange={setTierId}
        />
        <SelectField
          label="Crop"
          value={crop.id}
          options={[...site.crops, ...cropLibrary].map((c) => ({ value: c.id, label: c.name }))}
          onChange={setCropId}
        />
      </div>
      <p>
        {crop.name}, {stageWords(stage)}: {stage.dliTarget} mol/m²/day in at most {stage.hoursMax} h needs {Math.round(needed)} µmol/m²/s.
        Over {area.toFixed(2)} m² the lamp gives {to - from < 1 ? Math.round(to) : `${Math.round(from)}–${Math.round(to)}`} µmol/m²/s on
        average, {BASIS[gift.basis]}, if every photon lands on the tier. Usually a third to four fifths do.
      </p>
      {watts !== null && (
        <p>
          At your price it costs {showMoney((watts * hours * 365 * site.price_per_kWh) / 1000, site.currency)} a year, at {hours.toFixed(1)}{' '}
          h a day.
        </p>
      )}
    </section>
  );
}
