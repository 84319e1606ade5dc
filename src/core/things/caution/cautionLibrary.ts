import type { Caution, Severity } from './Caution';
import table from './cautions.json';

export const cautionLibrary: readonly Caution[] = table.cautions.map((row) => ({
  id: row.id,
  title: row.title,
  severity: row.severity as Severity,
  text: row.text,
  triggers: row.triggers,
}));

/** What stands below every list of cautions. */
export const generalNote: string = table.generalNote;
