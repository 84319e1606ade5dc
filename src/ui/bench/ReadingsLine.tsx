'use client';
import { memo } from 'react';
import { Gauge } from 'lucide-react';
import type { BenchStand, BenchTier } from '@/core/answer/stand/benchStand';
import { Link } from '../parts/Link';
import { useWorkspace } from '../shell/WorkspaceContext';

/** What the light of a tier rests on: boxes, readings, or a fit; and the way to the meter. */
export const ReadingsLine = memo(function ReadingsLine({ stand, tier: t }: { stand: BenchStand; tier: BenchTier }) {
  const { benchLooks } = useWorkspace();
  if (t.lamps.length === 0) return null;
  const counting = t.tier.readings.filter((r) => !r.leftOut).length;
  const { fit } = t.known;
  const words = fit
    ? `Fitted to ${fit.readingIds.length} readings.`
    : counting > 0
      ? `Corrected by ${counting} ${counting === 1 ? 'reading' : 'readings'}.`
      : 'Based on lamp labels only. No readings yet.';
  return (
    <p className="text-[0.9375rem]" data-testid="rests-on">
      {words}{' '}
      <Link
        href="/readings"
        className="inline-flex min-h-9 items-center gap-1.5 font-semibold underline underline-offset-4 max-md:min-h-11"
        onClick={() => benchLooks.setState({ standId: stand.stand.id, tierId: t.tier.id, chosen: [] })}
      >
        <Gauge size={16} aria-hidden /> {counting > 0 ? 'Readings' : 'Take readings'}
      </Link>
    </p>
  );
});
