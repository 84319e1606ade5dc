'use client';
import { Select } from './Select';

interface SelectFieldProps {
  label: string;
  value: string;
  options: readonly { readonly value: string; readonly label: string }[];
  onChange(value: string): void;
  /** For links that lead to it. */
  id?: string;
  /** Where the label is told by what stands around it; it is still read aloud. */
  hideLabel?: boolean;
}

/** One of a list that is too long to lay out side by side. */
export function SelectField({ label, value, options, onChange, id, hideLabel = false }: SelectFieldProps) {
  return (
    <label className="block text-sm text-soft">
      {!hideLabel && label}
      <Select id={id} aria-label={label} className="block w-full text-base" value={value} onChange={(e) => onChange(e.target.value)}>
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.label}
          </option>
        ))}
      </Select>
    </label>
  );
}
