import type { Part, Sign } from '@/core/judge/clinic/signs';

interface PlantFigureProps {
  signs: readonly Sign[];
  part: Part;
  onPart(part: Part): void;
}

const HEALTHY = '#2b9a8a';
const RIM = '#cfe9e3';

/** A plant as it should be, and beside it one that takes on what was marked. Its parts are pressed. */
export function PlantFigure({ signs, part, onPart }: PlantFigureProps) {
  const has = (...wanted: Sign[]) => wanted.some((s) => signs.includes(s));
  const isLong = has('stretched-stems', 'stretched-below-seed-leaves', 'wide-internodes', 'long-leaf-stalks');
  const isShort = has('stunted', 'small', 'compact', 'bunched-crown');
  const lean = has('leaning-one-way', 'leaning-to-window', 'leaning-inward', 'bent')
    ? 18
    : has('fallen-over', 'collapse-at-soil-line')
      ? 62
      : 0;
  const droop = has('wilting', 'wilting-slightly', 'long-floppy-leaves') ? 38 : has('leaves-reach-up', 'leaf-edges-up') ? -24 : 0;
  const whole = has('pale', 'faded', 'dull-grey-green') ? '#9fb08a' : has('dark-green') ? '#14574c' : HEALTHY;
  const young = has('bleached-top', 'white-patches')
    ? '#efe9d0'
    : has('young-leaves-yellow', 'young-leaves-interveinal-yellow')
      ? '#d9c864'
      : has('purple-upper-side', 'red-tints')
        ? '#96506c'
        : has('scorched-patch')
          ? '#9a6a3c'
          : whole;
  const old = has(
    'pale-lower-leaves-first',
    'old-leaves-interveinal-yellow',
    'yellow-seed-leaves',
    'seed-leaves-yellow-only',
    'one-old-leaf-yellow',
  )
    ? '#cfc25e'
    : has('purple-undersides')
      ? '#7f5b8c'
      : has('blisters', 'dark-sunken-spots')
        ? '#7d7a4a'
        : whole;
  const edge = has('crisp-edge', 'edges-crisp', 'brown-tips', 'inner-tip-burn') ? '#c07a3e' : RIM;
  const stem = has('purple-stems') ? '#a07fb0' : has('pale-stem') ? '#eef2df' : '#cfe9e3';
  const height = isLong ? 132 : isShort ? 50 : 84;
  const width = has('thin-stems', 'stretched-stems') ? 4 : 7;
  return (
    <div className="relative max-w-130">
      <svg viewBox="0 0 520 240" className="w-full" role="img" aria-label="A healthy plant, and beside it one that shows what you marked">
        <path d="M10 214H510" stroke="#7f918b" strokeWidth="3" />
        <Plant x={120} height={84} width={7} lean={0} droop={0} young={HEALTHY} old={HEALTHY} stem="#cfe9e3" edge={RIM} />
        <Plant x={340} height={height} width={width} lean={lean} droop={droop} young={young} old={old} stem={stem} edge={edge} />
        {has('white-crust') && <path d="M300 212h80" stroke="#f4f1e4" strokeWidth="5" strokeDasharray="6 4" />}
        <text x="120" y="233" textAnchor="middle" className="fill-night-soft text-[13px]">
          as it should be
        </text>
        <text x="340" y="233" textAnchor="middle" className="fill-night-soft text-[13px]">
          as you see it
        </text>
      </svg>
      {HOTSPOTS.map(({ of, left, top, label }) => (
        <button
          key={of}
          type="button"
          aria-pressed={part === of}
          aria-label={`Signs of: ${label}`}
          title={label}
          className="absolute grid size-11 -translate-x-1/2 -translate-y-1/2 place-items-center"
          style={{ left: `${left}%`, top: `${top}%` }}
          onClick={() => onPart(of)}
        >
          <span
            className={
              part === of
                ? 'grid size-7 place-items-center rounded-full border-2 border-ember bg-ember font-semibold text-night'
                : 'grid size-7 place-items-center rounded-full border-2 border-night-soft bg-night font-semibold text-night-ink'
            }
            aria-hidden
          >
            +
          </span>
        </button>
      ))}
    </div>
  );
}

const HOTSPOTS: readonly { of: Part; left: number; top: number; label: string }[] = [
  { of: 'young leaves', left: 65, top: 18, label: 'young leaves' },
  { of: 'leaf edges and tips', left: 86, top: 34, label: 'leaf edges and tips' },
  { of: 'old leaves', left: 48, top: 52, label: 'old leaves' },
  { of: 'stem', left: 73, top: 76, label: 'stem' },
  { of: 'soil line', left: 56, top: 88, label: 'soil line and roots' },
  { of: 'whole plant', left: 92, top: 60, label: 'whole plant' },
  { of: 'tray', left: 92, top: 88, label: 'across the tray' },
];

interface PlantProps {
  x: number;
  height: number;
  width: number;
  lean: number;
  droop: number;
  young: string;
  old: string;
  stem: string;
  edge: string;
}

function Plant({ x, height, width, lean, droop, young, old, stem, edge }: PlantProps) {
  const top = 214 - height;
  const leaf = 'M0 0C14-20 46-22 62-2C46 12 16 12 0 0Z';
  return (
    <g transform={`rotate(${-lean} ${x} 214)`}>
      <path d={`M${x} 214V${top}`} stroke={stem} strokeWidth={width} strokeLinecap="round" />
      {[1, -1].map((side) => (
        <path
          key={side}
          d={leaf}
          transform={`translate(${x} ${top + height * 0.42}) scale(${side} 1) rotate(${8 + droop}) scale(.86)`}
          fill={old}
          stroke={edge}
          strokeWidth="2.5"
        />
      ))}
      {[1, -1].map((side) => (
        <path
          key={side}
          d={leaf}
          transform={`translate(${x} ${top}) scale(${side} 1) rotate(${-14 + droop})`}
          fill={young}
          stroke={edge}
          strokeWidth="2.5"
        />
      ))}
      <path d="M0 0C-12-16-8-34 0-44C8-34 12-16 0 0Z" transform={`translate(${x} ${top})`} fill={young} stroke={edge} strokeWidth="2.5" />
    </g>
  );
}
