import { OutletsView } from '@/ui/outlets/OutletsView';

export const metadata = { title: 'Power' };

export default function Page() {
  return <OutletsView />;
}
