import { BillView } from '@/ui/lamps/BillView';

export const metadata = { title: 'The bill' };

export default function Page() {
  return <BillView />;
}
