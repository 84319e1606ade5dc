import { ReadingsView } from '@/ui/readings/ReadingsView';

export const metadata = { title: 'Readings' };

export default function Page() {
  return <ReadingsView />;
}
