/** The words of what somebody typed to search by, in small letters; a number and its feet or inches are one: `4 ft`, `4-foot` and `4'` are `4ft`. */
export const searchWords = (typed: string): string[] =>
  typed
    .toLowerCase()
    .replace(/(\d)[\s-]*(?:ft|foot|feet|['’′])(?!\p{L})/gu, '$1ft')
    .replace(/(\d)[\s-]*(?:inch(?:es)?|in|["”″])(?!\p{L})/gu, '$1in')
    .split(/[\s,]+/)
    .filter(Boolean);
