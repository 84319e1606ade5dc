import { useMemo } from 'react';
import type { Lamp } from '@/core/things/lamp/Lamp';
import { useSettings } from '../shell/WorkspaceContext';
import { lampItems } from './lampItems';
import type { SearchItem } from './SearchList';

/** All kinds of lamps to choose from, in the person's own units. */
export function useLampItems(own: readonly Lamp[]): readonly SearchItem[] {
  const { lengthUnit } = useSettings();
  return useMemo(() => lampItems(own, lengthUnit), [own, lengthUnit]);
}
