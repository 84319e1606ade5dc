import { Compare } from '@/ui/bench/Compare';

export const metadata = { title: 'Side by side · Copper Noon' };

export default function Page() {
  return <Compare />;
}
