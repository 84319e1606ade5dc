import { TrialsView } from '@/ui/trials/TrialsView';

export const metadata = { title: 'Trials' };

export default function Page() {
  return <TrialsView />;
}
