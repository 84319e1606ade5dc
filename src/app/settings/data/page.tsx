import { DataView } from '@/ui/data/DataView';

export const metadata = { title: 'Your data' };

export default function Page() {
  return <DataView />;
}
