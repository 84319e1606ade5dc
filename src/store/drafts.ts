import { createStore } from 'zustand/vanilla';

/** What is being typed and belongs to nothing that is kept yet, by the name of its place; it stands until the page is closed. */
export const drafts = createStore<{ readonly texts: Readonly<Record<string, string>> }>(() => ({ texts: {} }));

export function setDraft(place: string, text: string): void {
  drafts.setState((s) => ({ texts: { ...s.texts, [place]: text } }));
}
