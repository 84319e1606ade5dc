'use client';
import { memo } from 'react';
import { Image as ImageIcon } from 'lucide-react';
import { Button } from './Button';
import { savePicture } from './savePicture';

/** Saves a part of the page, found by its name, as a picture. */
export const PictureButtons = memo(function PictureButtons({ of, name, words }: { of: string; name: string; words: string }) {
  return (
    <span className="inline-flex flex-wrap gap-2 print:hidden">
      {(['png', 'svg'] as const).map((kind) => (
        <Button
          key={kind}
          kind="quiet"
          aria-label={`Save ${words} as ${kind.toUpperCase()}`}
          onClick={() => void savePicture(of, name, kind)}
        >
          <ImageIcon size={16} aria-hidden /> {kind.toUpperCase()}
        </Button>
      ))}
    </span>
  );
});
