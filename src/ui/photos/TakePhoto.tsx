'use client';
import { Camera, ImagePlus } from 'lucide-react';
import { useRef, useState } from 'react';
import { CheckField } from '../parts/CheckField';
import { problemWords } from '../files/problemWords';
import { Button } from '../parts/Button';
import { Sheet } from '../parts/Sheet';
import { useWorkspace } from '../shell/WorkspaceContext';
import { useCamera } from './useCamera';
import { usePhoto } from './usePhoto';

interface TakePhotoProps {
  /** Whose picture it will be. */
  name: string;
  /** The last picture of the same, laid over the camera's so that the frame can be held. */
  lastId: string | null;
  onTaken(photoId: string): void;
}

/** A picture from the camera, with the last one as a ghost over it, or from a file. */
export function TakePhoto({ name, lastId, onTaken }: TakePhotoProps) {
  const { photos } = useWorkspace();
  const [open, setOpen] = useState(false);
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  async function keep(file: Blob) {
    setBusy(true);
    setError(null);
    try {
      const kept = await photos.add(file);
      if (!kept.ok) return setError(problemWords(kept.problems[0]!));
      setOpen(false);
      onTaken(kept.value.id);
    } catch {
      setError('The browser could not keep the picture. Its storage may be full: see Settings, Data.');
    } finally {
      setBusy(false);
    }
  }
  return (
    <Sheet
      title="Photo"
      description={`Of ${name}. It stays in this browser until you export it or hand it to another device of yours.`}
      open={open}
      onOpenChange={(o) => {
        setOpen(o);
        setError(null);
      }}
      trigger={
        <Button className="min-h-12!">
          <Camera size={18} aria-hidden /> Photo
        </Button>
      }
    >
      <div className="space-y-4">
        {open && <LiveCamera lastId={lastId} busy={busy} onShot={(shot) => void keep(shot)} />}
        <input
          ref={input}
          type="file"
          accept="image/jpeg,image/png,image/webp"
          className="sr-only"
          tabIndex={-1}
          aria-label="Picture file"
          onChange={(e) => {
            const file = e.target.files?.[0];
            e.target.value = '';
            if (file) void keep(file);
          }}
        />
        <Button className="min-h-12!" disabled={busy} onClick={() => input.current?.click()}>
          <ImagePlus size={18} aria-hidden /> Choose a picture
        </Button>
        {busy && <p role="status">Saving the picture…</p>}
        {error && (
          <p role="alert" className="rounded-md bg-copper-wash px-3 py-2 text-copper">
            {error}
          </p>
        )}
      </div>
    </Sheet>
  );
}

/** The camera's picture, where the person lets it be seen. */
function LiveCamera({ lastId, busy, onShot }: { lastId: string | null; busy: boolean; onShot(shot: Blob): void }) {
  const video = useRef<HTMLVideoElement>(null);
  const state = useCamera(video);
  const [isGhostOn, setIsGhostOn] = useState(true);
  const ghost = usePhoto(lastId, 'whole');
  function shoot() {
    const v = video.current;
    if (!v || v.videoWidth === 0) return;
    const canvas = new OffscreenCanvas(v.videoWidth, v.videoHeight);
    canvas.getContext('2d')!.drawImage(v, 0, 0);
    void canvas.convertToBlob({ type: 'image/jpeg', quality: 0.95 }).then(onShot);
  }
  if (state === 'none')
    return (
      <p className="text-soft">
        No camera is available to this page, or it was not allowed. Choose a picture instead; on a phone that offers the camera too.
      </p>
    );
  return (
    <div className="space-y-3">
      <div className="relative overflow-hidden rounded-md bg-night">
        <video
          ref={video}
          autoPlay
          playsInline
          muted
          className="block max-h-[50dvh] w-full object-contain"
          aria-label="What the camera sees"
        />
        {isGhostOn && ghost && ghost !== 'gone' && (
          // eslint-disable-next-line @next/next/no-img-element -- a blob of this browser, nothing to load
          <img src={ghost.url} alt="" className="pointer-events-none absolute inset-0 size-full object-contain opacity-40" />
        )}
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <Button kind="main" className="min-h-12!" disabled={state !== 'live' || busy} onClick={shoot}>
          <Camera size={18} aria-hidden /> {state === 'live' ? 'Take it' : 'Waiting for the camera …'}
        </Button>
        {ghost && ghost !== 'gone' && <CheckField label="Show the last picture over it" checked={isGhostOn} onChange={setIsGhostOn} />}
      </div>
    </div>
  );
}
