import { LampLibrary } from '@/ui/lamps/LampLibrary';

export const metadata = { title: 'Lamp library' };

export default function Page() {
  return <LampLibrary />;
}
