import { lampOf, type BenchLamp, type BenchTier } from '@/core/answer/stand/benchStand';
import { hangingsOf, burnedBy, type Hanging } from '@/core/site/ownLamps/hangingOf';
import type { OwnLamp } from '@/core/site/lamp/OwnLamp';
import type { Site } from '@/core/site/stand/Site';
import { maintenance } from '@/core/things/lamp/ageing';
import type { Lamp } from '@/core/things/lamp/Lamp';
import { tables } from '@/core/things/tables/libraryTables';
import type { Day } from '@/core/units/day';
import type { Hours, Share } from '@/core/units/quantities';
import { benchStandIn } from '@/store/bench/benchStandIn';

/** A lamp of one's own with all that is known of it today. */
export interface KnownOwnLamp {
  readonly own: OwnLamp;
  readonly lamp: Lamp;
  readonly hanging: Hanging | null;
  readonly used_h: Hours | null;
  /** Of its first light, at full setting: by readings where it hangs under some, else by its age; null: neither is known. */
  readonly output: Share | null;
  /** Where it hangs, looked up. */
  readonly at: { readonly tier: BenchTier; readonly lamp: BenchLamp } | null;
}

export function knownOwnLamps(site: Site, today: Day): KnownOwnLamp[] {
  const hung = hangingsOf(site);
  return site.ownLamps.map((own) => {
    const hanging = hung.get(own.id) ?? null;
    const lamp = lampOf(site, own.lampId, tables);
    const used_h = burnedBy(own, hanging?.hours ?? 0, today);
    const at = hanging && placeOf(site, hanging);
    const byReadings = at?.lamp.calibration ? at.lamp.calibration.scale : null;
    return { own, lamp, hanging, used_h, output: byReadings ?? (used_h === null ? null : maintenance(lamp, used_h)), at };
  });
}

function placeOf(site: Site, { stand, tier, fitting }: Hanging): KnownOwnLamp['at'] {
  const found = benchStandIn(site, stand).tiers.find((t) => t.tier.id === tier.id);
  const lamp = found?.lamps.find((l) => l.fitting.id === fitting.id);
  return found && lamp ? { tier: found, lamp } : null;
}

/** A name that no lamp of one's own has yet: its kind, with a number from the second on. */
export function nameForNew(site: Pick<Site, 'lamps' | 'ownLamps'>, lampId: string): string {
  const kind = lampOf(site, lampId, tables).name.slice(0, 110);
  const taken = new Set(site.ownLamps.map((o) => o.name));
  for (let n = 1; ; n++) {
    const name = n === 1 ? kind : `${kind} (${n})`;
    if (!taken.has(name)) return name;
  }
}
