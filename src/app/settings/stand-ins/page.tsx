import { StandInsView } from '@/ui/settings/StandInsView';

export const metadata = { title: 'Simulated devices' };

export default function Page() {
  return <StandInsView />;
}
