import { CompareLamps } from '@/ui/lamps/CompareLamps';

export const metadata = { title: 'Compare lamps' };

export default function Page() {
  return <CompareLamps />;
}
