import { Bench } from '@/ui/bench/Bench';

export const metadata = { title: 'Bench · Copper Noon' };

export default function Page() {
  return <Bench />;
}
