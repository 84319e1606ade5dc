import { useEffect, useState } from 'react';

const NAMES = {
  ink: '--ink',
  soft: '--ink-soft',
  line: '--line',
  copper: '--copper',
  verdigris: '--verdigris',
  slate: '--slate',
  verdigrisWash: '--verdigris-wash',
} as const;
export type Colours = Readonly<Record<keyof typeof NAMES, string>>;

const LIGHT: Colours = {
  ink: '#15201e',
  soft: '#4d5b57',
  line: '#d3dad6',
  copper: '#a3481f',
  verdigris: '#1a6d62',
  slate: '#46556e',
  verdigrisWash: '#d5ece7',
};

/** The tokens as they stand on the page, for what is drawn on a canvas. */
export function useColours(theme: string): Colours {
  const [colours, setColours] = useState<Colours>(LIGHT);
  useEffect(() => {
    const read = () => {
      const style = getComputedStyle(document.documentElement);
      setColours(
        Object.fromEntries(Object.entries(NAMES).map(([key, name]) => [key, style.getPropertyValue(name).trim()])) as unknown as Colours,
      );
    };
    // After the theme's own effect has put its attribute on the page.
    const frame = requestAnimationFrame(read);
    const dark = window.matchMedia('(prefers-color-scheme: dark)');
    const later = () => requestAnimationFrame(read);
    dark.addEventListener('change', later);
    return () => {
      cancelAnimationFrame(frame);
      dark.removeEventListener('change', later);
    };
  }, [theme]);
  return colours;
}
