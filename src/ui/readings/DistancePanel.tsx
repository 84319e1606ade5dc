'use client';
import { useMemo, useState } from 'react';
import { distanceLaws, type DistanceLaw } from '@/core/measure/fit/distanceLaw';
import { showLength } from '@/core/units/length';
import { FallOffFigure } from '../parts/FallOffFigure';
import { SelectField } from '../parts/SelectField';
import { useSettings } from '../shell/WorkspaceContext';
import { percent } from '../verdict/words';
import type { TierReadings } from './useTierReadings';
import { fromEdgesWords } from '../drawing/fromEdgesWords';

/** How light falls off below a lamp: by one's own readings at several heights, by the plan, and by the inverse square. */
export function DistancePanel({ of }: { of: TierReadings }) {
  const { lengthUnit } = useSettings();
  const { tier: t } = of;
  const laws = useMemo(() => distanceLaws(t.known.compared), [t.known.compared]);
  const [chosen, setChosen] = useState(0);
  const law = laws[chosen] ?? laws[0];
  return (
    <section className="space-y-3" aria-labelledby="distance">
      <h2 id="distance" className="text-xl font-semibold">
        How it falls off with distance
      </h2>
      {!law && (
        <p className="text-soft">
          Take readings at three heights or more over one spot (under “Readings”, from anywhere): then your own law of distance is drawn
          here beside that of the plan and the inverse square.
        </p>
      )}
      {law && (
        <>
          {laws.length > 1 && (
            <SelectField
              label="spot"
              value={String(laws.indexOf(law))}
              options={laws.map((l, i) => ({
                value: String(i),
                label: fromEdgesWords({ x: l.dx + t.tier.width / 2, y: l.dy + t.tier.depth / 2 }, lengthUnit),
              }))}
              onChange={(v) => setChosen(Number(v))}
            />
          )}
          <Law of={of} law={law} />
        </>
      )}
    </section>
  );
}

function Law({ of, law }: { of: TierReadings; law: DistanceLaw }) {
  const { lengthUnit } = useSettings();
  const first = of.tier.known.compared.find((c) => c.reading.id === law.readings[0]!.id)!.reading;
  const face = Math.min(...first.lit.map((l) => l.face));
  const near = law.readings[0]!;
  const far = law.readings[law.readings.length - 1]!;
  const curve = useMemo(() => {
    const from = Math.max(0.02, 0.7 * near.distance);
    const to = Math.min(face, 1.2 * far.distance);
    return Array.from({ length: 40 }, (_, i) => {
      const distance = from * (to / from) ** (i / 39);
      const place = { dx: law.dx, dy: law.dy, z: face - distance, lit: first.lit, around: first.around };
      return { distance, ppfd: of.plannedAt(place).ppfd };
    });
  }, [law, first, face, near, far, of]);
  const readings = useMemo(() => law.readings.map((r) => ({ ...r, hollow: r.leftOut })), [law]);
  const planned = curve.reduce((a, b) => (Math.abs(b.distance - near.distance) < Math.abs(a.distance - near.distance) ? b : a));
  return (
    <div className="space-y-2">
      <FallOffFigure
        curve={curve}
        anchor={far}
        readings={readings}
        words={{ curve: 'the plan', square: 'inverse square from the farthest', readings: 'your readings' }}
        label="Light by distance: your readings, the plan, the inverse square"
        axis="below the lamp"
        className="h-60"
      />
      <p data-testid="distance-law">
        By your readings the light goes with the distance to the power of{' '}
        <strong className="font-semibold">−{law.exponent.toFixed(1)}</strong>; the inverse square would be −2. At{' '}
        {showLength(near.distance, lengthUnit)} it would promise {times((far.ppfd * (far.distance / near.distance) ** 2) / near.ppfd)} of
        what you read, the plan {times(planned.ppfd / near.ppfd)}.
      </p>
    </div>
  );
}

const times = (ratio: number) => (ratio < 3 ? percent(ratio) : `${Math.round(ratio)} times`);
