'use client';
import { Dialog } from 'radix-ui';
import { useRef, type ReactNode } from 'react';

/** A dialog in the middle of the page: for a question, or for a word that should not be missed. */
export function CentredDialog({
  isOpen,
  title,
  onClose,
  children,
}: {
  isOpen: boolean;
  title: string;
  onClose(): void;
  children: ReactNode;
}) {
  // It opens by itself, without a trigger: focus goes back to where it was.
  const before = useRef<HTMLElement | null>(null);
  return (
    <Dialog.Root open={isOpen} onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-night/60" />
        <Dialog.Content
          onOpenAutoFocus={() => (before.current = document.activeElement as HTMLElement | null)}
          onCloseAutoFocus={(e) => {
            e.preventDefault();
            before.current?.focus();
          }}
          className="fixed top-1/2 left-1/2 z-40 max-h-[90dvh] w-[min(560px,94vw)] -translate-x-1/2 -translate-y-1/2 space-y-4 overflow-y-auto rounded-xl bg-sheet p-5 text-ink shadow-2xl"
        >
          <Dialog.Title className="text-xl font-semibold">{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
