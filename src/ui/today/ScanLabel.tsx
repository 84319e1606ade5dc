'use client';
import { ImagePlus, ScanLine } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { Button } from '../parts/Button';
import { Sheet } from '../parts/Sheet';
import { useCamera } from '../photos/useCamera';
import { useSite } from '../shell/WorkspaceContext';

/** So often the camera's picture is looked at, ms. */
const EVERY_MS = 250;
/** Codes are found as well in a smaller picture, and far sooner. */
const LONGEST_SIDE = 1000;

/** The tray that the text of a label's code leads to; null where it is none of ours. */
export function trayOfCode(text: string): string | null {
  const match = /\/tray\/([^/?#]+)$/.exec(text.split(/[?#]/)[0]!);
  if (!match) return null;
  try {
    return decodeURIComponent(match[1]!);
  } catch {
    return null;
  }
}

async function codeIn(source: CanvasImageSource, width: number, height: number): Promise<string | null> {
  const { default: jsQR } = await import('jsqr');
  const by = Math.min(1, LONGEST_SIDE / Math.max(width, height));
  const canvas = new OffscreenCanvas(Math.max(1, Math.round(width * by)), Math.max(1, Math.round(height * by)));
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(source, 0, 0, canvas.width, canvas.height);
  const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
  return jsQR(data, canvas.width, canvas.height)?.data ?? null;
}

/** A tray's label before the camera, and one is at that tray. */
export function ScanLabel() {
  const router = useRouter();
  const stands = useSite((s) => s.site.stands);
  const [open, setOpen] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  function found(text: string | null) {
    const id = text === null ? null : trayOfCode(text);
    if (text === null) setSaid('There is no code in this picture. Hold the label flat and near, and try again.');
    else if (id === null) setSaid('This code is not of a tray label.');
    else if (!stands.some((s) => s.tiers.some((t) => t.trays.some((y) => y.id === id))))
      setSaid('This label is of a tray that is not in this browser.');
    else {
      setOpen(false);
      router.push(`/tray/${encodeURIComponent(id)}`);
    }
  }
  async function look(file: File) {
    try {
      const bitmap = await createImageBitmap(file);
      found(await codeIn(bitmap, bitmap.width, bitmap.height));
      bitmap.close();
    } catch {
      setSaid('This file is not a picture. Choose a JPEG, PNG or WebP file.');
    }
  }
  return (
    <Sheet
      title="Scan a label"
      description="Hold the code of a tray’s label before the camera. You are then at that tray."
      open={open}
      onOpenChange={(o) => {
        setOpen(o);
        setSaid(null);
      }}
      trigger={
        <Button>
          <ScanLine size={17} aria-hidden /> <span className="max-sm:sr-only">Scan a label</span>
        </Button>
      }
    >
      <div className="space-y-4">
        {open && <Looking onCode={found} />}
        <input
          ref={input}
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          tabIndex={-1}
          aria-label="Picture of a label"
          onChange={(e) => {
            const file = e.target.files?.[0];
            e.target.value = '';
            if (file) void look(file);
          }}
        />
        <Button className="min-h-12!" onClick={() => input.current?.click()}>
          <ImagePlus size={18} aria-hidden /> Take or choose a picture of it
        </Button>
        {said && (
          <p role="alert" className="rounded-md bg-copper-wash px-3 py-2 text-copper">
            {said}
          </p>
        )}
      </div>
    </Sheet>
  );
}

/** The camera's picture, looked at until there is a code of a tray in it. */
function Looking({ onCode }: { onCode(text: string): void }) {
  const video = useRef<HTMLVideoElement>(null);
  const isLive = useCamera(video, 1000) === 'live';
  const told = useRef(onCode);
  useEffect(() => {
    told.current = onCode;
  });
  useEffect(() => {
    let wanted = true;
    const timer = setInterval(() => {
      const v = video.current;
      if (!v || v.videoWidth === 0) return;
      void codeIn(v, v.videoWidth, v.videoHeight).then((text) => {
        if (wanted && text !== null && trayOfCode(text) !== null) told.current(text);
      });
    }, EVERY_MS);
    return () => {
      wanted = false;
      clearInterval(timer);
    };
  }, []);
  return (
    <video
      ref={video}
      autoPlay
      playsInline
      muted
      className={isLive ? 'block max-h-[50dvh] w-full rounded-md bg-night object-contain' : 'hidden'}
      aria-label="What the camera sees"
    />
  );
}
