import { compare, type Compared } from '../../measure/reading/calibrate';
import type { LampOf } from '../../measure/reading/lightThere';
import type { Reading } from '../../site/reading/Reading';
import type { Site } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';

/** Of a list of readings that is still held, what was found last, and by which lamps. */
const known = new WeakMap<
  readonly Reading[],
  { readonly lamps: Site['lamps']; readonly tables: Pick<Tables, 'lamp'>; readonly compared: readonly Compared[] }
>();

/** Where lamps are looked up without complaint: for readings of lamps that may be gone. */
export const lampsOf =
  (site: Pick<Site, 'lamps'>, tables: Pick<Tables, 'lamp'>): LampOf =>
  (id) =>
    site.lamps.find((l) => l.id === id) ?? tables.lamp(id);

/** Readings held against the boxes of their lamps: once for as long as they and the lamps of one's own are the same, whatever else is moved. */
export function comparedIn(
  readings: readonly Reading[],
  { lamps }: Pick<Site, 'lamps'>,
  tables: Pick<Tables, 'lamp'>,
): readonly Compared[] {
  const last = known.get(readings);
  if (last?.lamps === lamps && last.tables === tables) return last.compared;
  const compared = compare(readings, lampsOf({ lamps }, tables));
  known.set(readings, { lamps, tables, compared });
  return compared;
}
