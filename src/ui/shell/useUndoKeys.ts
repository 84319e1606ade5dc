import { useEffect } from 'react';
import { redo, undo, type SiteStore } from '@/store/site/siteStore';

/** Ctrl or ⌘ with Z undoes, with Shift+Z or Y does again; inside a text field the keys stay with the text. */
export function useUndoKeys(sites: SiteStore): void {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (!(e.ctrlKey || e.metaKey) || e.altKey) return;
      const target = e.target as HTMLElement;
      if (target.matches('input, textarea, [contenteditable]')) return;
      const key = e.key.toLowerCase();
      if (key === 'z') (e.shiftKey ? redo : undo)(sites);
      else if (key === 'y') redo(sites);
      else return;
      e.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [sites]);
}
