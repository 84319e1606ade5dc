'use client';
import clsx from 'clsx';
import { usePhoto } from './usePhoto';

/** A photo, small; says so where this browser does not have it. */
export function PhotoThumb({ id, size = 'size-24' }: { id: string; size?: string }) {
  const photo = usePhoto(id, 'thumb');
  const frame = clsx('grid place-items-center overflow-hidden rounded-md border border-line bg-sunk text-center text-sm text-soft', size);
  if (photo === 'gone') return <span className={frame}>not in this browser</span>;
  return (
    <span className={frame}>
      {/* eslint-disable-next-line @next/next/no-img-element -- a blob of this browser, nothing to load */}
      {photo && <img src={photo.url} alt="" className="size-full object-cover" />}
    </span>
  );
}
