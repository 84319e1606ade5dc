import { ChartView } from '@/ui/chart/ChartView';

export const metadata = { title: 'Hanging' };

export default function Page() {
  return <ChartView />;
}
