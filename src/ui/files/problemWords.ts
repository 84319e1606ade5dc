import type { Problem } from '@/core/units/result';

const shown = (found: unknown): string => {
  const text = typeof found === 'string' ? `“${found}”` : (JSON.stringify(found) ?? 'nothing');
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
};

/** Why a file is refused, with the place, in words. */
export function problemWords({ code, at, found, expected }: Problem): string {
  switch (code) {
    case 'file/too-large':
      return `The file is too large: ${Math.round(Number(found) / 1e5) / 10} MB, and at most ${Number(expected) / 1e6} MB are read.`;
    case 'file/unreadable':
      return `Your device does not give it out (${shown(found)}). Is it still there, and may it be read? Try again, or copy it elsewhere first.`;
    case 'file/too-deep':
      return 'The file is nested deeper than any of ours.';
    case 'file/list-in-list':
      return `${at}: a list where an object is due.`;
    case 'file/not-json':
      return `It is not whole JSON: it breaks at ${at}. Was it cut short or edited?`;
    case 'site/not-an-object':
    case 'site/foreign':
      return 'It is not a file of set-ups: it does not say “format”: “copper-noon/site”.';
    case 'season/foreign':
      return 'It is not a season: it does not say “format”: “copper-noon/season”.';
    case 'season/newer':
    case 'site/newer':
      return `It was written by a newer version (${shown(found)}; this one reads up to ${expected}). Open it there, or update.`;
    case 'kept/page-missing':
      return `The ${at} are missing.`;
    case 'site/missing':
      return `${at}: refers to ${shown(found)}, which is not there.`;
    case 'site/id-twice':
      return `${at}: ${shown(found)} is there twice.`;
    case 'site/not-rising':
      return `${at}: out of order with what stands beside it.`;
    case 'site/whitelistValidation':
      return `${at}: not a field of ours.`;
    default:
      return `${at}: ${shown(found)}, ${expected ?? 'not allowed'}.`;
  }
}
