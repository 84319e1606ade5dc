import { SeasonTabs } from '@/ui/season/SeasonTabs';

export default function Layout({ children }: { children: React.ReactNode }) {
  return (
    <div className="flex min-h-full flex-col">
      <SeasonTabs />
      {children}
    </div>
  );
}
