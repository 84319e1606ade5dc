'use client';
import { clearanceOf } from '@/core/things/lamp/clearanceOf';
import type { SetUp } from '@/core/answer/stand/setUp';
import { DliScale } from './DliScale';
import { DliKey } from './DliKey';
import { HeadlineLine } from './HeadlineLine';
import { useVerdict } from './useVerdict';
import { AGE_WORDS, certaintyOf, consequencesOf, stageWords } from './words';

const Waiting = () => (
  <p role="status" className="text-soft">
    Working out the light…
  </p>
);

/** Whether it will do, in a sentence: over the picture, where there is no room beside it, so that both are seen while a hand moves the lamp. */
export function VerdictLine({ setUp }: { setUp: SetUp }) {
  const judged = useVerdict(setUp);
  return judged ? <HeadlineLine verdict={judged.verdict} crop={setUp.crop} small /> : <Waiting />;
}

interface VerdictPanelProps {
  readonly setUp: SetUp;
  /** Whether its sentence stands here; else over the picture. */
  readonly withLine: boolean;
}

/** Whether it will do, in words, with the doses that say so. */
export function VerdictPanel({ setUp, withLine }: VerdictPanelProps) {
  const judged = useVerdict(setUp);
  if (!judged) return withLine ? <Waiting /> : null;
  const { verdict } = judged;
  const { crop, stage, lamp } = setUp;
  const { view } = setUp.tier.ageing;
  return (
    <section aria-label="Verdict" aria-busy={judged.stale} className="space-y-3">
      <p className="font-narrow text-sm font-medium text-soft">
        {crop.name}, {stageWords(stage)}
        {view !== 'now' && <strong className="text-copper"> · {AGE_WORDS[view]}</strong>}
      </p>
      {withLine && <HeadlineLine verdict={verdict} crop={crop} />}
      {verdict.says !== 'dark' && <DliScale verdict={verdict} stage={stage} />}
      <DliKey />
      {consequencesOf(verdict, crop, stage, false).map((text) => (
        <p key={text}>{text}</p>
      ))}
      <p className="text-soft">{certaintyOf(verdict, setUp.calibration !== null)}</p>
      {setUp.distance < clearanceOf(lamp) - 1e-6 && (
        <p role="alert" className="rounded-md bg-copper-wash px-3 py-2 text-copper">
          The lamp is too close. Its heat can damage leaves. Keep at least {Math.round(clearanceOf(lamp) * 100)} cm (
          {Math.round((clearanceOf(lamp) / 0.0254) * 2) / 2} in) between lamp and leaves.
        </p>
      )}
    </section>
  );
}
