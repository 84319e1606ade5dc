import { FeedView } from '@/ui/feed/FeedView';

export const metadata = { title: 'Feed' };

export default function Page() {
  return <FeedView />;
}
