'use client';
import { FileButtons } from '../files/FileButtons';
import { siteHoldsWords } from '../files/holdsWords';
import { Link } from '../parts/Link';
import { useSite } from '../shell/WorkspaceContext';
import { Asides } from './Asides';
import { Backups } from './Backups';
import { HandOver } from './HandOver';
import { PhotosKept } from './PhotosKept';
import { StorageRoom } from './StorageRoom';

/** Everything a person keeps: how much it is, as a file, and as it was before. */
export function DataView() {
  const site = useSite((s) => s.site);
  return (
    <div className="mx-auto w-full max-w-2xl space-y-8 px-5 py-6">
      <header className="space-y-1">
        <p>
          <Link href="/settings" className="text-soft underline underline-offset-4">
            Settings
          </Link>
        </p>
        <h1 className="text-2xl font-semibold">Your data</h1>
        <p className="text-soft">{siteHoldsWords(site)}. All of it is in this browser on this device, and nowhere else.</p>
      </header>
      <section className="space-y-2">
        <h2 className="text-lg font-semibold">Save everything as a file</h2>
        <p className="max-w-prose text-soft">
          Export a file now and then, and before you change or clean your browser. Import adds a file to what is here, or takes its place.
          With photos it is a zip file; any program opens it.
        </p>
        <div className="flex flex-wrap gap-3">
          <FileButtons />
        </div>
      </section>
      <HandOver />
      <PhotosKept />
      <StorageRoom />
      <Backups />
      <Asides />
    </div>
  );
}
