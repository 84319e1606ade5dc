import { SafetyView } from '@/ui/lamps/SafetyView';

export const metadata = { title: 'Safety' };

export default function Page() {
  return <SafetyView />;
}
