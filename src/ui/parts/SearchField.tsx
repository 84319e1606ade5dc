'use client';
import clsx from 'clsx';
import { Search } from 'lucide-react';

interface SearchFieldProps {
  /** What is looked through. */
  label: string;
  value: string;
  onChange(value: string): void;
  placeholder?: string;
  className?: string;
}

/** A field that narrows what is shown while one types. */
export function SearchField({ label, value, onChange, placeholder, className }: SearchFieldProps) {
  return (
    <label className={clsx('relative block', className)}>
      <span className="sr-only">{label}</span>
      <Search size={18} aria-hidden className="absolute top-1/2 left-3 -translate-y-1/2 text-soft" />
      <input
        type="search"
        className="min-h-11 w-full rounded-md border border-line bg-sheet pr-3 pl-10 text-ink"
        placeholder={placeholder}
        value={value}
        onChange={(e) => onChange(e.target.value)}
      />
    </label>
  );
}
