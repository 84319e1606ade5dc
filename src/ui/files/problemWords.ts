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
      return `Your device could not read it (${shown(found)}). Is it still there, and may it be read? Try again, or copy it elsewhere first.`;
    case 'file/too-deep':
      return 'The file has too many levels (limit 16).';
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
    case 'site/pause-too-long':
      return `${at}: its ends are the same, or it leaves less of the day than the lamps are to burn.`;
    case 'site/whitelistValidation':
      return `${at}: not a field of ours.`;
    case 'archive/foreign':
      return 'It is not an archive of Copper Noon: there is no site.json in it.';
    case 'archive/site-not-first':
      return 'It was packed by another program: site.json must be the first file in it. Import site.json by itself instead.';
    case 'archive/damaged':
      return `The archive is damaged at ${at}. Was it cut short? Import an earlier one.`;
    case 'archive/too-many':
      return `There are more than ${expected} files in it.`;
    case 'link/not-ours':
      return 'The address has no stand in it.';
    case 'link/damaged':
      return 'The address was not copied whole, or was changed on the way.';
    case 'link/too-long':
      return 'The address is longer than any that is made here.';
    case 'handover/gone':
      return 'There is nothing to fetch any more. A code works once, for ten minutes: make a new one on the other device.';
    case 'handover/damaged':
      return 'It came damaged, or the address was not copied whole. Make a new code on the other device.';
    case 'handover/version':
      return 'The other device has another version of Copper Noon. Load the newest on both.';
    case 'handover/full':
      return `The server holds as much as it can already. Try again in ${expected} minutes.`;
    case 'journal/foreign':
      return 'It is not a journal: it does not say “format”: “copper-noon/journal”.';
    case 'journal/no-column':
      return `It has no column “${String(found)}” in its first line. Save a journal here to see how it looks.`;
    case 'journal/no-batch':
      return `${at}: no batch here is ${shown(found)}, and no single one of that crop.`;
    case 'journal/too-long':
      return `It has more than ${expected} entries. Cut it in parts.`;
    case 'journal/full':
      return `${at}: a batch holds at most ${expected} entries.`;
    case 'table/empty':
      return 'There is nothing in it.';
    case 'table/quotes':
      return `${at}: a quotation mark is never closed.`;
    case 'photo/too-large':
      return `The picture is too large: at most ${expected} MB are read. Make it smaller first.`;
    case 'photo/no-picture':
      return 'It is not a picture that can be kept here. Choose a JPEG, PNG or WebP file.';
    case 'photo/too-many-pixels':
      return `The picture has too many pixels (${String(found)}). Make it smaller first.`;
    case 'photo/damaged':
      return 'The picture is damaged and cannot be drawn. Take it again, or choose another one.';
    case 'photo/length':
      return 'Enter how long the known thing is, between 0 and 5 m.';
    case 'photo/known-too-short':
      return 'The two marks of the known length are too close together. Move them to its two ends.';
    case 'photo/plant-too-short':
      return 'Base and top of the plant are too close together. Move one to the compost, the other to the top.';
    default:
      return `${at}: ${shown(found)}, ${expected ?? 'not allowed'}.`;
  }
}
