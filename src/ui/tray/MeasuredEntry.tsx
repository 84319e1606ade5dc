'use client';
import { FlaskConical, ThermometerSun } from 'lucide-react';
import { useState } from 'react';
import { logIt } from '@/core/site/growth/changeGrowth';
import type { changeSite } from '@/store/site/siteStore';
import { ConductivityField, conductivityOf } from '../feed/ConductivityField';
import { Button } from '../parts/Button';
import { CheckField } from '../parts/CheckField';
import { MaybeNumberField } from '../parts/MaybeNumberField';
import { TemperatureField } from '../parts/TemperatureField';
import { loggedNow } from '../season/loggedNow';
import { useSite } from '../shell/WorkspaceContext';

/** Temperatures with humidity, and EC with pH, as they were measured on a day; the clinic knows them from then on. */
export function MeasuredEntry({
  batchId,
  on,
  write,
}: {
  batchId: string;
  on: number;
  write(words: string, change: Parameters<typeof changeSite>[2]): void;
}) {
  // prettier-ignore
  const [low, setLow] = useState<number | null>(null);
  const [high, setHigh] = useState<number | null>(null);
  const [humidity, setHumidity] = useState<number | null>(null);
  const [ecText, setEcText] = useState('');
  const [ph, setPh] = useState<number | null>(null);
  const ec = conductivityOf(ecText);
  const stand = useSite((s) => s.site.stands.find((x) => x.tiers.some((t) => t.trays.some((y) => y.batchId === batchId))));
  const others = [...new Set(stand?.tiers.flatMap((t) => t.trays.map((y) => y.batchId)))].filter((id) => id !== batchId);
  const [isForAll, setForAll] = useState(false);
  const isTurned = low !== null && high !== null && low > high;
  return (
    <details>
      <summary className="min-h-9 cursor-pointer font-semibold max-md:min-h-11">Temperature, humidity, EC and pH</summary>
      <div className="space-y-3 pt-2">
        <div className="flex flex-wrap items-end gap-3">
          <TemperatureField label="lowest" value={low} min={-30} max={60} onChange={setLow} />
          <TemperatureField label="highest" value={high} min={-30} max={60} onChange={setHigh} />
          <MaybeNumberField label="humidity" value={humidity} min={0} max={100} unit="%" inputClassName="w-16" onChange={setHumidity} />
          <Button
            disabled={isTurned || (low === null && high === null && humidity === null)}
            onClick={() => {
              const air = { low, high, humidity };
              const asked = isForAll ? [batchId, ...others] : [batchId];
              write('Air', (site) =>
                asked.reduce((now, id) => logIt(id, { ...loggedNow(on), what: 'air', height: null, stage: null, air })(now), site),
              );
              setLow(null);
              setHigh(null);
              setHumidity(null);
            }}
          >
            <ThermometerSun size={17} aria-hidden /> Add air
          </Button>
        </div>
        {others.length > 0 && <CheckField label={`the same for all on ${stand!.name}`} checked={isForAll} onChange={setForAll} />}
        {isTurned && <p className="text-copper">The lowest is above the highest. Swap them.</p>}
        <div className="flex flex-wrap items-end gap-3">
          <ConductivityField label="EC with its unit" text={ecText} inputClassName="w-36" onChange={setEcText} />
          <MaybeNumberField label="pH" value={ph} min={0} max={14} inputClassName="w-16" onChange={setPh} />
          <Button
            disabled={ec === null && ph === null}
            onClick={() => {
              write('EC and pH', logIt(batchId, { ...loggedNow(on), what: 'solution', height: null, stage: null, solution: { ec: ec === null ? null : Math.round(ec * 1000) / 1000, ph } })); // prettier-ignore
              setEcText('');
              setPh(null);
            }}
          >
            <FlaskConical size={17} aria-hidden /> Add EC and pH
          </Button>
        </div>
      </div>
    </details>
  );
}
