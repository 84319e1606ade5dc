import { createStore } from 'zustand/vanilla';

export interface Toast {
  readonly id: number;
  readonly text: string;
  readonly action?: { readonly label: string; run(): void };
}

/**
 * Short messages at the foot of the screen: the newest that offers something, and the newest that does not. One that only tells never
 * takes away the way back of the one before; of two that offer a way back only the newer one can still keep its promise.
 */
export const toastStore = createStore<{ readonly offer: Toast | null; readonly word: Toast | null }>(() => ({ offer: null, word: null }));

let next = 1;

export function say(text: string, action?: Toast['action']): void {
  const toast: Toast = { id: next++, text, ...(action ? { action } : {}) };
  toastStore.setState(action ? { offer: toast, word: null } : { word: toast });
}
