import { Stands } from '@/ui/stands/Stands';

export const metadata = { title: 'Stands' };

export default function Page() {
  return <Stands />;
}
