'use client';
import clsx from 'clsx';
import { CalendarRange, HeartPulse, LampDesk, Lightbulb, ListChecks, Rows3, Settings } from 'lucide-react';
import { usePathname } from 'next/navigation';
import { useStore } from 'zustand';
import { Link } from '../parts/Link';
import { newVersion } from './newVersion';
import { NIGHT } from '../theme/night';

const PLACES = [
  { href: '/today', label: 'Today', icon: ListChecks, also: [] },
  { href: '/check', label: 'Check', icon: LampDesk, also: [] },
  { href: '/stands', label: 'Stands', icon: Rows3, also: ['/tray'] },
  { href: '/season', label: 'Season', icon: CalendarRange, also: [] },
  { href: '/lamps', label: 'Lamps', icon: Lightbulb, also: [] },
  { href: '/clinic', label: 'Clinic', icon: HeartPulse, also: [] },
  { href: '/settings', label: 'Settings', icon: Settings, also: [] },
];

/** The way about: down the left side of a wide screen, along the foot of a phone. */
export function Rail() {
  const path = usePathname();
  const isNewReady = useStore(newVersion, (s) => s.load !== null);
  return (
    <nav
      aria-label="Main"
      className="night fixed inset-x-0 bottom-0 z-20 flex border-t border-night-line bg-night text-night-soft md:sticky md:top-0 md:h-dvh md:w-19 md:flex-col md:border-0 print:hidden"
    >
      <div className="hidden place-items-center py-4 md:grid" aria-hidden>
        <svg viewBox="0 0 32 32" className="w-10">
          <circle cx="16" cy="19" r="5.5" fill={NIGHT.lit} />
          <path d="M16 6v4M7.5 9.5l2.6 2.9M24.5 9.5l-2.6 2.9" stroke={NIGHT.rim} strokeWidth="2" strokeLinecap="round" />
          <path d="M5 25.5h22" stroke={NIGHT.inRange} strokeWidth="2" strokeLinecap="round" />
        </svg>
      </div>
      {PLACES.map(({ href, label, icon: Icon, also }) => {
        const here = [href, ...also].some((at) => path === at || path.startsWith(`${at}/`));
        return (
          <Link
            key={href}
            href={href}
            aria-current={here ? 'page' : undefined}
            className={clsx(
              'flex flex-1 flex-col items-center gap-1 border-t-3 py-2 text-xs font-semibold md:flex-none md:border-t-0 md:border-l-3 md:py-3',
              href === '/settings' && 'md:mt-auto md:mb-2',
              here ? 'border-ember bg-night-raised text-night-ink' : 'border-transparent hover:text-night-ink',
            )}
          >
            <span className="relative">
              <Icon size={22} strokeWidth={1.6} aria-hidden />
              {href === '/settings' && isNewReady && (
                <span aria-hidden className="absolute -top-0.5 -right-1.5 size-2.5 rounded-full bg-ember" data-testid="new-version" />
              )}
            </span>
            {label}
            {href === '/settings' && isNewReady && <span className="sr-only">, a new version is ready</span>}
          </Link>
        );
      })}
    </nav>
  );
}
