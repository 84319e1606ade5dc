import { AwayView } from '@/ui/today/AwayView';

export const metadata = { title: 'While you are away' };

export default function Page() {
  return <AwayView />;
}
