'use client';
import { FolderOpen } from 'lucide-react';
import { useRef } from 'react';
import type { Problem } from '@/core/units/result';
import { Button } from './Button';
import { readFile } from './readFile';

interface FileButtonProps {
  children: string;
  accept: string;
  /** Larger files are not read at all. */
  maxBytes: number;
  onText(name: string, text: string): void;
  onRefused(name: string, problem: Problem): void;
}

/** A button that asks for a file and hands over its text. */
export function FileButton({ children, accept, maxBytes, onText, onRefused }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="sr-only"
        aria-label={`${children}: file`}
        tabIndex={-1}
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = ''; // the same file may be opened again
          if (!file) return;
          void readFile(file, maxBytes).then((read) =>
            'text' in read ? onText(file.name, read.text) : onRefused(file.name, read.problem),
          );
        }}
      />
      <Button onClick={() => input.current?.click()}>
        <FolderOpen size={17} aria-hidden /> {children}
      </Button>
    </>
  );
}
