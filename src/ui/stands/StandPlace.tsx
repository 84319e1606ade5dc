'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { useBenchLook } from '../bench/useBench';
import { Link } from '../parts/Link';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { standPath } from './places';
import { StandHeader } from './StandHeader';

/** Everything about one stand: its header, and below it the part that the address names. */
export function StandPlace({ id, children }: { id: string; children: React.ReactNode }) {
  const { benchLooks } = useWorkspace();
  const router = useRouter();
  const stand = useSite((s) => s.site.stands.find((x) => x.id === id));
  const { standId } = useBenchLook();
  // The address says which stand it is.
  useEffect(() => {
    if (benchLooks.getState().standId !== id) benchLooks.setState({ standId: id, tierId: null, chosen: [], day: null, season: false });
  }, [benchLooks, id]);
  // What was shown and is gone, deleted or undone, leads back to the others.
  const [shown, setShown] = useState<string | null>(null);
  if (stand && shown !== id) setShown(id);
  const isGone = !stand && shown === id;
  useEffect(() => {
    if (isGone) router.replace('/stands');
  }, [isGone, router]);
  if (!stand) return isGone ? null : <UnknownStand />;
  if (standId !== id) return null;
  return (
    <div className="relative flex flex-1 flex-col lg:h-dvh lg:flex-none lg:overflow-hidden print:block">
      <StandHeader stand={stand} />
      {children}
    </div>
  );
}

function UnknownStand() {
  const stands = useSite((s) => s.site.stands);
  return (
    <section className="m-auto max-w-md space-y-4 p-6">
      <h1 className="text-2xl font-semibold">There is no stand at this address.</h1>
      <p>It may have been deleted, or the address is of another browser. Your data stays in the browser in which you made it.</p>
      {stands.length > 0 && (
        <>
          <p>These stands are here:</p>
          <ul>
            {stands.map((s) => (
              <li key={s.id}>
                <Link
                  href={standPath(s.id)}
                  className="inline-flex min-h-9 items-center font-semibold underline underline-offset-4 max-md:min-h-11"
                >
                  {s.name}
                </Link>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
