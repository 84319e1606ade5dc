/** What keeps the sun off leaves, as the subject of a sentence. @param curtained  a net curtain hangs there already */
export const shadeWords = (curtained: boolean): string =>
  `${curtained ? 'A denser curtain' : 'A net curtain'}, or a place farther from the glass,`;
