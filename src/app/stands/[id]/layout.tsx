import { StandPlace } from '@/ui/stands/StandPlace';

export default async function Layout({ params, children }: { params: Promise<{ id: string }>; children: React.ReactNode }) {
  const { id } = await params;
  return <StandPlace id={decodeURIComponent(id)}>{children}</StandPlace>;
}
