import type { Stage } from '@/core/things/crop/Crop';
import type { Banded } from '@/core/judge/uncertainty/Band';
import type { Verdict } from '@/core/judge/verdict/judge';
import { SPOT_WORDS } from './words';
import { dliAgainst, dliNumber } from '../drawing/lightWords';

/** The three doses on one scale, each with its band of uncertainty, against what the crop asks. */
export function DliScale({ verdict, stage }: { verdict: Verdict; stage: Stage }) {
  const { highDli } = verdict;
  const end = Math.max(highDli * 1.5, verdict.strongest.value * 1.25, 1);
  const at = (dose: number) => `${Math.min(100, (dose / end) * 100)}%`;
  const rows: [keyof typeof SPOT_WORDS, Banded][] = [
    ['weakest', verdict.weakest],
    ['mean', verdict.mean],
    ['strongest', verdict.strongest],
  ];
  const verdictOf = (dose: number) => (dose < stage.dliMin ? 'text-slate' : dose > highDli ? 'text-copper' : 'text-verdigris');
  return (
    <div>
      <dl className="grid grid-cols-3 gap-2">
        {rows.map(([name, { value, low, high }]) => (
          <div key={name}>
            <dt className="text-sm text-soft">{SPOT_WORDS[name]}</dt>
            <dd className={`text-3xl leading-8 font-semibold ${verdictOf(value)}`} data-testid={`dose-${name}`}>
              {dliAgainst(value, stage.dliMin, highDli)}
            </dd>
            <dd className="text-sm text-soft">
              {dliNumber(low)}–{dliNumber(high)}
            </dd>
          </div>
        ))}
      </dl>
      <div className="relative mt-3 h-13" aria-hidden data-swatch>
        <div className="absolute inset-x-0 top-0 h-8 rounded-[3px] bg-slate-wash" />
        <div className="absolute top-0 h-8 bg-copper-wash" style={{ left: at(highDli), right: 0 }} />
        <div
          className="absolute top-0 h-8 bg-verdigris-wash"
          style={{ left: at(stage.dliMin), width: `calc(${at(highDli)} - ${at(stage.dliMin)})` }}
        />
        <div className="absolute top-0 h-8 w-px bg-verdigris" style={{ left: at(stage.dliTarget) }} />
        {rows.map(([name, { value, low, high }], i) => (
          <div key={name}>
            <div
              className="absolute h-[3px] rounded-full bg-ink/35"
              style={{ left: at(low), width: `calc(${at(high)} - ${at(low)})`, top: 6 + i * 9 }}
            />
            <div className="absolute h-[7px] w-[3px] -translate-x-1/2 bg-ink" style={{ left: at(value), top: 4 + i * 9 }} />
          </div>
        ))}
        {[[stage.dliMin, dliNumber(stage.dliMin)] as const, [highDli, dliNumber(highDli)] as const].map(([dose, text]) => (
          <span key={text} className="absolute top-8 -translate-x-1/2 font-narrow text-sm text-soft" style={{ left: at(dose) }}>
            {text}
          </span>
        ))}
      </div>
      <p className="sr-only">
        It needs {stage.dliMin} to {Number(highDli.toFixed(1))} mol/m²/day, best {stage.dliTarget}.
      </p>
      {dliNumber(highDli) !== dliNumber(stage.dliMax) && (
        <p className="text-sm text-soft">
          It can use {dliNumber(stage.dliMax)}, but in these hours more than {dliNumber(highDli)} would be stronger than its leaves tolerate
          ({stage.ppfdMax} µmol/m²/s).
        </p>
      )}
    </div>
  );
}
