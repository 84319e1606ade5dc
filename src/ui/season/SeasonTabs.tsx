'use client';
import clsx from 'clsx';
import Link from 'next/link';
import { usePathname } from 'next/navigation';

const TABS = [
  { href: '/season', label: 'Plan' },
  { href: '/season/list', label: 'Sowing list' },
  { href: '/season/crops', label: 'Crops' },
] as const;

/** The parts of the season, each at an address of its own. */
export function SeasonTabs() {
  const path = usePathname();
  return (
    <nav aria-label="Season" className="flex gap-6 overflow-x-auto border-b border-line bg-sheet px-4 md:px-6 print:hidden">
      {TABS.map(({ href, label }) => {
        const isHere = path === href;
        return (
          <Link
            key={href}
            href={href}
            aria-current={isHere ? 'page' : undefined}
            className={clsx(
              'inline-flex min-h-12 items-center border-b-3 pt-0.5 font-semibold whitespace-nowrap focus-visible:-outline-offset-3',
              isHere ? 'border-ember' : 'border-transparent text-soft hover:text-ink',
            )}
          >
            {label}
          </Link>
        );
      })}
    </nav>
  );
}
