'use client';
import clsx from 'clsx';
import { usePathname } from 'next/navigation';
import { Link } from './Link';

interface PlaceTabsProps {
  label: string;
  tabs: readonly { readonly href: string; readonly label: string }[];
}

/** The parts of a place, each at an address of its own. */
export function PlaceTabs({ label: place, tabs }: PlaceTabsProps) {
  const path = usePathname();
  // The first tab is the place itself; what lies inside of another one belongs to it.
  const isHere = (href: string) => path === href || (href !== tabs[0]?.href && path.startsWith(`${href}/`));
  return (
    <nav aria-label={place} data-tabs className="flex gap-6 overflow-x-auto border-b border-line bg-sheet px-4 md:px-6 print:hidden">
      {tabs.map(({ href, label }) => (
        <Link
          key={href}
          href={href}
          aria-current={isHere(href) ? 'page' : undefined}
          className={clsx(
            'inline-flex min-h-12 items-center border-b-3 pt-0.5 font-semibold whitespace-nowrap focus-visible:-outline-offset-3',
            isHere(href) ? 'border-ember' : 'border-transparent text-soft hover:text-ink',
          )}
        >
          {label}
        </Link>
      ))}
    </nav>
  );
}
