import { PracticeView } from '@/ui/practice/PracticeView';

export const metadata = { title: 'Practice' };

export default function Page() {
  return <PracticeView />;
}
