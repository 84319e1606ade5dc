'use client';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { useBenchLook } from '../bench/useBench';
import { NewStand } from '../bench/NewStand';
import { Button } from '../parts/Button';
import { useSite } from '../shell/WorkspaceContext';
import { standPath, type StandPart } from './places';

/** An address that names no stand leads to the one that was looked at last, or to the first. */
export function ToStand({ part }: { part: StandPart }) {
  const router = useRouter();
  const stands = useSite((s) => s.site.stands);
  const { standId } = useBenchLook();
  const stand = stands.find((s) => s.id === standId) ?? stands.find((s) => !s.autoArranged) ?? stands[0];
  useEffect(() => {
    if (stand) router.replace(standPath(stand.id, part));
  }, [router, stand, part]);
  if (stand) return null;
  return (
    <section className="m-auto max-w-md space-y-4 p-6 text-center">
      <h1 className="text-2xl font-semibold">No stand yet.</h1>
      <p>Add your rack, shelf, box or sill: its size, its lamps, its trays. The light follows as you move them.</p>
      <NewStand trigger={<Button kind="main">Add a stand</Button>} />
    </section>
  );
}
