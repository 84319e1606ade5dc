import { Bench } from '@/ui/bench/Bench';

export const metadata = { title: 'Bench' };

export default function Page() {
  return <Bench />;
}
