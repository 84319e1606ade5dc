'use client';
import { useRef, useState } from 'react';
import { heightOnPhoto, type Pixel } from '@/core/measure/photo/heightOnPhoto';
import { cropOf } from '@/core/site/crop/cropOf';
import { doubtOfHeight } from '@/core/site/growth/doubtOfHeight';
import { measureBatch } from '@/core/site/growth/changeGrowth';
import type { Batch } from '@/core/site/stand/Site';
import { tables } from '@/core/things/tables/libraryTables';
import { showLength } from '@/core/units/length';
import { changeSite, undo } from '@/store/site/siteStore';
import { problemWords } from '../files/problemWords';
import { Button } from '../parts/Button';
import { LengthField } from '../parts/LengthField';
import { loggedNow } from '../season/loggedNow';
import { say } from '../shell/toastStore';
import { heightDoubtWords } from '../tray/heightDoubtWords';
import { useSettings, useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import type { PhotoEntry } from './photosOf';

interface MeasureProps {
  batch: Batch;
  entry: PhotoEntry;
  photo: { readonly url: string; readonly width: number; readonly height: number };
  onDone(): void;
}

const MARKS = ['one end of the known length', 'its other end', 'where the stem leaves the compost', 'the top of the leaves'] as const;
/** A usual plant label. */
const LABEL = 0.1;
/** A finger or a mouse points this well, in pixels of the screen. */
const POINTING = 3; // our estimate

/** Two taps on something of known length, two on the plant: its height with its doubt, straight into its growth. */
export function MeasureOnPhoto({ batch, entry, photo, onDone }: MeasureProps) {
  const { sites } = useWorkspace();
  const { lengthUnit } = useSettings();
  const site = useSite((s) => s.site);
  const today = useToday();
  const picture = useRef<SVGSVGElement>(null);
  const [marks, setMarks] = useState<readonly Pixel[]>([]);
  const [length, setLength] = useState(LABEL);
  /** Pixels of the photo for one of the screen, as it was pointed at last. */
  const [perPixel, setPerPixel] = useState(1);
  const [dragged, setDragged] = useState<number | null>(null);
  const { width, height } = photo;

  const perScreenPixel = () => width / Math.max(1, picture.current?.getBoundingClientRect().width ?? width);
  const clamp = ({ x, y }: Pixel): Pixel => ({ x: Math.min(width, Math.max(0, x)), y: Math.min(height, Math.max(0, y)) });
  function placeOf(e: React.PointerEvent): Pixel {
    const box = picture.current!.getBoundingClientRect();
    return clamp({ x: ((e.clientX - box.left) / box.width) * width, y: ((e.clientY - box.top) / box.height) * height });
  }
  function put(k: number, p: Pixel) {
    setPerPixel(perScreenPixel());
    setMarks((m) => (k < m.length ? m.map((old, i) => (i === k ? clamp(p) : old)) : [...m, clamp(p)]));
  }

  const measured =
    marks.length === 4
      ? heightOnPhoto({ known: [marks[0]!, marks[1]!], length, base: marks[2]!, tip: marks[3]!, pointing_px: POINTING * perPixel })
      : null;
  const crop = cropOf(site, batch.cropId, tables);
  const doubt = measured?.ok && crop ? doubtOfHeight(crop, measured.value.height, entry.day, today) : null;
  const r = 9 * (width / 700);
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex min-h-0 flex-1 items-center justify-center bg-night p-1">
        <svg
          ref={picture}
          role="application"
          aria-label={`The photo, to be pointed at. Next: ${MARKS[marks.length] ?? 'all four are marked'}`}
          tabIndex={0}
          viewBox={`0 0 ${width} ${height}`}
          className="max-h-[58dvh] w-full touch-none object-contain focus-visible:outline-2 focus-visible:outline-copper"
          style={{ aspectRatio: `${width} / ${height}`, maxWidth: `calc(58dvh * ${width / height})` }}
          onPointerDown={(e) => {
            if (marks.length < 4) put(marks.length, placeOf(e));
          }}
          onPointerMove={(e) => dragged !== null && put(dragged, placeOf(e))}
          onPointerUp={() => setDragged(null)}
          onKeyDown={(e) => {
            if (e.key === 'Enter' && marks.length < 4) {
              e.preventDefault();
              put(marks.length, { x: width / 2, y: height * (0.35 + 0.1 * marks.length) });
            }
          }}
        >
          <image href={photo.url} width={width} height={height} />
          <Line from={marks[0]} to={marks[1]} width={width} dashed />
          <Line from={marks[2]} to={marks[3]} width={width} />
          {marks.map((p, k) => (
            <g
              key={k}
              tabIndex={0}
              role="slider"
              aria-label={MARKS[k]}
              aria-valuenow={Math.round(p.y)}
              aria-valuetext={`${Math.round(p.x)} across, ${Math.round(p.y)} down`}
              className="cursor-move focus-visible:outline-2 focus-visible:outline-copper"
              onPointerDown={(e) => {
                e.stopPropagation();
                picture.current?.setPointerCapture(e.pointerId);
                setDragged(k);
              }}
              onKeyDown={(e) => {
                const step = (e.shiftKey ? 20 : 2) * perScreenPixel();
                const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key];
                if (!way) return;
                e.preventDefault();
                e.stopPropagation();
                put(k, { x: p.x + way[0]! * step, y: p.y + way[1]! * step });
              }}
            >
              <circle cx={p.x} cy={p.y} r={2.4 * r} fill="transparent" />
              <circle cx={p.x} cy={p.y} r={r} fill="none" stroke="#000" strokeWidth={r * 0.55} />
              <circle cx={p.x} cy={p.y} r={r} fill="none" stroke="#fff" strokeWidth={r * 0.28} />
            </g>
          ))}
        </svg>
      </div>
      <div className="space-y-3 border-t border-line px-4 py-3">
        <p role="status" data-testid="measure-says">
          {marks.length < 4 && (
            <>
              <b>{marks.length + 1} of 4.</b> Tap {MARKS[marks.length]}
              {marks.length < 2 && ': a label, a pot’s rim, a rule, as far from the camera as the plant'}.
            </>
          )}
          {measured?.ok && (
            <>
              <b className="text-xl">
                {showLength(measured.value.height, lengthUnit)} ± {showLength(measured.value.sd, lengthUnit)}
              </b>{' '}
              tall. Drag a ring, or use the arrow keys on it, to correct it.
            </>
          )}
        </p>
        {measured?.ok && doubt && (
          <p role="alert" className="text-copper">
            {heightDoubtWords(doubt, showLength(measured.value.height, lengthUnit))}
          </p>
        )}
        {measured && !measured.ok && (
          <p role="alert" className="text-copper">
            {problemWords(measured.problems[0]!)}
          </p>
        )}
        <div className="flex flex-wrap items-end gap-3">
          <LengthField label="Known length" value={length} min={0.005} max={5} inputClassName="w-24" onChange={setLength} />
          <Button
            kind="main"
            disabled={!measured?.ok}
            onClick={() => {
              if (!measured?.ok) return;
              const { height: tall, sd } = measured.value;
              changeSite(
                sites,
                'measure on a photo',
                measureBatch(batch.id, tall, { ...loggedNow(entry.day), heightSd: sd, photoId: entry.photoId }),
              );
              say(`${showLength(tall, lengthUnit)} tall: written down. The hang chart follows.`, { label: 'Undo', run: () => undo(sites) });
              onDone();
            }}
          >
            {doubt ? 'It is right, save it' : 'Save the height'}
          </Button>
          <Button disabled={marks.length === 0} onClick={() => setMarks((m) => m.slice(0, -1))}>
            Take back a mark
          </Button>
          <Button kind="quiet" onClick={onDone}>
            Cancel
          </Button>
        </div>
      </div>
    </div>
  );
}

function Line({ from, to, width, dashed }: { from: Pixel | undefined; to: Pixel | undefined; width: number; dashed?: boolean }) {
  if (!from || !to) return null;
  const at = { x1: from.x, y1: from.y, x2: to.x, y2: to.y };
  const dash = dashed ? { strokeDasharray: `${width / 60} ${width / 90}` } : {};
  return (
    <>
      <line {...at} stroke="#000" strokeWidth={width / 160} opacity={0.7} />
      <line {...at} stroke="#fff" strokeWidth={width / 320} {...dash} />
    </>
  );
}
