import { MyLamps } from '@/ui/lamps/MyLamps';

export const metadata = { title: 'My lamps' };

export default function Page() {
  return <MyLamps />;
}
