import { Capacity } from '@/ui/lamps/Capacity';

export const metadata = { title: 'What my lamps can serve' };

export default function Page() {
  return <Capacity />;
}
