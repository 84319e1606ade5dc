import { TrayView } from '@/ui/tray/TrayView';

export const metadata = { title: 'Tray' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <TrayView id={decodeURIComponent(id)} />;
}
