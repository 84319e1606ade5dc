import { JournalView } from '@/ui/today/JournalView';

export const metadata = { title: 'Journal' };

export default function Page() {
  return <JournalView />;
}
