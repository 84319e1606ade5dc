import { ChartView } from '@/ui/chart/ChartView';

export const metadata = { title: 'Hang chart · Copper Noon' };

export default function Page() {
  return <ChartView />;
}
