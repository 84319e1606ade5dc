import { createStore } from 'zustand/vanilla';

export interface Toast {
  readonly id: number;
  readonly text: string;
  readonly action?: { readonly label: string; run(): void };
}

/**
 * Short messages at the foot of the screen: the newest that offers something, and the newest that does not. One that only tells never
 * takes away the way back of the one before; of two that offer a way back only the newer one can still keep its promise. What is of use at any
 * time stays until it is taken or closed.
 */
export const toastStore = createStore<{ readonly standing: Toast | null; readonly offer: Toast | null; readonly word: Toast | null }>(
  () => ({ standing: null, offer: null, word: null }),
);

let next = 1;

export function say(text: string, action?: Toast['action']): void {
  const toast: Toast = { id: next++, text, ...(action ? { action } : {}) };
  toastStore.setState(action ? { offer: toast, word: null } : { word: toast });
}

/** An offer that waits until the person takes it or closes it. */
export function sayLasting(text: string, action: NonNullable<Toast['action']>): void {
  toastStore.setState({ standing: { id: next++, text, action } });
}
