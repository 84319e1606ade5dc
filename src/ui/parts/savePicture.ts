import { say } from '../shell/toastStore';
import { pngOf, svgOf } from './pictureOf';
import { fileName, saveFile } from './saveFile';

/** Saves the part of the page that is marked `data-picture={of}`. */
export async function savePicture(of: string, name: string, kind: 'png' | 'svg'): Promise<void> {
  const root = document.querySelector<HTMLElement>(`[data-picture="${of}"]`);
  if (!root) return say('There is no picture to save here.');
  try {
    const file = kind === 'png' ? await pngOf(root) : await svgOf(root);
    saveFile(fileName(name, kind), file, kind === 'png' ? 'image/png' : 'image/svg+xml');
  } catch {
    say('This browser did not draw the picture. Try the other kind.');
  }
}
