'use client';
import { ChevronDown } from 'lucide-react';
import { Collapsible } from 'radix-ui';
import { useId, useState, type ReactNode } from 'react';

/** A part of a page behind its heading, with what it says in short beside it. */
export function Fold({
  title,
  says,
  startsOpen = false,
  children,
}: {
  title: string;
  says?: string;
  startsOpen?: boolean;
  children: ReactNode;
}) {
  const [open, setOpen] = useState(startsOpen);
  const id = useId();
  return (
    <Collapsible.Root asChild open={open} onOpenChange={setOpen}>
      <section aria-labelledby={id}>
        <h2 className="text-lg font-semibold">
          <Collapsible.Trigger className="group flex min-h-11 w-full items-center gap-2 text-left">
            <span id={id}>{title}</span>
            {says && !open && <span className="grow text-right text-base font-normal text-soft md:truncate">{says}</span>}
            <ChevronDown size={18} className="ml-auto shrink-0 group-data-[state=open]:rotate-180" aria-hidden />
          </Collapsible.Trigger>
        </h2>
        <Collapsible.Content className="space-y-3 pt-1">{children}</Collapsible.Content>
      </section>
    </Collapsible.Root>
  );
}
