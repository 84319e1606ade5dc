import type { Problem } from '@/core/units/result';

/** The text of a file that a person chose; a file that is too large is not read, and one that the device does not give out is named. */
export async function readFile(file: File, maxBytes: number): Promise<{ readonly text: string } | { readonly problem: Problem }> {
  if (file.size > maxBytes) return { problem: { code: 'file/too-large', at: '', found: file.size, expected: String(maxBytes) } };
  try {
    return { text: await file.text() };
  } catch (error) {
    return { problem: { code: 'file/unreadable', at: '', found: error instanceof Error ? error.message : String(error) } };
  }
}
