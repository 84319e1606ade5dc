import { OwnLampView } from '@/ui/lamps/OwnLampView';

export const metadata = { title: 'My lamp' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <OwnLampView id={decodeURIComponent(id)} />;
}
