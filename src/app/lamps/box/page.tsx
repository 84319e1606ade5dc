import { BoxCheck } from '@/ui/lamps/BoxCheck';

export const metadata = { title: 'Box check' };

export default function Page() {
  return <BoxCheck />;
}
