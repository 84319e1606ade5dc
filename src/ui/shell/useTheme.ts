import { useEffect } from 'react';
import { useStore } from 'zustand';
import type { SettingsStore } from '@/store/settings/settingsStore';

/** Puts the chosen sheet, light or dark, on the page; "auto" follows the system. */
export function useTheme(settings: SettingsStore): void {
  const theme = useStore(settings, (s) => s.theme);
  useEffect(() => {
    const dark = window.matchMedia('(prefers-color-scheme: dark)');
    const put = () => {
      document.documentElement.dataset.theme = theme === 'auto' ? (dark.matches ? 'dark' : 'light') : theme;
    };
    put();
    dark.addEventListener('change', put);
    return () => dark.removeEventListener('change', put);
  }, [theme]);
}
