'use client';
import { MOST_VALUES, type TrialTrayRow } from '@/core/site/trial/Trial';
import { readNumber } from '@/core/units/readNumber';
import { fail, ok, type Result } from '@/core/units/result';
import { decimalSign } from '../parts/decimalSign';
import { NumberField } from '../parts/NumberField';
import { TypedField } from '../parts/TypedField';

interface ValuesFieldProps {
  row: TrialTrayRow;
  unit: string;
  isCount: boolean;
  onChange(how: Partial<TrialTrayRow>): void;
}

/** What was measured of a tray: one number for the whole of it, or one of each plant; a dash for one that is missing. */
export function ValuesField({ row, unit, isCount, onChange }: ValuesFieldProps) {
  if (isCount)
    return (
      <span className="flex items-end gap-2">
        <NumberField
          label={`Came up, ${row.code}`}
          value={row.values[0] ?? null}
          min={0}
          max={row.sown ?? 10_000}
          whole
          inputClassName="w-16"
          onChange={(v) => onChange({ values: [v] })}
        />
        <NumberField
          label={`Sown, ${row.code}`}
          value={row.sown}
          min={Math.max(1, row.values[0] ?? 1)}
          max={10_000}
          whole
          inputClassName="w-16"
          onChange={(sown) => onChange({ sown })}
        />
      </span>
    );
  return (
    <TypedField<(number | null)[]>
      label={`Values of ${row.code}, ${unit || 'no unit'}`}
      inputClassName="w-full min-w-32"
      shown={row.values.map((v) => (v === null ? '–' : String(v))).join('  ')}
      read={readValues}
      refuse={(values) =>
        values.length > MOST_VALUES
          ? `Enter at most ${MOST_VALUES} values.`
          : values.some((v) => v !== null && Math.abs(v) > 1e6)
            ? 'Enter values up to a million.'
            : null
      }
      onChange={(values) => onChange({ values })}
      hint="Numbers with spaces between them, such as 41 38.5 – 44. A dash is a plant that is missing."
    />
  );
}

function readValues(text: string): Result<(number | null)[]> {
  const words = text.trim() === '' ? [] : text.trim().split(/[\s;]+/);
  const values = words.map((w) => (/^[-–—x?]$/i.test(w) ? null : (readNumber(w, decimalSign()) ?? NaN)));
  return values.some((v) => v !== null && Number.isNaN(v)) ? fail({ code: 'number/not-a-number', at: '', found: text }) : ok(values);
}
