import { expectedReading } from '../../measure/reading/expectedReading';
import { placeNow } from '../../measure/reading/takeReading';
import { lampOf } from '../../answer/stand/benchStand';
import { rimOf } from '../../site/stand/canopy';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import type { Share } from '../../units/quantities';
import type { Start } from './Exercise';
import { emergenceOf } from './passDay';
import { lightThere } from '../../measure/reading/lightThere';

/** Something that was hidden, and what would have told it. `said` and `shown` are what the meter of the exercise would show. */
export type TellTale =
  | { readonly what: 'lamp'; readonly name: string; readonly share: number; readonly said: number; readonly shown: number }
  | { readonly what: 'sides'; readonly share: Share; readonly said: number; readonly shown: number }
  | { readonly what: 'meter'; readonly factor: number; readonly said: number; readonly shown: number }
  | { readonly what: 'filter' }
  | { readonly what: 'clock'; readonly lag_min: number }
  | { readonly what: 'late'; readonly batchId: string; readonly day: Day; readonly by: number };

/** All that an exercise hid, with the reading in the middle of the first tray that would have told it, as it hung at the start. */
export function tellTales(start: Start, tables: Tables): TellTale[] {
  const { site, truth } = start;
  const tier = site.stands[0]!.tiers[0]!;
  const tray = tier.trays[0]!;
  const place = placeNow(tier, { x: tray.x, y: tray.y, z: rimOf(tray) });
  const real = (id: string) => {
    const lamp = lampOf(site, id, tables);
    return { ...lamp, ppf: lamp.ppf * (truth.lamps[id] ?? 1) };
  };
  const said = (id: string) => lampOf(site, id, tables);
  const { kindId, factor } = truth.meter;
  const { faces } = tier.enclosure;
  const found = truth.sides === null ? {} : Object.fromEntries([faces.left, faces.right, faces.back, faces.front].map((m) => [m, truth.sides!])); // prettier-ignore
  const shows = (of: typeof said, sides: Readonly<Record<string, Share>>, times = 1) =>
    (expectedReading(kindId, lightThere(place, of, sides)).value ?? 0) * times;
  const told: TellTale[] = [];
  for (const [id, share] of Object.entries(truth.lamps))
    told.push({ what: 'lamp', name: said(id).name, share, said: shows(said, found), shown: shows(real, found) });
  if (truth.sides !== null) told.push({ what: 'sides', share: truth.sides, said: shows(real, {}), shown: shows(real, found) });
  if (Math.abs(factor - 1) > 0.05) told.push({ what: 'meter', factor, said: shows(real, found), shown: shows(real, found, factor) });
  if (truth.meter.filter === 'cheap') told.push({ what: 'filter' });
  if (truth.lag_min !== 0) told.push({ what: 'clock', lag_min: truth.lag_min });
  for (const [batchId, by] of Object.entries(truth.late))
    if (by !== 0) told.push({ what: 'late', batchId, day: emergenceOf(start, batchId, tables), by });
  return told;
}
