/** How large the person has set the browser's text, against the usual; for pictures whose rows are as tall as their words. */
export const textScale = (): number => parseFloat(getComputedStyle(document.documentElement).fontSize) / 16;
