import { DataView } from '@/ui/data/DataView';

export const metadata = { title: 'Your data · Copper Noon' };

export default function Page() {
  return <DataView />;
}
