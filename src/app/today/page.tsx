import { TodayView } from '@/ui/today/TodayView';

export const metadata = { title: 'Today' };

export default function Page() {
  return <TodayView />;
}
