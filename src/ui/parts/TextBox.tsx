'use client';
import clsx from 'clsx';
import type { ComponentProps } from 'react';

type TextBoxProps = Pick<ComponentProps<'textarea'>, 'placeholder' | 'spellCheck' | 'onPaste'> & {
  label: string;
  value: string;
  onChange(value: string): void;
  /** Longest, letters; none: whoever reads it sees to that. */
  most?: number;
  /** Its height and, where it is not as wide as there is room, its width. */
  className?: string;
};

/** Several lines of text, as they are typed. */
export function TextBox({ label, onChange, most, className = 'min-h-16', ...rest }: TextBoxProps) {
  return (
    <label className="block text-sm text-soft">
      {label}
      <textarea
        {...rest}
        maxLength={most}
        className={clsx('block w-full rounded-md border border-line bg-sheet px-2 py-1.5 text-base text-ink', className)}
        onChange={(e) => onChange(e.target.value)}
      />
    </label>
  );
}
