import { SowingListView } from '@/ui/season/SowingListView';

export const metadata = { title: 'Sowing list' };

export default function Page() {
  return <SowingListView />;
}
