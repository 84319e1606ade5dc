'use client';
import { Minus, Plus } from 'lucide-react';

interface StepperProps {
  label: string;
  value: number;
  min: number;
  max: number;
  onChange(value: number): void;
}

/** A small whole number with a button on each side. */
export function Stepper({ label, value, min, max, onChange }: StepperProps) {
  const button = 'grid size-9 place-items-center rounded-md hover:bg-sunk disabled:opacity-30 max-md:size-11';
  return (
    <div role="group" aria-label={label}>
      <span className="block text-sm text-soft">{label}</span>
      <div className="inline-flex items-center rounded-md border border-line bg-sheet">
        <button
          type="button"
          className={button}
          aria-label={`${label}: one fewer`}
          disabled={value <= min}
          onClick={() => onChange(value - 1)}
        >
          <Minus size={16} aria-hidden />
        </button>
        <output className="w-7 text-center font-semibold">{value}</output>
        <button
          type="button"
          className={button}
          aria-label={`${label}: one more`}
          disabled={value >= max}
          onClick={() => onChange(value + 1)}
        >
          <Plus size={16} aria-hidden />
        </button>
      </div>
    </div>
  );
}
