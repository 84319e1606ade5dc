'use client';
import { memo } from 'react';
import type { MapShows } from '@/store/settings/settingsStore';
import { useSettings, useWorkspace } from '../shell/WorkspaceContext';
import { Segments } from './Segments';

/** What the numbers of every map are. */
export const MapShowsChoice = memo(function MapShowsChoice({ night = false }: { night?: boolean }) {
  const { settings } = useWorkspace();
  const { mapShows } = useSettings();
  return (
    <Segments<MapShows>
      night={night}
      label="What the map shows"
      value={mapShows}
      options={[
        { value: 'dli', label: 'mol/m²/day' },
        { value: 'ppfd', label: 'µmol/m²/s' },
        { value: 'share', label: '% of best DLI' },
      ]}
      onChange={(v) => settings.setState({ mapShows: v })}
    />
  );
});
