/** Whether the person has a mouse, and so most likely a keyboard: fields may take the focus by themselves. */
export const hasKeyboard = (): boolean => window.matchMedia?.('(pointer: fine)').matches ?? false;
