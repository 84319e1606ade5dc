'use client';
import clsx from 'clsx';
import Link from 'next/link';
import { usePathname } from 'next/navigation';

const TABS = [
  { href: '/hours', label: 'Timers' },
  { href: '/hours/chart', label: 'Hang chart' },
  { href: '/hours/outlets', label: 'Outlets' },
];

/** The parts of the hours of a stand. */
export function HoursTabs() {
  const path = usePathname();
  return (
    <nav aria-label="Hours" className="flex gap-5 border-b border-line print:hidden">
      {TABS.map(({ href, label }) => (
        <Link
          key={href}
          href={href}
          aria-current={path === href ? 'page' : undefined}
          className={clsx(
            '-mb-px inline-flex min-h-10 items-center border-b-3 font-semibold max-md:min-h-11',
            path === href ? 'border-ember' : 'border-transparent text-soft hover:text-ink',
          )}
        >
          {label}
        </Link>
      ))}
    </nav>
  );
}
