'use client';
import { FolderOpen } from 'lucide-react';
import { useRef } from 'react';
import { Button } from './Button';

interface FileButtonProps {
  children: string;
  accept: string;
  /** Larger files are not read at all. */
  maxBytes: number;
  onText(name: string, text: string): void;
  onTooLarge(name: string, bytes: number): void;
}

/** A button that asks for a file and hands over its text. */
export function FileButton({ children, accept, maxBytes, onText, onTooLarge }: FileButtonProps) {
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
          if (file.size > maxBytes) return onTooLarge(file.name, file.size);
          void file.text().then((text) => onText(file.name, text));
        }}
      />
      <Button onClick={() => input.current?.click()}>
        <FolderOpen size={17} aria-hidden /> {children}
      </Button>
    </>
  );
}
