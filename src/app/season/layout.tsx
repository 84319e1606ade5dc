import { PlaceTabs } from '@/ui/parts/PlaceTabs';

const TABS = [
  { href: '/season', label: 'Plan' },
  { href: '/season/list', label: 'Sowing list' },
  { href: '/season/crops', label: 'Crops' },
  { href: '/season/trials', label: 'Trials' },
  { href: '/season/feed', label: 'Feed' },
];

export default function Layout({ children }: { children: React.ReactNode }) {
  return (
    <div className="flex min-h-full flex-col">
      <PlaceTabs label="Season" tabs={TABS} />
      {children}
    </div>
  );
}
