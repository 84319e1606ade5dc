'use client';
import { ShoppingBasket } from 'lucide-react';
import { useState } from 'react';
import { logIt } from '@/core/site/growth/changeGrowth';
import { showLength } from '@/core/units/length';
import type { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { LengthField } from '../parts/LengthField';
import { MaybeNumberField } from '../parts/MaybeNumberField';
import { loggedNow } from '../season/loggedNow';
import { useSettings } from '../shell/WorkspaceContext';

interface HarvestEntryProps {
  batchId: string;
  on: number;
  write(words: string, change: Parameters<typeof changeSite>[2]): void;
}

/** What was cut and weighed: the bowl taken off, how many plants, and how high over the compost. */
export function HarvestEntry({ batchId, on, write }: HarvestEntryProps) {
  const { lengthUnit } = useSettings();
  const [weighed, setWeighed] = useState<number | null>(null);
  const [tare, setTare] = useState<number | null>(null);
  const [plants, setPlants] = useState<number | null>(null);
  const [cutAt, setCutAt] = useState<number | null>(null);
  const fresh = weighed === null ? null : weighed - (tare ?? 0);
  const put = () => {
    const text = [
      plants === null ? '' : `${plants} ${plants === 1 ? 'plant' : 'plants'}`,
      cutAt === null ? '' : `cut ${showLength(cutAt, lengthUnit)} above the compost`,
    ]
      .filter(Boolean)
      .join(', ');
    write(
      'Harvest',
      logIt(batchId, { ...loggedNow(on), what: 'harvest', height: null, stage: null, weight_g: fresh!, ...(text ? { text } : {}) }),
    );
    setWeighed(null);
    setPlants(null);
  };
  return (
    <details>
      <summary className="min-h-9 cursor-pointer font-semibold max-md:min-h-11">Harvest</summary>
      <div className="space-y-3 pt-2">
        <div className="flex flex-wrap items-end gap-3">
          <MaybeNumberField label="weighed" value={weighed} min={0} max={1_000_000} unit="g" inputClassName="w-20" onChange={setWeighed} />
          <MaybeNumberField label="bowl or tray" value={tare} min={0} max={1_000_000} unit="g" inputClassName="w-20" onChange={setTare} />
          <MaybeNumberField label="plants" value={plants} min={1} max={100_000} inputClassName="w-16" onChange={setPlants} />
          <LengthField
            label="cut above the compost"
            value={cutAt ?? 0}
            min={0}
            max={2}
            inputClassName="w-20"
            onChange={(v) => setCutAt(v > 0 ? v : null)}
          />
        </div>
        <div className="flex flex-wrap items-center gap-3">
          <Button disabled={fresh === null || fresh < 0} onClick={put}>
            <ShoppingBasket size={17} aria-hidden /> Add harvest
          </Button>
          {fresh !== null && fresh >= 0 && (
            <p aria-live="polite">
              {round(fresh)} g fresh{plants !== null && `, ${round(fresh / plants)} g a plant`}
            </p>
          )}
          {fresh !== null && fresh < 0 && <p className="text-copper">The bowl weighs more than all of it. Swap the two.</p>}
        </div>
      </div>
    </details>
  );
}

const round = (v: number) => Math.round(v * 10) / 10;
