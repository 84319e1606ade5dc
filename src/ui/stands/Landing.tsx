'use client';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { useSite } from '../shell/WorkspaceContext';

/** Where the application begins: somebody with stands sees what is to be done, a first visit begins with a check. */
export function Landing() {
  const router = useRouter();
  const hasStands = useSite((s) => s.site.stands.length > 1 || s.site.stands.some((stand) => !stand.autoArranged));
  useEffect(() => {
    router.replace(hasStands ? '/today' : '/check');
  }, [router, hasStands]);
  return null;
}
