/** Numbers of any file: neither NaN nor without end, which no reader of JSON makes but 1e999. */
export const finite = { allowNaN: false, allowInfinity: false } as const;
