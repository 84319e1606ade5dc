'use client';
import { ToggleGroup } from 'radix-ui';

interface SegmentsProps<T extends string> {
  label: string;
  value: T;
  options: readonly { readonly value: T; readonly label: string }[];
  onChange(value: T): void;
  night?: boolean;
}

/** One of a few; always exactly one. */
export function Segments<T extends string>({ label, value, options, onChange, night }: SegmentsProps<T>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(v) => v && onChange(v as T)}
      className={
        night ? 'inline-flex rounded-md border border-night-line p-0.5' : 'inline-flex flex-wrap rounded-md border border-line p-0.5'
      }
    >
      {options.map((o) => (
        <ToggleGroup.Item
          key={o.value}
          value={o.value}
          className={
            night
              ? 'min-h-7 rounded px-2 text-sm font-semibold text-night-soft data-[state=on]:bg-night-ink data-[state=on]:text-night max-md:min-h-10 max-md:px-3'
              : 'min-h-8 rounded px-2.5 text-sm font-semibold text-soft data-[state=on]:bg-button data-[state=on]:text-on-button max-md:min-h-10 max-md:px-3'
          }
        >
          {o.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
