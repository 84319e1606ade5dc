'use client';
import clsx from 'clsx';
import { useEffect, useRef } from 'react';
import { Link } from './Link';

/** One part of a place in a row of them, and in view when one is there: on a phone not all of a row fits. */
export function TabLink({ href, isHere, label }: { href: string; isHere: boolean; label: string }) {
  const tab = useRef<HTMLAnchorElement>(null);
  useEffect(() => {
    const row = tab.current?.parentElement;
    if (!isHere || !tab.current || !row) return;
    const [own, all] = [tab.current.getBoundingClientRect(), row.getBoundingClientRect()];
    if (own.left < all.left || own.right > all.right) row.scrollLeft += (own.left + own.right - all.left - all.right) / 2;
  }, [isHere]);
  return (
    <Link
      ref={tab}
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
}
