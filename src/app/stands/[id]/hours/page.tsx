import { HoursView } from '@/ui/hours/HoursView';

export const metadata = { title: 'Hours' };

export default function Page() {
  return <HoursView />;
}
