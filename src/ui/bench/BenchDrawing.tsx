'use client';
import clsx from 'clsx';
import { Maximize2, Ruler, ZoomIn, ZoomOut } from 'lucide-react';
import { useDroppable } from '@dnd-kit/core';
import { memo, useEffect, useMemo, useRef, useState } from 'react';
import type { BenchStand, BenchTier } from '@/core/answer/stand/benchStand';
import { Segments } from '../parts/Segments';
import { useSettings, useWorkspace } from '../shell/WorkspaceContext';
import { LightCanvas } from '../drawing/LightCanvas';
import { useSize } from '../drawing/useSize';
import { stretchesOf } from './bands';
import { benchFrame, measuresOf, type BenchFrame } from './benchFrame';
import { badness, SAYS_WORDS } from './benchWords';
import { StandFrame } from './StandFrame';
import { Tape } from './Tape';
import { colourOnDrawing } from '../verdict/resultColours';
import { ThingHandles } from './ThingHandles';
import { TierFront } from './TierFront';
import { useBenchLight, useBenchLook, useJudged, useTierLight } from './useBench';
import { pressed, type EditCommands } from './useEditCommands';
import { NIGHT } from '../theme/night';

/** Under this width there is no room for words beside the stand. */
const WIDE = 560;

/** The night drawing with the whole stand: everything on it can be taken hold of. */
export function BenchDrawing({ stand, commands }: { stand: BenchStand; commands: EditCommands }) {
  const { benchLooks } = useWorkspace();
  const { lengthUnit } = useSettings();
  const { view, tierId, chosen, moved } = useBenchLook();
  const { ref, width, height } = useSize<HTMLDivElement>();
  const scroll = useRef<HTMLDivElement>(null);
  const [zoom, setZoom] = useState(1);
  const [measuring, setMeasuring] = useState(false);
  const narrow = width < WIDE;
  const room = useMemo(() => ({ width, height: narrow ? Math.max(height, 420) : height }), [width, height, narrow]);
  // One and the same for as long as it can be: tiers that stay as they are need not be drawn anew.
  const { span, reach } = measuresOf(stand, view);
  const frame = useMemo(() => benchFrame({ span, reach }, view, room, zoom, narrow), [span, reach, view, room, zoom, narrow]);
  /** The tier in which the keys are: of the others only the tier can be gone to, and from there its things. */
  const [entered, setEntered] = useState<string | null>(null);
  const selected = stand.tiers.find((t) => t.tier.id === tierId) ?? stand.tiers[0]!;
  const stop = stand.tiers.find((t) => t.tier.id === entered) ?? selected;

  // A wheel with Ctrl, which is also what a pinch on a touchpad sends; the page itself must not be enlarged.
  useEffect(() => {
    const element = scroll.current;
    if (!element) return;
    const onWheel = (e: WheelEvent) => {
      if (!e.ctrlKey && !e.metaKey) return;
      e.preventDefault();
      setZoom((z) => Math.min(5, Math.max(1, z * Math.exp(-e.deltaY / 300))));
    };
    element.addEventListener('wheel', onWheel, { passive: false });
    return () => element.removeEventListener('wheel', onWheel);
  }, []);

  return (
    <section
      aria-label={`The drawing: ${stand.stand.name} from the ${view}`}
      data-work
      tabIndex={-1}
      className="night relative flex min-h-0 flex-1 flex-col bg-night text-night-ink outline-none print:hidden"
      onFocus={(e) => {
        const id = (e.target as HTMLElement).dataset.tier;
        if (id) setEntered(id);
      }}
      onKeyDown={(e) => {
        if (!(e.target as HTMLElement).closest('[data-drawing]') || !pressed(e, commands, false)) return;
        e.preventDefault();
        // What was carried to another tier has the keys there.
        if (e.altKey) setEntered(benchLooks.getState().tierId);
      }}
    >
      <div ref={ref} className="relative min-h-110 flex-1 lg:min-h-0">
        <div ref={scroll} className="absolute inset-0 overflow-auto" tabIndex={-1}>
          {width > 0 && (
            <div
              data-drawing
              data-picture="bench"
              className={clsx('relative', measuring && 'cursor-crosshair')}
              style={{ width: frame.width, height: frame.height }}
              onClick={() => commands.choose([])}
            >
              {stand.tiers.map((t) => (
                <TierLightPicture key={t.tier.id} tier={t} frame={frame} selected={t === selected} chosen={chosen} />
              ))}
              <svg width={frame.width} height={frame.height} className="pointer-events-none absolute inset-0" role="presentation">
                <StandFrame stand={stand} frame={frame} />
                {stand.tiers.map((t) => (
                  <TierFront
                    key={t.tier.id}
                    tier={t}
                    frame={frame}
                    unit={lengthUnit}
                    narrow={narrow}
                    lampId={t.lamps.find((l) => chosen.includes(l.fitting.id))?.fitting.id ?? null}
                  />
                ))}
                <SelectedTier frame={frame} tier={selected} />
              </svg>
              {stand.tiers.map((t) => (
                <TierWord key={t.tier.id} tier={t} frame={frame} narrow={narrow} selected={t === selected} isStop={t === stop} />
              ))}
              <ThingHandles stand={stand} frame={frame} commands={commands} stopId={stop.tier.id} />
              {measuring && <Tape frame={frame} unit={lengthUnit} onDone={() => setMeasuring(false)} />}
            </div>
          )}
        </div>
        {moved && (
          <p
            role="status"
            className="pointer-events-none absolute bottom-2 left-1/2 -translate-x-1/2 rounded-md bg-night-ink px-3 py-1 font-semibold text-night"
            data-testid="moved"
          >
            {moved}
          </p>
        )}
      </div>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2 px-4 py-2">
        <Segments
          night
          label="Seen from"
          value={view}
          options={[
            { value: 'front', label: 'front' },
            { value: 'side', label: 'side' },
          ]}
          onChange={(v) => benchLooks.setState({ view: v })}
        />
        <div className="flex" role="group" aria-label="Zoom">
          <Tool label="Smaller" onClick={() => setZoom((z) => Math.max(1, z / 1.4))} icon={ZoomOut} />
          <Tool label="Larger" onClick={() => setZoom((z) => Math.min(5, z * 1.4))} icon={ZoomIn} />
          <Tool label="The whole stand" onClick={() => setZoom(1)} icon={Maximize2} />
          <Tool label="Ruler" pressed={measuring} onClick={() => setMeasuring((m) => !m)} icon={Ruler} />
        </div>
        <ul className="flex flex-wrap gap-x-4 text-sm" aria-label="Colours">
          {[
            ['#52627c', 'too little light'],
            ['#2f9688', 'in range'],
            ['#c9703d', 'too much light'],
          ].map(([colour, text]) => (
            <li key={text} className="flex items-center gap-2">
              <span className="size-3 rounded-[2px]" style={{ background: colour }} aria-hidden />
              {text}
            </li>
          ))}
        </ul>
        <span className="flex-1" />
        <LightStatus />
      </div>
    </section>
  );
}

/** Whether the light that is shown is the newest, or why there is none. */
function LightStatus() {
  const light = useBenchLight();
  const { handOn } = useBenchLook();
  if (light.status === 'failed')
    return (
      <p role="alert" className="text-ember">
        The light could not be computed: {light.reason}. Reload the page to try again.
      </p>
    );
  if (light.status !== 'ready' || !light.stale || handOn) return null;
  return (
    <span role="status" className="text-sm text-night-soft">
      Calculating light…
    </span>
  );
}

function Tool({
  label,
  onClick,
  icon: Icon,
  pressed,
}: {
  label: string;
  onClick(): void;
  icon: React.ComponentType<{ size?: number }>;
  pressed?: boolean;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      aria-pressed={pressed}
      onClick={onClick}
      className={clsx(
        'grid size-9 place-items-center rounded-md hover:bg-night-raised max-md:size-11',
        pressed && 'bg-night-ink text-night',
      )}
    >
      <Icon size={18} />
    </button>
  );
}

/** The light of one tier behind the drawing, stretch by stretch in the bands of the crops that stand there. */
const TierLightPicture = memo(function TierLightPicture({
  tier,
  frame,
  selected,
  chosen,
}: {
  tier: BenchTier;
  frame: BenchFrame;
  selected: boolean;
  chosen: readonly string[];
}) {
  const { benchLooks } = useWorkspace();
  const light = useTierLight(tier);
  const { setNodeRef, isOver } = useDroppable({ id: tier.tier.id });
  const box = frame.boxOf(tier);
  const chosenTray = selected ? tier.trays.find((t) => chosen.includes(t.tray.id)) : undefined;
  const stretches = useMemo(() => stretchesOf(tier, frame.view, chosenTray), [tier, frame.view, chosenTray]);
  return (
    <>
      <div
        ref={setNodeRef}
        className={clsx('absolute', isOver && 'outline-2 outline-patina')}
        style={box}
        onPointerDown={() => benchLooks.setState({ tierId: tier.tier.id })}
      />
      {light?.slice &&
        stretches.map((s, i) => (
          <div key={i} className="pointer-events-none contents">
            <LightCanvas
              grid={light.slice!}
              band={s.band}
              rowZero="foot"
              from={s.from}
              to={s.to}
              box={{ left: box.left + s.from * box.width, top: box.top, width: (s.to - s.from) * box.width, height: box.height }}
              testId={`slice-${tier.number}`}
            />
          </div>
        ))}
    </>
  );
});

function SelectedTier({ frame, tier }: { frame: BenchFrame; tier: BenchTier }) {
  const { left, top, width, height } = frame.boxOf(tier);
  return <rect x={left - 8} y={top - 2} width={width + 16} height={height + 6} rx={3} fill="none" stroke={NIGHT.ink} strokeWidth={1.4} />;
}

/** So many pixels a number, a word and the hours take one below the other. */
const LINES_NEED = 58;

/** The arrows go from tier to tier; nothing on them moves by it. */
function toNeighbour(e: React.KeyboardEvent<HTMLButtonElement>): void {
  const by = { ArrowUp: -1, ArrowDown: 1 }[e.key];
  if (!by || e.altKey || e.ctrlKey || e.metaKey) return;
  e.preventDefault();
  e.stopPropagation();
  const tiers = [...document.querySelectorAll<HTMLElement>('[data-drawing] button[data-tier]')];
  tiers[tiers.indexOf(e.currentTarget) + by]?.focus();
}

/** Which tier this is and how its trays fare, beside it; a press looks at it from above. */
const TierWord = memo(function TierWord({
  tier,
  frame,
  narrow,
  selected,
  isStop,
}: {
  tier: BenchTier;
  frame: BenchFrame;
  narrow: boolean;
  selected: boolean;
  isStop: boolean;
}) {
  const { benchLooks } = useWorkspace();
  const judged = useJudged(tier);
  const box = frame.boxOf(tier);
  // On a phone, and where many low tiers stand on each other, the number alone: its colour says how it does.
  const brief = narrow || box.height < LINES_NEED;
  const worst = judged.reduce<(typeof judged)[number] | null>(
    (w, j) => (!w || badness(j.verdict.says) > badness(w.verdict.says) ? j : w),
    null,
  );
  const well = judged.filter((j) => j.verdict.says === 'in-range').length;
  const words = !worst
    ? tier.trays.length === 0
      ? 'empty'
      : '…'
    : well === judged.length
      ? 'in range'
      : judged.length > 1 && well > 0
        ? `${SAYS_WORDS[worst.verdict.says]}; ${well} of ${judged.length} in range`
        : SAYS_WORDS[worst.verdict.says];
  return (
    <button
      type="button"
      onClick={(e) => {
        e.stopPropagation();
        benchLooks.setState({ tierId: tier.tier.id, chosen: [] });
      }}
      aria-label={`Tier ${tier.number}: ${words}`}
      data-tier={tier.tier.id}
      tabIndex={isStop ? 0 : -1}
      onKeyDown={toNeighbour}
      aria-pressed={selected}
      className={clsx('absolute rounded px-1 text-right leading-tight', brief ? 'w-[28px]' : 'w-[96px]')}
      style={brief ? { left: box.left - 34, top: box.top } : { left: Math.max(2, box.left - 108), top: box.top }}
      data-testid={`tier-${tier.number}`}
    >
      <span className={clsx('block text-[17px] font-semibold', brief && worst && colourOnDrawing(worst.verdict.says))}>{tier.number}</span>
      {!brief && (
        <span className={clsx('block text-[13px]', worst ? colourOnDrawing(worst.verdict.says) : 'text-night-soft')}>{words}</span>
      )}
      {!brief && <span className="block pt-0.5 text-[13px] text-night-soft">{showHoursShort(tier.hours)}</span>}
    </button>
  );
});

const showHoursShort = (hours: number) => `${Number(hours.toFixed(2))} h`;
