'use client';
import { ShoppingBasket } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { leaveShelves } from '@/core/plan/today/leaveShelves';
import { logIt } from '@/core/site/growth/changeGrowth';
import type { Change } from '@/core/site/stand/change';
import { changePlanned } from '@/core/site/stand/changeSeason';
import type { Day } from '@/core/units/day';
import { showLength } from '@/core/units/length';
import { showGrams } from '@/core/units/weight';
import { newId } from '@/store/names/newId';
import type { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { CheckField } from '../parts/CheckField';
import { LengthField } from '../parts/LengthField';
import { MaybeGramsField } from '../parts/MaybeGramsField';
import { MaybeNumberField } from '../parts/MaybeNumberField';
import { loggedNow } from '../season/loggedNow';
import { useSettings } from '../shell/WorkspaceContext';

interface HarvestEntryProps {
  batchId: string;
  on: Day;
  /** Says whether it was written down. */
  write(words: string, change: Parameters<typeof changeSite>[2], more?: string): boolean;
}

/** What was cut and weighed: the bowl taken off, how many plants, and how high over the compost. */
export function HarvestEntry({ batchId, on, write }: HarvestEntryProps) {
  const { lengthUnit } = useSettings();
  const [weighed, setWeighed] = useState<number | null>(null);
  const [tare, setTare] = useState<number | null>(null);
  const [plants, setPlants] = useState<number | null>(null);
  const [cutAt, setCutAt] = useState<number | null>(null);
  const [isLast, setLast] = useState(false);
  const router = useRouter();
  const fresh = weighed === null ? null : weighed - (tare ?? 0);
  const put = () => {
    const text = [
      plants === null ? '' : `${plants} ${plants === 1 ? 'plant' : 'plants'}`,
      cutAt === null ? '' : `cut ${showLength(cutAt, lengthUnit)} above the compost`,
    ]
      .filter(Boolean)
      .join(', ');
    const entry = { ...loggedNow(on), what: 'harvest', height: null, stage: null, weight_g: fresh!, ...(text ? { text } : {}) } as const;
    const harvested = logIt(batchId, entry);
    const made = isLast
      ? write(
          'The last harvest',
          (site) => endPlanned(batchId, on)(leaveShelves(batchId, on, newId, 'off the shelves')(harvested(site))),
          'Its trays are cleared.',
        )
      : write('Harvest', harvested);
    if (!made) return;
    setWeighed(null);
    setPlants(null);
    // This page is of a tray that is gone.
    if (isLast) router.push('/today/journal');
  };
  return (
    <details>
      <summary className="min-h-9 cursor-pointer font-semibold max-md:min-h-11">Harvest</summary>
      <div className="space-y-3 pt-2">
        <div className="flex flex-wrap items-end gap-3">
          <MaybeGramsField label="weighed" value={weighed} inputClassName="w-20" onChange={setWeighed} />
          <MaybeGramsField label="bowl or tray" value={tare} inputClassName="w-20" onChange={setTare} />
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
        <CheckField label="This was the last harvest: clear its trays from the shelves" checked={isLast} onChange={setLast} />
        <div className="flex flex-wrap items-center gap-3">
          <Button disabled={fresh === null || fresh < 0} onClick={put}>
            <ShoppingBasket size={17} aria-hidden /> Add harvest
          </Button>
          {fresh !== null && fresh >= 0 && (
            <p aria-live="polite">
              {showGrams(fresh, lengthUnit)} fresh{plants !== null && `, ${showGrams(fresh / plants, lengthUnit)} a plant`}
            </p>
          )}
          {fresh !== null && fresh < 0 && <p className="text-copper">The bowl weighs more than all of it. Swap the two.</p>}
        </div>
      </div>
    </details>
  );
}

/** In the season's plan too it takes no room any more. */
const endPlanned =
  (batchId: string, on: Day): Change =>
  (site) => {
    const planned = site.season?.batches.find((b) => b.batchId === batchId && b.lost === null && b.sown < on && b.out > on);
    return planned ? changePlanned(planned.id, () => ({ out: on }))(site) : site;
  };
