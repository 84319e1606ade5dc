'use client';
import { Popover } from 'radix-ui';
import { Link } from '../parts/Link';
import { termOf, type TermId } from './glossary';
import { Lengths } from '../parts/Lengths';

/** A word of the field where it stands: a press opens what it means. */
export function Term({ id, children }: { id: TermId; children: React.ReactNode }) {
  const term = termOf(id);
  return (
    <Popover.Root>
      <Popover.Trigger
        className="cursor-help underline decoration-dotted decoration-1 underline-offset-3"
        aria-label={`${term.name}: what is it?`}
      >
        {children}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          className="z-50 max-w-80 space-y-2 rounded-lg border border-line bg-sheet p-4 text-ink shadow-2xl"
        >
          <p className="font-semibold">
            {term.name}
            {term.long && <span className="font-normal text-soft">, {term.long}</span>}
            {term.unit && <span className="font-normal text-soft"> ({term.unit})</span>}
          </p>
          <p>{term.plain}</p>
          {term.typical && (
            <p className="text-soft">
              <Lengths of={term.typical} />
            </p>
          )}
          <Link href={`/words#${term.id}`} className="inline-block font-semibold underline underline-offset-4">
            All words
          </Link>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
