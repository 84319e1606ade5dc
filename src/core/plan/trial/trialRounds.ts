import type { Tray } from '../../site/stand/Site';
import type { Trial, TrialFactor, TrialTrayRow } from '../../site/trial/Trial';
import { fitsPlaceOf } from '../rotation/rotateTier';

/** What comes with the place that a tray stands in, and not with the tray: lamp and timer, mat, or the place itself. */
const WITH_THE_PLACE: ReadonlySet<TrialFactor> = new Set(['lamp', 'distance', 'dose', 'hours', 'mat', 'position']);

/** Whether a tray that went to another arm's place would get what that arm gets. */
export const comesWithPlace = ({ factor }: Pick<Trial, 'factor'>): boolean => WITH_THE_PLACE.has(factor);

/**
 * Trays of a trial that may change places with each other, in the order in which they move on: those of one block that fit each other's
 * places; of one arm only, where what is compared comes with the place. Trays that stand in no drawing move among themselves.
 *
 * @param trays  those that are drawn, by their ids
 */
export function roundsOf(trial: Pick<Trial, 'factor' | 'trays'>, trays: ReadonlyMap<string, Tray>): readonly (readonly TrialTrayRow[])[] {
  const byArm = comesWithPlace(trial);
  const rounds: { readonly first: TrialTrayRow; readonly tray: Tray | undefined; readonly rows: TrialTrayRow[] }[] = [];
  for (const row of trial.trays) {
    const tray = row.trayId === null ? undefined : trays.get(row.trayId);
    // It is gone, its trial is over, or it is named twice.
    if (row.had || (row.trayId !== null && !tray) || rounds.some((r) => tray && r.rows.some((x) => x.trayId === row.trayId))) continue;
    const fits = (other: Tray | undefined) => (tray && other ? fitsPlaceOf(tray, other) : tray === other);
    const round = rounds.find((r) => r.first.block === row.block && (!byArm || r.first.arm === row.arm) && fits(r.tray));
    if (round) round.rows.push(row);
    else rounds.push({ first: row, tray, rows: [row] });
  }
  return rounds.map((r) => r.rows).filter((rows) => rows.length > 1);
}
