'use client';
import { useMemo } from 'react';
import { distanceOf } from '@/core/site/reading/Reading';
import type { Profile } from '@/core/answer/solve/Profile';
import type { SetUp } from '@/core/answer/stand/setUp';
import { FallOffFigure } from '../parts/FallOffFigure';

/** Strength below the middle by distance: as computed, by the inverse square, and as read. */
export function FallOffChart({ setUp, profile, anchor }: { setUp: SetUp; profile: Profile; anchor: { distance: number; ppfd: number } }) {
  const used = setUp.calibration?.used;
  const curve = useMemo(
    () => profile.filter((p) => p.distance >= 0.02 && p.distance <= 1).map((p) => ({ distance: p.distance, ppfd: p.centre })),
    [profile],
  );
  const readings = useMemo(
    () =>
      (used ?? [])
        .filter((c) => Math.hypot(c.reading.dx, c.reading.dy) < 0.02)
        .map((c) => ({ distance: distanceOf(c.reading), ppfd: c.measured })),
    [used],
  );
  return (
    <FallOffFigure
      curve={curve}
      anchor={anchor}
      readings={readings}
      words={{ curve: 'computed', square: 'inverse square', readings: 'readings' }}
      label="Light below the middle by distance: computed, by the inverse square, and as read"
      axis="distance"
    />
  );
}
