/** English, the language of the texts, as the browser's own place writes it: numbers, money and dates go by it. */
export function ownEnglish(): string {
  if (english === null) {
    const own = new Intl.NumberFormat().resolvedOptions().locale;
    english = own === 'en' || own.startsWith('en-') ? own : 'en-GB';
  }
  return english;
}
let english: string | null = null;
