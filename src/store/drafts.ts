import { create } from 'zustand';

/** What is being typed and belongs to nothing that is kept yet, by the name of its place; it stands until the page is closed. */
export const useDrafts = create<{ readonly texts: Readonly<Record<string, string>> }>(() => ({ texts: {} }));

export function setDraft(place: string, text: string): void {
  useDrafts.setState((s) => ({ texts: { ...s.texts, [place]: text } }));
}
