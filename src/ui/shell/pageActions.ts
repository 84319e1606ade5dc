import { useEffect } from 'react';
import { createStore } from 'zustand/vanilla';

/** Something that can be done on the page that is open, by its name from the palette. */
export interface PageAction {
  readonly id: string;
  readonly name: string;
  /** Other words by which it is found. */
  readonly words: readonly string[];
  run(): void;
}

export const pageActions = createStore<{ readonly actions: readonly PageAction[] }>(() => ({ actions: [] }));

/** Offers actions in the palette for as long as the page shows. @param actions  the same array as long as they mean the same */
export function usePageActions(actions: readonly PageAction[]): void {
  useEffect(() => {
    pageActions.setState((s) => ({ actions: [...s.actions, ...actions] }));
    return () => pageActions.setState((s) => ({ actions: s.actions.filter((a) => !actions.includes(a)) }));
  }, [actions]);
}

/** An action that leads to something that is there already: gives it the focus. */
export const focusOn = (id: string, name: string, words: readonly string[], find: () => HTMLElement | null | undefined): PageAction => ({
  id,
  name,
  words,
  // The palette closes first, and gives the focus back.
  run: () => setTimeout(() => find()?.focus(), 60),
});
