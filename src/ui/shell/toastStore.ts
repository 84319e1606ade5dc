import { createStore } from 'zustand/vanilla';

export interface Toast {
  readonly id: number;
  readonly text: string;
  readonly action?: { readonly label: string; run(): void };
}

/** Short messages at the foot of the screen; the newest only. */
export const toastStore = createStore<{ toast: Toast | null }>(() => ({ toast: null }));

let next = 1;

export function say(text: string, action?: Toast['action']): void {
  toastStore.setState({ toast: { id: next++, text, ...(action ? { action } : {}) } });
}
