import { Compare } from '@/ui/bench/Compare';

export const metadata = { title: 'Side by side' };

export default function Page() {
  return <Compare />;
}
