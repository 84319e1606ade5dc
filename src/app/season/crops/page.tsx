import { CropsView } from '@/ui/crops/CropsView';

export const metadata = { title: 'Crops' };

export default function Page() {
  return <CropsView />;
}
