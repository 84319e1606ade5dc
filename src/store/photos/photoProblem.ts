import { imageSize } from 'image-size';

/** More are not drawn: a page would run out of memory. */
const MOST_PIXELS = 120_000_000;
const KINDS = ['jpg', 'png', 'webp'];

/** Whether bytes are a picture that may be drawn, by their content. */
export function photoProblem(bytes: Uint8Array): { code: string; found?: string; expected?: string } | null {
  let size: { width: number; height: number; type?: string };
  try {
    size = imageSize(bytes);
  } catch {
    return { code: 'photo/no-picture' };
  }
  if (!KINDS.includes(size.type ?? '')) return { code: 'photo/no-picture', found: size.type ?? '' };
  if (!(size.width * size.height <= MOST_PIXELS)) return { code: 'photo/too-many-pixels', found: `${size.width} × ${size.height}` };
  return null;
}
