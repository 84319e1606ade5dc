'use client';
import { useMemo } from 'react';
import { clearanceOf } from '@/core/things/lamp/clearanceOf';
import { lampBandOf } from '@/core/judge/dli/lightBand';
import type { SetUp } from '@/core/answer/stand/setUp';
import { faceSizeOf } from '@/core/site/stand/footprint';
import { frameTopOf, sliceMarginOf } from '@/store/light/frameTop';
import { beginGesture, changeSite, endGesture } from '@/store/site/siteStore';
import { farthestOf, NEAREST_FACE, setDistance } from '@/store/site/setUpVerbs';
import { useSuitingDistances } from '../answer/useSolution';
import { LengthField } from '../parts/LengthField';
import { MapShowsChoice } from '../parts/MapShowsChoice';
import { useLight, useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { AboveView } from './AboveView';
import { FrontView } from './FrontView';
import { LampHandle } from './LampHandle';
import { Legend } from './Legend';
import { LightCanvas } from './LightCanvas';
import { drawingFrame } from './drawingFrame';
import { useSize } from './useSize';

/** Wide enough for the dimension to stand beside the drawing. */
const WIDE = 560;

/** The night drawing: the set-up from the front and, in line below it, from above, with the light that falls there. */
export function CheckDrawing({ setUp }: { setUp: SetUp }) {
  const { sites } = useWorkspace();
  const { lengthUnit, mapShows } = useSettings();
  const inGesture = useSite((s) => s.inGesture);
  const light = useLight();
  const { ref, width, height } = useSize<HTMLDivElement>();
  const wide = width >= WIDE;
  const ready = light.status === 'ready' && light.of.stand.id === setUp.stand.id ? light : null;
  const top = ready && inGesture ? ready.top : frameTopOf(setUp);
  const frame = useMemo(
    () => drawingFrame({ width, height: wide ? height : null }, setUp.tier, top, wide ? 136 : 8),
    [width, height, wide, setUp.tier, top],
  );
  const band = useMemo(() => lampBandOf(setUp.stage, setUp.day), [setUp.stage, setUp.day]);
  const suits = useSuitingDistances(setUp);
  const face = setUp.tier.fittings[0]!.face;
  const lampWidth = Math.max(60, faceSizeOf(setUp.lamp).length * frame.scale + 16);
  const farthest = farthestOf(setUp.tier.enclosure, setUp.canopy);
  const change = (distance: number) => changeSite(sites, 'move the lamp', setDistance(setUp.stand.id, distance));
  const field = (
    <LengthField
      label="lamp to leaves"
      value={setUp.distance}
      min={NEAREST_FACE}
      max={farthest}
      onChange={change}
      inputClassName="w-22 bg-night-raised! border-night-line! text-night-ink! text-lg"
      className="[&_label]:text-night-soft! [&_p]:text-ember!"
    />
  );
  return (
    <section
      aria-label="The drawing: your set-up and its light"
      className="night flex min-h-0 flex-1 flex-col bg-night text-night-ink print:bg-transparent"
    >
      <div ref={ref} className="relative min-h-0 w-full flex-1" style={wide ? { minHeight: 420 } : { height: frame.height, flex: 'none' }}>
        {width > 0 && (
          <>
            {ready && (
              <>
                <LightCanvas
                  grid={ready.answer.slice}
                  band={band}
                  rowZero="foot"
                  box={boxOf(frame, setUp, ready.top, top)}
                  testId="slice"
                />
                <LightCanvas grid={ready.answer.map} band={band} rowZero="foot" box={frame.above} testId="map" />
              </>
            )}
            <LampHandle
              box={{ left: frame.x(setUp.tier.fittings[0]!.x) - lampWidth / 2, top: frame.z(face) - 26, width: lampWidth, height: 44 }}
              distance={setUp.distance}
              heatClearance={clearanceOf(setUp.lamp)}
              unit={lengthUnit}
              scale={frame.scale}
              roof={top - setUp.canopy - 0.01}
              farthest={farthest}
              onBegin={() => beginGesture(sites, 'move the lamp')}
              onChange={change}
              onEnd={() => endGesture(sites)}
            />
            {wide && (
              <div
                className="absolute z-10"
                style={{
                  left: Math.min(width - 104, frame.front.left + frame.front.width + 30),
                  top: (frame.z(face) + frame.z(setUp.canopy)) / 2 - 36,
                }}
              >
                {field}
              </div>
            )}
            <svg
              width={width}
              height={wide ? Math.max(height, frame.height) : frame.height}
              className="pointer-events-none absolute inset-0"
              role="presentation"
            >
              <text x={frame.front.left} y={frame.front.top - 12} className="fill-night-soft font-narrow text-[13px] font-medium">
                from the front
              </text>
              <text
                x={frame.above.left}
                y={frame.above.top - (setUp.room ? 14 : 9)}
                className="fill-night-soft font-narrow text-[13px] font-medium"
              >
                from above
              </text>
              <FrontView setUp={setUp} frame={frame} unit={lengthUnit} withNumber={!wide} suits={suits} />
              {ready && (
                <AboveView
                  setUp={setUp}
                  map={ready.answer.map}
                  stats={ready.answer.stats}
                  band={band}
                  frame={frame}
                  shows={mapShows}
                  unit={lengthUnit}
                  moving={inGesture}
                />
              )}
            </svg>
            {light.status === 'failed' && (
              <p role="alert" className="absolute inset-x-4 top-10 rounded-md bg-night-raised p-3 text-ember">
                The light could not be computed: {light.reason}. Reload the page to try again.
              </p>
            )}
          </>
        )}
      </div>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3 px-4 pt-1 pb-3 print:hidden">
        {!wide && field}
        <MapShowsChoice night />
        <Legend band={band} hours={setUp.hours} shows={mapShows} />
      </div>
    </section>
  );
}

/** While a hand drags, the last answer may be of another height of picture; it is drawn at its own scale until the next. */
function boxOf(frame: ReturnType<typeof drawingFrame>, setUp: SetUp, answeredTop: number, top: number) {
  const height = (frame.front.height * answeredTop) / top;
  const margin = sliceMarginOf(setUp);
  const left = frame.x(-margin);
  return { left, width: frame.x(setUp.tier.width + margin) - left, top: frame.front.top + frame.front.height - height, height };
}
