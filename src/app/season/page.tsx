import { SeasonView } from '@/ui/season/SeasonView';

export const metadata = { title: 'Season' };

export default function Page() {
  return <SeasonView />;
}
