'use client';
import { usePathname } from 'next/navigation';
import { TabLink } from './TabLink';

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
        <TabLink key={href} href={href} isHere={isHere(href)} label={label} />
      ))}
    </nav>
  );
}
