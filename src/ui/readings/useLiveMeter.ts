'use client';
import { useEffect, useRef, useState } from 'react';
import type { MeterSample } from '@/core/things/meter/MeterDriver';
import { listenToMeter, type Held, type LiveMeter } from '@/store/meter/liveMeter';
import type { MeterWorldFile } from '@/store/meter/MeterWorldFile';

/** What the display of a streaming meter shows now. */
export interface Display {
  readonly sample: MeterSample | null;
  readonly trouble: string | null;
}

const DARK: Display = { sample: null, trouble: null };

/**
 * Listens to a simulated meter for as long as it is wanted. What it showed elsewhere, or held otherwise, is never shown.
 *
 * @param world  what it is held into; null: none is wanted
 * @param held   how it is held; null: nowhere yet
 */
export function useLiveMeter(world: MeterWorldFile | null, held: Held | null): Display {
  const [said, setSaid] = useState<Display & { readonly of: string }>({ ...DARK, of: '' });
  const meter = useRef<LiveMeter | null>(null);
  const heldNow = useRef('');
  const key = world && JSON.stringify(world);
  const how = held && JSON.stringify(held);
  useEffect(() => {
    if (key === null) return;
    const live = listenToMeter(
      JSON.parse(key) as MeterWorldFile,
      (sample) => setSaid({ sample, trouble: null, of: heldNow.current }),
      (trouble) => setSaid({ sample: null, trouble, of: heldNow.current }),
    );
    meter.current = live;
    return () => {
      live.stop();
      meter.current = null;
    };
  }, [key]);
  useEffect(() => {
    if (how === null) return;
    heldNow.current = `${key} ${how}`;
    meter.current?.hold(JSON.parse(how) as Held);
  }, [how, key]);
  return said.of === `${key} ${how}` ? said : DARK;
}
