import { Landing } from '@/ui/stands/Landing';

export default function Page() {
  return <Landing />;
}
