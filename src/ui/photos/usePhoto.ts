'use client';
import { useEffect, useState } from 'react';
import { useWorkspace } from '../shell/WorkspaceContext';

/** A picture to be drawn; `gone` when this browser does not have it. */
export type ShownPhoto = { readonly url: string; readonly width: number; readonly height: number } | 'gone' | null;

/** A photo by its name, for as long as it is on the screen. */
export function usePhoto(id: string | null, which: 'whole' | 'thumb'): ShownPhoto {
  const { photos } = useWorkspace();
  const [shown, setShown] = useState<{ id: string; photo: ShownPhoto } | null>(null);
  useEffect(() => {
    if (id === null) return;
    let url = '';
    let wanted = true;
    photos.get(id).then(
      (photo) => {
        if (!wanted) return;
        if (!photo) return setShown({ id, photo: 'gone' });
        url = URL.createObjectURL(photo[which]);
        setShown({ id, photo: { url, width: photo.width, height: photo.height } });
      },
      () => wanted && setShown({ id, photo: 'gone' }),
    );
    return () => {
      wanted = false;
      if (url) URL.revokeObjectURL(url);
    };
  }, [photos, id, which]);
  return shown && shown.id === id ? shown.photo : null;
}
