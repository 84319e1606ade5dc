import { LampsTabs } from '@/ui/lamps/LampsTabs';

export default function Layout({ children }: { children: React.ReactNode }) {
  return (
    <>
      <LampsTabs />
      {children}
    </>
  );
}
