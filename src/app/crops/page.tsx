import { CropsView } from '@/ui/crops/CropsView';

export const metadata = { title: 'Crops · Copper Noon' };

export default function Page() {
  return <CropsView />;
}
