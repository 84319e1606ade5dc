import { QuickCheck } from '@/ui/check/QuickCheck';

export const metadata = { title: 'Check' };

export default function Page() {
  return <QuickCheck />;
}
