import { PlaceTabs } from '@/ui/parts/PlaceTabs';

const TABS = [
  { href: '/lamps', label: 'My lamps' },
  { href: '/lamps/library', label: 'Library' },
  { href: '/lamps/capacity', label: 'Capacity' },
  { href: '/lamps/compare', label: 'Compare' },
  { href: '/lamps/box', label: 'Box check' },
  { href: '/lamps/bill', label: 'The bill' },
  { href: '/lamps/safety', label: 'Safety' },
];

export default function Layout({ children }: { children: React.ReactNode }) {
  return (
    <>
      <PlaceTabs label="Lamps" tabs={TABS} />
      {children}
    </>
  );
}
