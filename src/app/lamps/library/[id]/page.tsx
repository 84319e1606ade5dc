import { LampView } from '@/ui/lamps/LampView';

export const metadata = { title: 'Lamp' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <LampView id={decodeURIComponent(id)} />;
}
