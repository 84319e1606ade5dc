'use client';

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
      <select
        id={id}
        aria-label={label}
        className="mt-0.5 block min-h-9 w-full rounded-md border border-line bg-sheet px-2 text-base font-semibold text-ink max-md:min-h-11"
        value={value}
        onChange={(e) => onChange(e.target.value)}
      >
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.label}
          </option>
        ))}
      </select>
    </label>
  );
}
