'use client';
import clsx from 'clsx';
import { Clock, Gauge, LampDesk, PanelsTopLeft, Rows3, SlidersHorizontal, Sprout } from 'lucide-react';
import Link from 'next/link';
import { usePathname } from 'next/navigation';

const PLACES = [
  { href: '/', label: 'Check', icon: LampDesk },
  { href: '/bench', label: 'Bench', icon: PanelsTopLeft },
  { href: '/hours', label: 'Hours', icon: Clock },
  { href: '/readings', label: 'Readings', icon: Gauge },
  { href: '/crops', label: 'Crops', icon: Sprout },
  { href: '/setups', label: 'Set-ups', icon: Rows3 },
  { href: '/settings', label: 'Settings', icon: SlidersHorizontal },
];

/** The way about: down the left side of a wide screen, along the foot of a phone. */
export function Rail() {
  const path = usePathname();
  return (
    <nav
      aria-label="Main"
      className="night fixed inset-x-0 bottom-0 z-20 flex border-t border-night-line bg-night text-night-soft md:sticky md:top-0 md:h-dvh md:w-19 md:flex-col md:border-0 print:hidden"
    >
      <div className="hidden place-items-center py-4 md:grid" aria-hidden>
        <svg viewBox="0 0 32 32" className="w-10">
          <circle cx="16" cy="19" r="5.5" fill="#e08a52" />
          <path d="M16 6v4M7.5 9.5l2.6 2.9M24.5 9.5l-2.6 2.9" stroke="#a9d8cf" strokeWidth="2" strokeLinecap="round" />
          <path d="M5 25.5h22" stroke="#23867a" strokeWidth="2" strokeLinecap="round" />
        </svg>
      </div>
      {PLACES.map(({ href, label, icon: Icon }) => {
        const here = href === '/' ? path === href : path.startsWith(href);
        return (
          <Link
            key={href}
            href={href}
            aria-current={here ? 'page' : undefined}
            className={clsx(
              'flex flex-1 flex-col items-center gap-1 border-t-3 py-2 text-xs font-semibold md:flex-none md:border-t-0 md:border-l-3 md:py-3',
              here ? 'border-ember bg-night-raised text-night-ink' : 'border-transparent hover:text-night-ink',
            )}
          >
            <Icon size={22} strokeWidth={1.6} aria-hidden />
            {label}
          </Link>
        );
      })}
    </nav>
  );
}
