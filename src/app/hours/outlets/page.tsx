import { OutletsView } from '@/ui/outlets/OutletsView';

export const metadata = { title: 'Outlets · Copper Noon' };

export default function Page() {
  return <OutletsView />;
}
