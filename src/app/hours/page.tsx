import { HoursView } from '@/ui/hours/HoursView';

export const metadata = { title: 'Hours · Copper Noon' };

export default function Page() {
  return <HoursView />;
}
