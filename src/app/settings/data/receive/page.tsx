import { Receive } from '@/ui/data/Receive';

export const metadata = { title: 'From another device' };

export default function Page() {
  return <Receive />;
}
