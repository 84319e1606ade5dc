/**
 * A number beside the limit that it is held against: with as many places as it takes to see that it is not the limit, unless it is.
 *
 * @param plain  how such a number is told else
 */
export function besideWords(value: number, limit: number, plain: (value: number) => string = wholeNumber): string {
  const told = Number(plain(limit));
  if (value === limit) return plain(value);
  return [plain(value), ...[1, 2, 3].map((places) => value.toFixed(places))].find((text) => Number(text) !== told) ?? plain(value);
}

const wholeNumber = (value: number) => String(Math.round(value));
