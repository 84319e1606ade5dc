import { useMemo } from 'react';
import { trueStands } from '@/core/plan/practice/trueStands';
import { tables } from '@/core/things/tables/libraryTables';
import type { MeterWorldFile } from '@/store/meter/MeterWorldFile';
import { practiceWorld, type PracticeTruth } from '@/store/meter/practiceWorld';
import { useRun } from '../practice/useRun';
import { useSite } from '../shell/WorkspaceContext';
import { useMeter } from './useMeter';
import type { TierReadings } from './useTierReadings';

/** What the simulated meter is held into: in an exercise the tier as it really is. Null with a meter of one's own. */
export function useMeterWorld({ tier, stand }: TierReadings, truth: PracticeTruth): MeterWorldFile | null {
  const meter = useMeter();
  const run = useRun();
  const site = useSite((s) => s.site);
  return useMemo(() => {
    if (!meter.practice) return null;
    if (!run) return practiceWorld(stand, tier, meter.kind.id, truth);
    const { start, session } = run;
    const real = trueStands(site, start, session, tables).find((s) => s.stand.id === stand.stand.id);
    const there = real?.tiers.find((t) => t.tier.id === tier.tier.id);
    if (!real || !there) return null;
    const { sides, meter: hidden } = start.truth;
    return practiceWorld(real, there, hidden.kindId, { lamps: 1, sides, daylight: 0, filter: hidden.filter, meter: hidden.factor });
  }, [meter.practice, meter.kind.id, run, site, stand, tier, truth]);
}
