/** Gives a text, or what is a file already, to the person as a file. */
export function saveFile(name: string, content: string | Blob, type = 'application/json'): void {
  const url = URL.createObjectURL(typeof content === 'string' ? new Blob([content], { type }) : content);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser needs the address until the download has begun.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A name that every system takes, from the words of a person. */
export function fileName(words: string | undefined, ending: string): string {
  const plain = (words ?? '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '');
  return `${plain || 'set-up'}.${ending}`;
}
