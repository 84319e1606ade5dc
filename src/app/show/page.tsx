import { ShowView } from '@/ui/show/ShowView';

export const metadata = { title: 'A stand to look at' };

export default function Page() {
  return <ShowView />;
}
