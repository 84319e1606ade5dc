import type { LeafSign } from '@/core/site/stand/Logged';

export const LEAF_SIGN_WORDS: Readonly<Record<LeafSign, string>> = {
  leaning: 'Leaning',
  stretched: 'Stretched',
  pale: 'Pale',
  'burnt-tips': 'Burnt tips',
};

/** Ninths of a tray, row by row from its back left. */
export const PLACE_WORDS = ['back left', 'back', 'back right', 'left', 'middle', 'right', 'front left', 'front', 'front right'] as const;
