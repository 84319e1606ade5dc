import { Suspense } from 'react';
import { PlacesAtHome } from '@/ui/daylight/PlacesAtHome';

export const metadata = { title: 'Places at home' };

export default function Page() {
  return (
    <Suspense>
      <PlacesAtHome />
    </Suspense>
  );
}
