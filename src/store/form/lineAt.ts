/** The line of a text in which its letter of that number stands, the first being 1. */
export const lineAt = (text: string, index: number): number => text.slice(0, index).split('\n').length;
