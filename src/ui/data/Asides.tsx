'use client';
import { useCallback, useEffect, useState } from 'react';
import type { Aside } from '@/store/database/database';
import { Button } from '../parts/Button';
import { saveFile } from '../parts/saveFile';
import { useWorkspace } from '../shell/WorkspaceContext';
import { LOCALE } from '../parts/locale';

/** What could not be read once and was put aside whole; nothing where there is none. */
export function Asides() {
  const { database } = useWorkspace();
  const [asides, setAsides] = useState<readonly Aside[]>([]);
  const look = useCallback(() => database.asides().then(setAsides, () => undefined), [database]);
  useEffect(() => void look(), [look]);
  if (asides.length === 0) return null;
  return (
    <section className="space-y-2">
      <h2 className="text-lg font-semibold">Set aside</h2>
      <p className="max-w-prose text-soft">This could not be read when you opened the application. It is kept whole until you delete it.</p>
      <ul className="space-y-2">
        {asides.map(({ at, value }) => (
          <li key={at} className="flex flex-wrap items-center gap-3">
            <span className="flex-1">{new Date(at).toLocaleString(LOCALE)}</span>
            <Button onClick={() => saveFile(`copper-noon-aside-${at.slice(0, 10)}.json`, JSON.stringify(value, null, 2))}>Export</Button>
            <Button kind="quiet" onClick={() => void database.dropAside(at).then(look)}>
              Delete
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
