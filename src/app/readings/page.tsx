import { ReadingsView } from '@/ui/readings/ReadingsView';

export const metadata = { title: 'Readings · Copper Noon' };

export default function Page() {
  return <ReadingsView />;
}
