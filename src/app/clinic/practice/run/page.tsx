import { RunView } from '@/ui/practice/RunView';

export const metadata = { title: 'Exercise' };

export default function Page() {
  return <RunView />;
}
