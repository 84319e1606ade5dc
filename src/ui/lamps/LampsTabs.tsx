'use client';
import clsx from 'clsx';
import Link from 'next/link';
import { usePathname } from 'next/navigation';

const TABS = [
  { href: '/lamps', label: 'Library' },
  { href: '/lamps/compare', label: 'Compare' },
] as const;

/** The parts of the lamps, each at an address of its own. */
export function LampsTabs() {
  const path = usePathname();
  return (
    <nav aria-label="Lamps" className="flex gap-6 overflow-x-auto border-b border-line bg-sheet px-4 md:px-6 print:hidden">
      {TABS.map(({ href, label }) => (
        <Link
          key={href}
          href={href}
          aria-current={path === href ? 'page' : undefined}
          className={clsx(
            'inline-flex min-h-12 items-center border-b-3 pt-0.5 font-semibold whitespace-nowrap focus-visible:-outline-offset-3',
            path === href ? 'border-ember' : 'border-transparent text-soft hover:text-ink',
          )}
        >
          {label}
        </Link>
      ))}
    </nav>
  );
}
