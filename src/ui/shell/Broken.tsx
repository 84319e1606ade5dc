'use client';
import { useState } from 'react';
import { exportSite } from '@/store/files/exportSite';
import { openDatabase } from '@/store/database/database';
import { readStored } from '@/store/saved/pages';
import { Button } from '../parts/Button';
import { saveFile } from '../parts/saveFile';

/** A page that broke: what to do, with a copy of the data as it is stored, which can be imported again. */
export function Broken({ error, retry }: { error: Error; retry(): void }) {
  const [said, setSaid] = useState<string | null>(null);
  async function save() {
    try {
      const database = openDatabase();
      const copy = await database.newest('site');
      if (copy === null) return setSaid('Nothing is stored in this browser yet.');
      const stored = await readStored(copy.value, (id) => database.page(id));
      if (stored.ok) saveFile('copper-noon.json', exportSite(stored.site));
      else saveFile('copper-noon-rescued.json', JSON.stringify(stored.whole, null, 2));
    } catch {
      setSaid('This browser could not read your data. Load the page again.');
    }
  }
  return (
    <section className="m-auto max-w-md space-y-4 p-6" role="alert">
      <h1 className="text-2xl font-semibold">This page has stopped working.</h1>
      <p>
        That is a fault of ours ({error.message || 'unknown'}). What you changed is stored. Try again; if it happens twice, export a copy of
        your data first.
      </p>
      <div className="flex flex-wrap gap-3">
        <Button kind="main" onClick={retry}>
          Try again
        </Button>
        <Button onClick={() => void save()}>Export a copy of my data</Button>
      </div>
      {said && <p>{said}</p>}
    </section>
  );
}
