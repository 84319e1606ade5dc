import { DaylightView } from '@/ui/daylight/DaylightView';

export const metadata = { title: 'Daylight' };

export default function Page() {
  return <DaylightView />;
}
