'use client';
import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { Button } from './Button';
import { hasKeyboard } from './hasKeyboard';

interface SheetProps {
  title: string;
  description: string;
  trigger: React.ReactNode;
  open: boolean;
  onOpenChange(open: boolean): void;
  children: React.ReactNode;
  footer?: React.ReactNode;
}

/** Who has a keyboard types at once; on a phone no keyboard jumps up over the sheet. */
function focusSearch(event: Event): void {
  const search = (event.currentTarget as HTMLElement).querySelector<HTMLElement>('[cmdk-input], input[type="search"], [data-first]');
  if (!search || !hasKeyboard()) return;
  event.preventDefault();
  search.focus();
}

/** A dialog that is a sheet of paper on a wide screen and the whole screen on a phone. */
export function Sheet({ title, description, trigger, open, onOpenChange, children, footer }: SheetProps) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Trigger asChild>{trigger}</Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-night/60" />
        <Dialog.Content
          onOpenAutoFocus={focusSearch}
          className="fixed inset-0 z-40 flex flex-col bg-sheet text-ink shadow-2xl md:inset-auto md:top-1/2 md:left-1/2 md:max-h-[min(720px,92dvh)] md:w-[min(760px,94vw)] md:-translate-x-1/2 md:-translate-y-1/2 md:rounded-xl"
        >
          <div className="flex items-start gap-4 border-b border-line px-5 pt-4 pb-3">
            <div className="flex-1">
              <Dialog.Title className="text-xl font-semibold">{title}</Dialog.Title>
              <Dialog.Description className="text-soft">{description}</Dialog.Description>
            </div>
            <Dialog.Close className="grid size-11 place-items-center rounded-md hover:bg-sunk" aria-label="Close">
              <X size={20} aria-hidden />
            </Dialog.Close>
          </div>
          <div className="min-h-0 flex-1 overflow-y-auto px-5 py-4">{children}</div>
          {footer && <div className="flex flex-wrap items-end justify-end gap-3 border-t border-line px-5 py-3">{footer}</div>}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** A sheet on which every change is taken at once; its one button only closes it. */
export function DoneSheet(props: Omit<SheetProps, 'footer'>) {
  return (
    <Sheet
      {...props}
      footer={
        <Button kind="main" onClick={() => props.onOpenChange(false)}>
          Done
        </Button>
      }
    />
  );
}
