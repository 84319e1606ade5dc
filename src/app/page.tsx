import { QuickCheck } from '@/ui/check/QuickCheck';

export default function Page() {
  return <QuickCheck />;
}
