'use client';

interface SliderProps {
  label: string;
  /** The value in words, with its unit. */
  shown: string;
  value: number;
  min: number;
  max: number;
  step: number;
  onChange(value: number): void;
}

/** A value to play with: what it does is seen at once. */
export function Slider({ label, shown, value, min, max, step, onChange }: SliderProps) {
  return (
    <label className="block min-w-60 text-sm text-soft">
      {label} <b className="text-ink tabular-nums">{shown}</b>
      <input
        type="range"
        className="mt-1 block min-h-9 w-full accent-verdigris max-md:min-h-11"
        min={min}
        max={max}
        step={step}
        value={value}
        aria-label={label}
        aria-valuetext={shown}
        onChange={(e) => onChange(Number(e.target.value))}
      />
    </label>
  );
}
