'use client';
import type { ReactNode } from 'react';

/** Something that is so or not so. */
export function CheckField({ label, checked, onChange }: { label: ReactNode; checked: boolean; onChange(checked: boolean): void }) {
  return (
    <label className="flex min-h-9 items-center gap-2 max-md:min-h-11">
      <input type="checkbox" className="size-5 shrink-0 accent-verdigris" checked={checked} onChange={(e) => onChange(e.target.checked)} />
      {label}
    </label>
  );
}
