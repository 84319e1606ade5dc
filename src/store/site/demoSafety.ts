import { safetyGate, safetyWord } from '../../core/answer/caution/safetyGate';
import { benchStandOf } from '../../core/answer/stand/benchStand';
import { knowOwnLamps } from '../../core/site/ownLamps/hangingOf';
import { seeTo } from '../../core/site/stand/changeSafety';
import type { Site } from '../../core/site/stand/Site';
import { cautionLibrary } from '../../core/things/caution/cautionLibrary';
import { tables } from '../../core/things/tables/libraryTables';
import type { Day } from '../../core/units/day';

/** What the reading room has not got round to yet. */
const STILL_OPEN = { 'demo-rack': 3 } as Readonly<Record<string, number>>;

/** Cautions that the reading room has seen to, all but a few of its rack. */
export function withDemoSafety(site: Site, today: Day): Site {
  return site.stands
    .filter((s) => !s.autoArranged)
    .reduce((now, kept) => {
      // Cautions don't go by readings, and working those out would keep the first page waiting.
      const known = knowOwnLamps(now, today);
      const { tiers, ...rest } = known.stands.find((s) => s.id === kept.id)!;
      const stand = benchStandOf(known, { ...rest, tiers: tiers.map((t) => ({ ...t, readings: [] })) }, tables);
      const lines = safetyGate(stand, now.stated, [], cautionLibrary).slice(STILL_OPEN[kept.id] ?? 0);
      const of = safetyWord(stand, now.stated);
      return lines.reduce((s, { caution }) => seeTo({ standId: kept.id, cautionId: caution.id, day: today - 41, of })(s), now);
    }, site);
}
