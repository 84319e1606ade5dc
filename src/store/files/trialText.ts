import { unparse } from 'papaparse';
import type { Trial } from '../../core/site/trial/Trial';
import { writeTrial } from '../form/TrialFile';

const COLUMNS = ['tray', 'arm', 'arm_name', 'block', 'plant', 'value', 'unit', 'sown'] as const;

/** Every value of a trial, one a row, as CSV. No text is left that a spreadsheet would take for a formula. */
export function trialCsv(trial: Trial): string {
  const rows = trial.trays.flatMap((t) =>
    t.values.map((value, i) => ({
      tray: t.code,
      arm: t.arm,
      arm_name: trial.arms.find((a) => a.id === t.arm)?.name ?? '',
      block: t.block,
      plant: i + 1,
      value: value ?? '',
      unit: trial.outcome.unit,
      sown: t.sown ?? '',
    })),
  );
  return `${unparse(rows, { columns: [...COLUMNS], newline: '\r\n', escapeFormulae: true })}\r\n`;
}

/** A trial whole, as JSON. */
export const trialJson = (trial: Trial): string =>
  JSON.stringify({ format: 'copper-noon/trial', version: 1, ...writeTrial(trial) }, null, 2);
