/** A new name for a thing; unique enough among the few thousand things of one household. */
export function newId(): string {
  return `${Date.now().toString(36)}-${Math.floor(Math.random() * 36 ** 6).toString(36)}`;
}
