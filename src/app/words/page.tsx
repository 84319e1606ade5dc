import { WordsView } from '@/ui/terms/WordsView';

export const metadata = { title: 'Words and reasons' };

export default function Page() {
  return <WordsView />;
}
