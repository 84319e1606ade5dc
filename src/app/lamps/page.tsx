import { LampsView } from '@/ui/lamps/LampsView';

export const metadata = { title: 'Lamps' };

export default function Page() {
  return <LampsView />;
}
